package zinctally.core.papers.stock;

import static zinctally.core.papers.read.Reader.known;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads a write-down: a change typed, or worked out from what the goods are expected to fetch. */
public final class WriteDownReader {
  private WriteDownReader() {}

  public static Reading writeDown(Reader in) {
    LocalDate date = in.date();
    List<WriteDown.Line> lines = new ArrayList<>();
    Set<Long> seen = new HashSet<>();
    boolean any = false;
    for (RowReader row : in.rows()) {
      any = true;
      Item item = row.stocked("it has no worth.");
      if (item != null && !seen.add(item.id()))
        row.fault("item", item.name() + " is on a line above already.");
      Long change = item == null || date == null ? null : change(in, row, item, date);
      if (item != null) row.facts(new Reading.RowFacts(item.id(), item.name(), "", change));
      if (row.sound() && change != null && change != 0)
        lines.add(new WriteDown.Line(row.index(), known(item), change, row.memo()));
    }
    if (lines.isEmpty() && in.sound())
      in.fault(
          any ? "" : "rows.0.item",
          any
              ? "Nothing changes: each of these is worth at least what it stands at."
              : "There is no line yet: name an item and what it is expected to fetch.");
    return in.done(() -> new WriteDown(known(date), List.copyOf(lines)));
  }

  private static @Nullable Long change(Reader in, RowReader row, Item item, LocalDate date) {
    Catalogue.Worth stands = in.book.worth(item.id(), date);
    String typed = row.cell("change");
    if (!typed.isEmpty()) {
      BigDecimal read =
          in.amount(row.at("change"), typed.replace('−', '-'), in.book.rules().coin().digits());
      return read == null
          ? null
          : checked(in, row, item, stands, in.book.rules().coin().minor(read));
    }
    String price = row.cell("price");
    if (price.isEmpty()) {
      row.fault(
          "price",
          "What is one expected to sell for? Or write the change in value in the last column.");
      return null;
    }
    BigDecimal each = in.amount(row.at("price"), price, 6);
    String toSell = row.cell("to_sell");
    BigDecimal cost = toSell.isEmpty() ? BigDecimal.ZERO : in.amount(row.at("to_sell"), toSell, 6);
    if (each == null || cost == null) return null;
    if (each.signum() < 0 || cost.signum() < 0) {
      row.fault("price", "Price and cost to sell are not below zero.");
      return null;
    }
    return toNetRealisableValue(in, row, item, stands, each.subtract(cost).max(BigDecimal.ZERO));
  }

  /**
   * The difference between worth and net realisable value, the expected price less the cost to sell
   * (IAS 2 paragraph 6); upwards at most what was written down before (paragraph 33).
   */
  private static @Nullable Long toNetRealisableValue(
      Reader in, RowReader row, Item item, Catalogue.Worth stands, BigDecimal each) {
    try {
      BigDecimal quantity = BigDecimal.valueOf(Math.max(0, stands.onHand()), 6);
      long realisable = in.book.rules().coin().rounded(each.multiply(quantity));
      long change = Math.min(realisable - stands.worth(), stands.writtenDown());
      if (change == 0)
        row.note("item", item.name() + " stays at " + in.say(stands.worth()) + ", its cost.");
      return change;
    } catch (ArithmeticException tooLarge) {
      row.fault("price", "This is larger than any amount this book can hold.");
      return null;
    }
  }

  private static @Nullable Long checked(
      Reader in, RowReader row, Item item, Catalogue.Worth stands, long change) {
    if (change < -stands.worth())
      row.fault(
          "change",
          item.name() + " is worth " + in.say(stands.worth()) + "; no more can come off.");
    else if (change > stands.writtenDown())
      row.fault(
          "change",
          stands.writtenDown() == 0
              ? item.name() + " stands at cost; goods are not written up above it."
              : item.name()
                  + " stands "
                  + in.say(stands.writtenDown())
                  + " under cost; no more can be put back.");
    else if (change == 0) row.fault("change", "By how much? Minus for a write-down.");
    else return change;
    return null;
  }
}
