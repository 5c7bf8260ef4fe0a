package zinctally.core.papers.count;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Role;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.consign.PutRight;
import zinctally.core.papers.consign.PutRightReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.papers.stock.Found;
import zinctally.core.papers.stock.Reason;
import zinctally.core.units.Units;

/** Reads a stock count. */
public final class StockCountReader {
  private final Reader in;
  private final @Nullable LocalDate date;
  private final PutRightReader goods;
  private final Set<Map.Entry<Long, String>> seen = new HashSet<>();
  private final @Nullable Place place;

  private StockCountReader(Reader in) {
    this.in = in;
    date = in.date();
    place = in.place("place", in.draft.field("place"));
    goods = new PutRightReader(in, date);
  }

  public static Reading count(Reader in) {
    return new StockCountReader(in).read();
  }

  private Reading read() {
    long sheet = sheet();
    List<StockCount.Line> lines = new ArrayList<>();
    for (RowReader row : in.rows()) {
      StockCount.Line line = line(row);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.sound())
      in.fault(
          "rows.0.item", "There is no difference yet: which item, how many did the book hold?");
    return in.done(() -> new StockCount(known(date), known(place), sheet, List.copyOf(lines)));
  }

  private long sheet() {
    String typed = in.draft.field("sheet");
    if (typed.isEmpty()) return 0;
    if (typed.matches("\\d{1,9}")) return Long.parseLong(typed);
    in.fault("sheet", "\"" + typed + "\" is no number of a count sheet; leave it empty for none.");
    return 0;
  }

  private StockCount.@Nullable Line line(RowReader row) {
    Item item = row.stocked("there is nothing to count.");
    if (item == null) return null;
    Units.Typed expected = fromZero(row, "expected", item);
    Units.Typed counted = fromZero(row, "counted", item);
    Units.Typed apart = expected == null || counted == null ? null : apart(expected, counted);
    if (apart != null && apart.quantity().signum() == 0)
      row.fault("counted", "As many as the book held: there is nothing to put right.");
    if (!seen.add(Map.entry(item.id(), item.tracked() ? row.cell("numbers") : "")))
      row.fault("item", item.name() + " has a line already; counts of one item are added up.");
    Reason reason = Found.reason(in, row, false);
    String memo = row.memo();
    Long value = apart == null ? null : Found.worth(row, item, apart, place, in.book::presentCost);
    row.facts(item, counted, value);
    if (apart == null) return null;
    row.beside("apart", item.units().say(apart.quantity()));
    if (expected == null || counted == null || value == null || !row.sound()) return null;
    long account = reason == null ? in.book.account(Role.COUNT_DIFFERENCES).id() : reason.account();
    PutRight right = goods.of(row, item, place, apart.quantity().micros(), value, account);
    return right == null
        ? null
        : new StockCount.Line(
            expected.quantity(),
            counted.quantity(),
            counted.unit().sign(),
            reason == null ? "" : reason.name(),
            memo,
            right);
  }

  private static Units.Typed apart(Units.Typed expected, Units.Typed counted) {
    return new Units.Typed(counted.quantity().minus(expected.quantity()), counted.unit());
  }

  private Units.@Nullable Typed fromZero(RowReader row, String column, Item item) {
    Units.Typed quantity = row.quantity(column, item.units());
    if (quantity == null || quantity.quantity().signum() >= 0) return quantity;
    row.fault(column, "There cannot be fewer than none.");
    return null;
  }
}
