package zinctally.web.sell;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Stands in for a receipt printer: what it would print goes to the log. */
@Component
class StandInReceiptPrinter implements ReceiptPrinter {
  private static final Logger LOG = LoggerFactory.getLogger(StandInReceiptPrinter.class);

  @Override
  public void print(String receipt) {
    LOG.info("stand-in receipt printer:\n{}", receipt);
  }
}
