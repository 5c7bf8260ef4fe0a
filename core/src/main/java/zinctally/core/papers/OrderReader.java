package zinctally.core.papers;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.units.Units;

/** Reads a purchase order or a sales order. */
final class OrderReader {
  private OrderReader() {}

  static Reading order(Reader in) {
    LocalDate date = in.date();
    boolean buying = in.draft.kind() == PaperKind.PURCHASE_ORDER;
    Party who = in.party();
    String reference = in.text("reference");
    boolean when = !in.draft.field("expected").isEmpty();
    LocalDate expected = when ? in.day("expected", null) : null;
    if (expected != null && date != null && expected.isBefore(date))
      in.fault(
          "expected",
          "Expected on " + expected + ", which is before the order's date " + date + ".");
    Place place = in.place("place", in.draft.field("place"));
    String notes = in.text("notes");
    List<Order.Line> lines = new ArrayList<>();
    Map<Long, Long> promised = new HashMap<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      Order.Line line = line(in, row, buying);
      if (line == null) continue;
      lines.add(line);
      if (!buying) promised(in, line, place, promised);
    }
    if (!buying)
      in.askCredit(who, lines.stream().mapToLong(l -> Math.addExact(l.net(), l.tax())).sum());
    if (lines.isEmpty() && in.faults.isEmpty())
      in.fault("rows.0.item", "There is no line yet: name an item and how many.");
    return in.done(
        () ->
            new Order(
                in.draft.kind(), date, who, reference, expected, place, notes, List.copyOf(lines)));
  }

  private static Order.Line line(Reader in, int row, boolean buying) {
    int before = in.faults.size();
    Item item = in.item(row);
    Units.Typed quantity = item == null ? null : in.above(row, item.units(), ".");
    BigDecimal price = in.price(row, !buying);
    TaxRate rate = in.rate(row);
    if (item == null) return null;
    String unit = quantity == null ? item.units().base().sign() : quantity.unit().sign();
    in.rows.put(row, new Reading.RowFacts(item.id(), item.name(), unit, null));
    Reader.Discounted off =
        quantity == null || price == null
            ? new Reader.Discounted(BigDecimal.ZERO, 0L)
            : in.discounted(row, quantity, price);
    if (price != null && off != null) in.rows.put(row, in.rows.get(row).amounting(off.amount()));
    if (in.faults.size() > before || quantity == null || off == null || off.amount() == null)
      return null;
    LineAmounts one = in.amounts(List.of(new LineAmounts.Line(off.amount(), rate)));
    if (!buying) in.margin(row, item, quantity.quantity().micros(), one.net()[0]);
    return new Order.Line(
        row,
        item,
        quantity.quantity(),
        unit,
        price,
        off.percent(),
        one.net()[0],
        one.tax()[0],
        rate);
  }

  /** Says when a line promises more than is free. */
  private static void promised(Reader in, Order.Line line, Place place, Map<Long, Long> promised) {
    if (place == null || !line.item().stocked()) return;
    long micros = line.quantity().micros();
    long before = promised.merge(line.item().id(), micros, Long::sum) - micros;
    Catalogue.Free free = in.book.free(line.item().id(), place.id());
    long here = Math.max(0, free.here() - before);
    if (micros <= here) return;
    Units units = line.item().units();
    String elsewhere =
        free.everywhere() > free.here()
            ? ", " + units.say(new Quantity(free.everywhere() - free.here())) + " elsewhere"
            : "";
    String coming =
        free.onOrder() <= 0
            ? "; none is on order"
            : "; "
                + units.say(new Quantity(free.onOrder()))
                + " on order"
                + (free.expected() == null ? "" : ", expected " + free.expected());
    in.notes.add(
        Fault.at(
            line.row(),
            "quantity",
            line.item().name()
                + " is short: "
                + units.say(new Quantity(here))
                + " of "
                + units.say(line.quantity())
                + " are free here"
                + elsewhere
                + coming
                + "."));
  }
}
