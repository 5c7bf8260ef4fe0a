package zinctally.core.papers.stock;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import zinctally.core.goods.Item;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.Reader;

/** Reads a write-down: a change typed, or worked out from what the goods are expected to fetch. */
public final class WriteDownReader {
  private WriteDownReader() {}

  public static Reading writeDown(Reader in) {
    LocalDate date = in.date();
    List<WriteDown.Line> lines = new ArrayList<>();
    Set<Long> seen = new HashSet<>();
    boolean any = false;
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      any = true;
      int faultsBefore = in.faults.size();
      Item item = in.item(row);
      if (item != null && !item.stocked()) {
        in.faults.add(
            Fault.at(row, "item", item.name() + " is not kept in stock; it has no worth."));
        item = null;
      }
      if (item != null && !seen.add(item.id()))
        in.faults.add(Fault.at(row, "item", item.name() + " is on a line above already."));
      Long change = item == null || date == null ? null : change(in, row, item, date);
      if (item != null) in.rows.put(row, new Reading.RowFacts(item.id(), item.name(), "", change));
      if (in.faults.size() == faultsBefore && change != null && change != 0)
        lines.add(new WriteDown.Line(row, item, change, in.draft.cell(row, "memo")));
    }
    if (lines.isEmpty() && in.faults.isEmpty())
      in.fault(
          any ? "" : "rows.0.item",
          any
              ? "Nothing changes: each of these is worth at least what it stands at."
              : "There is no line yet: name an item and what it is expected to fetch.");
    return in.done(() -> new WriteDown(date, List.copyOf(lines)));
  }

  private static Long change(Reader in, int row, Item item, LocalDate date) {
    Catalogue.Standing stands = in.book.standing(item.id(), date);
    String typed = in.draft.cell(row, "change");
    if (!typed.isEmpty()) {
      BigDecimal read =
          in.amount(
              "rows." + row + ".change", typed.replace('−', '-'), in.book.rules().coin().digits());
      return read == null
          ? null
          : checked(in, row, item, stands, in.book.rules().coin().minor(read));
    }
    String price = in.draft.cell(row, "price");
    if (price.isEmpty()) {
      in.fault(
          "rows." + row + ".price",
          "What is one expected to sell for? Or write the change in value in the last column.");
      return null;
    }
    BigDecimal each = in.amount("rows." + row + ".price", price, 6);
    String toSell = in.draft.cell(row, "to_sell");
    BigDecimal cost =
        toSell.isEmpty() ? BigDecimal.ZERO : in.amount("rows." + row + ".to_sell", toSell, 6);
    if (each == null || cost == null) return null;
    if (each.signum() < 0 || cost.signum() < 0) {
      in.fault("rows." + row + ".price", "Price and cost to sell are not below zero.");
      return null;
    }
    return toNetRealisableValue(in, row, item, stands, each.subtract(cost).max(BigDecimal.ZERO));
  }

  /**
   * The difference between worth and net realisable value, the expected price less the cost to sell
   * (IAS 2 paragraph 6); upwards at most what was written down before (paragraph 33).
   */
  private static Long toNetRealisableValue(
      Reader in, int row, Item item, Catalogue.Standing stands, BigDecimal each) {
    try {
      BigDecimal quantity = BigDecimal.valueOf(Math.max(0, stands.onHand()), 6);
      long realisable = in.book.rules().coin().rounded(each.multiply(quantity));
      long change = Math.min(realisable - stands.worth(), stands.writtenDown());
      if (change == 0)
        in.notes.add(
            Fault.at(
                row, "item", item.name() + " stays at " + in.say(stands.worth()) + ", its cost."));
      return change;
    } catch (ArithmeticException tooLarge) {
      in.fault("rows." + row + ".price", "This is larger than any amount this book can hold.");
      return null;
    }
  }

  private static Long checked(
      Reader in, int row, Item item, Catalogue.Standing stands, long change) {
    String cell = "rows." + row + ".change";
    if (change < -stands.worth())
      in.fault(
          cell, item.name() + " is worth " + in.say(stands.worth()) + "; no more can come off.");
    else if (change > stands.writtenDown())
      in.fault(
          cell,
          stands.writtenDown() == 0
              ? item.name() + " stands at cost; goods are not written up above it."
              : item.name()
                  + " stands "
                  + in.say(stands.writtenDown())
                  + " under cost; no more can be put back.");
    else if (change == 0) in.fault(cell, "By how much? Minus for a write-down.");
    else return change;
    return null;
  }
}
