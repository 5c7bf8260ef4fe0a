package zinctally.web.prove;

import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import zinctally.store.seal.Sealer;

/** Has what was posted sealed by itself, every minute. */
@Component
class Seals {
  private static final Logger LOG = LoggerFactory.getLogger(Seals.class);
  private final Sealer sealer;

  Seals(Sealer sealer) {
    this.sealer = sealer;
  }

  @Scheduled(
      initialDelayString = "${zinc.seal.first:20}",
      fixedDelayString = "${zinc.seal.every:60}",
      timeUnit = TimeUnit.SECONDS)
  void seal() {
    try {
      sealer.seal();
    } catch (RuntimeException failed) {
      LOG.error("what was posted could not be sealed; it is tried again", failed);
    }
  }
}
