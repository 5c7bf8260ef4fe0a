package zinctally.store.house;

import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.ScheduledFuture;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.Trigger;
import org.springframework.scheduling.concurrent.ThreadPoolTaskScheduler;

/** Does at each of its times what is to be done: at the house, and in each book that is open. */
final class InEachBook extends ThreadPoolTaskScheduler {
  private static final long serialVersionUID = 1;
  private static final Logger LOG = LoggerFactory.getLogger(InEachBook.class);
  private final transient HouseStore house;

  InEachBook(HouseStore house) {
    this.house = house;
    setThreadNamePrefix("by-itself-");
    setDaemon(true);
  }

  private Runnable each(Runnable work) {
    return () -> {
      alone(AtBook.HOUSE, work);
      for (Hosted book : house.all()) if (book.open()) alone(book.database(), work);
    };
  }

  /** What fails in one book keeps no other from its turn. */
  private static void alone(String database, Runnable work) {
    if (Thread.currentThread().isInterrupted()) return;
    try (AtBook.Stay stay = AtBook.go(database)) {
      work.run();
    } catch (RuntimeException failed) {
      LOG.error("what is done by itself failed in {}", database, failed);
    }
  }

  @Override
  public @Nullable ScheduledFuture<?> schedule(Runnable work, Trigger trigger) {
    return super.schedule(each(work), trigger);
  }

  @Override
  public ScheduledFuture<?> schedule(Runnable work, Instant first) {
    return super.schedule(each(work), first);
  }

  @Override
  public ScheduledFuture<?> scheduleAtFixedRate(Runnable work, Instant first, Duration every) {
    return super.scheduleAtFixedRate(each(work), first, every);
  }

  @Override
  public ScheduledFuture<?> scheduleAtFixedRate(Runnable work, Duration every) {
    return super.scheduleAtFixedRate(each(work), every);
  }

  @Override
  public ScheduledFuture<?> scheduleWithFixedDelay(Runnable work, Instant first, Duration after) {
    return super.scheduleWithFixedDelay(each(work), first, after);
  }

  @Override
  public ScheduledFuture<?> scheduleWithFixedDelay(Runnable work, Duration after) {
    return super.scheduleWithFixedDelay(each(work), after);
  }
}
