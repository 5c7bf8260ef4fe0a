package zinctally.web.sell;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import zinctally.store.book.BookStore;

/** Stands in for a card reader: agrees to every amount up to a limit, and moves no money. */
@Component
class StandInCardReader implements CardReader {
  private static final Logger LOG = LoggerFactory.getLogger(StandInCardReader.class);
  private final BookStore books;
  private final long limit;

  /**
   * @param limit whole units of the book's currency
   */
  StandInCardReader(BookStore books, @Value("${zinc.card.limit:2000}") long limit) {
    this.books = books;
    this.limit = limit;
  }

  @Override
  public String charge(String sale, long minor) throws Declined {
    var coin = books.book().coin();
    if (coin.decimal(minor).longValue() >= limit)
      throw new Declined(
          "The card reader declined "
              + coin.say(minor)
              + ": it takes less than "
              + limit
              + " at once. Nothing is charged; pay otherwise or in parts.");
    String payment = "SI-" + sale;
    LOG.info("stand-in card reader: {} charged, {}", coin.say(minor), payment);
    return payment;
  }

  @Override
  public void giveBack(String payment) {
    LOG.info("stand-in card reader: {} given back", payment);
  }
}
