package zinctally.store.question;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Repository;
import zinctally.core.question.Question;
import zinctally.core.question.Reckoning;
import zinctally.store.book.BookStore;
import zinctally.store.listing.Listing;
import zinctally.store.listing.TypedValues;

/**
 * Makes a list of a question. Its SQL is put together of pieces that are ours alone; what was typed
 * is only ever bound to it.
 */
@Repository
public class Questions {
  /** So many columns stand side by side at most. */
  public static final int MOST_ACROSS = 36;

  private static final int SECONDS = 20;
  private static final int ADDED_UP = 100_000;
  private final NamedParameterJdbcTemplate jdbc;
  private final BookStore books;
  private final Clock clock;

  Questions(DataSource data, BookStore books, Clock clock) {
    JdbcTemplate bounded = new JdbcTemplate(data);
    bounded.setQueryTimeout(SECONDS);
    this.jdbc = new NamedParameterJdbcTemplate(bounded);
    this.books = books;
    this.clock = clock;
  }

  /** What a question about a subject comes to; asks the database only for what stands across. */
  public Answer answer(String name, Subject subject, Question question) {
    List<String> faults = new ArrayList<>();
    TypedValues values = new TypedValues(books.book().coin(), LocalDate.now(clock));
    boolean together = question.summary() || !question.across().isEmpty();
    Making making =
        together
            ? new ComesTo(name, subject, question, values, faults, jdbc)
            : new RowByRow(name, subject, question, values, faults);
    Listing listing = making.listing(making.by()).addedUpTo(ADDED_UP);
    return new Answer(listing, List.copyOf(faults), divides(question), Map.copyOf(making.beside));
  }

  private static boolean divides(Question question) {
    return question.worked().stream()
        .anyMatch(
            w ->
                w.reckoning() == Reckoning.RATIO
                    || w.reckoning() == Reckoning.PERCENT
                    || w.reckoning() == Reckoning.SHARE);
  }
}
