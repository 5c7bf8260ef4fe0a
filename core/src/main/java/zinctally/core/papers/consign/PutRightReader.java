package zinctally.core.papers.consign;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.papers.Place;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads which goods are found or gone at a place, and whose. */
public final class PutRightReader {
  private final NumbersReader numbers;
  private final Taking taking;

  public PutRightReader(Reader in, @Nullable LocalDate date) {
    this.numbers = new NumbersReader(in);
    this.taking = new Taking(in, date, numbers);
  }

  /**
   * What a row puts right; null when something is wrong.
   *
   * @param micros signed
   * @param value minor units of what is found
   */
  public @Nullable PutRight of(
      RowReader row, Item item, @Nullable Place place, long micros, long value, long account) {
    if (!row.sound() || place == null) return null;
    if (!place.ours() && micros < 0) {
      Taking.Leaving gone =
          taking.leaving(row, item, place, -micros, () -> taking.listed(item, null, -micros));
      return row.sound()
          ? new PutRight(row.index(), item, micros, 0, account, List.of(), gone.taken())
          : null;
    }
    List<Numbered> given = item.tracked() ? numbers.upOrDown(row, item, micros, place) : List.of();
    return !row.sound() || given == null
        ? null
        : new PutRight(
            row.index(), item, micros, place.ours() ? value : 0, account, given, List.of());
  }
}
