package zinctally.core.cost;

import java.time.LocalDate;

/** The date on which a difference in cost enters the books. */
public final class PostingDate {
  private PostingDate() {}

  /**
   * The latest of the touched event's date, the causing paper's date and the first open day, so
   * that a late bill corrects on the bill's date, a paper entered late corrects each sale on its
   * own day, and a closed period never moves.
   */
  public static LocalDate of(LocalDate touched, LocalDate cause, LocalDate firstOpenDay) {
    LocalDate later = touched.isAfter(cause) ? touched : cause;
    return later.isAfter(firstOpenDay) ? later : firstOpenDay;
  }
}
