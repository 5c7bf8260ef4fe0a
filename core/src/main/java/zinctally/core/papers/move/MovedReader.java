package zinctally.core.papers.move;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.units.Units;

/** Reads the goods of papers that move them and cost nothing. */
public final class MovedReader {
  private MovedReader() {}

  /** Which lots or serial numbers a line moves; null when something is wrong. */
  public interface Numbers {
    @Nullable List<Numbered> of(RowReader row, Item item, long micros);
  }

  /**
   * The day on which they should be back; null when nobody says, or it is wrong.
   *
   * @param went what they do on the paper's day, as in {@code they go}
   */
  public static @Nullable LocalDate backBy(Reader in, @Nullable LocalDate date, String went) {
    LocalDate due = in.draft.field("back_by").isEmpty() ? null : in.day("back_by", null);
    if (date != null && due != null && due.isBefore(date))
      in.fault("back_by", "Back on " + due + ", which is before " + went + " on " + date + ".");
    return due;
  }

  /** The lines of a paper; says so when there is none. */
  public static List<Moved> lines(Reader in, String otherWay, String none, Numbers numbers) {
    List<Moved> lines = new ArrayList<>();
    for (RowReader row : in.rows()) {
      Moved line = line(row, otherWay, numbers);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.sound()) in.fault("rows.0.item", none);
    return List.copyOf(lines);
  }

  /** One line; null when something is wrong with it. */
  public static @Nullable Moved line(RowReader row, String otherWay, Numbers numbers) {
    Item item = row.stocked("only goods that are kept in stock are followed.");
    if (item == null) return null;
    Units.Typed quantity = row.above(item.units(), otherWay);
    row.facts(item, quantity, null);
    String memo = row.memo();
    if (quantity == null || !row.sound()) return null;
    List<Numbered> given =
        item.tracked() ? numbers.of(row, item, quantity.quantity().micros()) : List.of();
    return !row.sound() || given == null
        ? null
        : new Moved(row.index(), item, quantity.quantity(), quantity.unit().sign(), memo, given);
  }
}
