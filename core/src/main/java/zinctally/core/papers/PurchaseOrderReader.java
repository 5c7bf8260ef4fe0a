package zinctally.core.papers;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.goods.Item;
import zinctally.core.units.Units;

/** Reads a purchase order. */
final class PurchaseOrderReader {
  private PurchaseOrderReader() {}

  static Reading order(Reader in) {
    LocalDate date = in.date();
    Party who = in.party("supplier", Party.Kind.SUPPLIER);
    String reference = in.text("reference");
    boolean when = !in.draft.field("expected").isEmpty();
    LocalDate expected = when ? in.day("expected", null) : null;
    if (expected != null && date != null && expected.isBefore(date))
      in.fault(
          "expected",
          "Expected on " + expected + ", which is before the order's date " + date + ".");
    Place place = in.place("place", in.draft.field("place"));
    String notes = in.text("notes");
    boolean taxIncluded = "included".equals(in.draft.field("prices"));
    List<PurchaseOrder.Line> lines = new ArrayList<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      PurchaseOrder.Line line = line(in, row, taxIncluded);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.faults.isEmpty())
      in.fault("rows.0.item", "There is no line yet: name an item and how many.");
    return in.done(
        () -> new PurchaseOrder(date, who, reference, expected, place, notes, List.copyOf(lines)));
  }

  private static PurchaseOrder.Line line(Reader in, int row, boolean taxIncluded) {
    int before = in.faults.size();
    Item item = in.item(row);
    Units.Typed quantity = item == null ? null : in.above(row, item.units(), ".");
    BigDecimal price = in.price(row, false);
    TaxRate rate = in.rate(row);
    if (item == null) return null;
    Long amount =
        quantity == null || price == null
            ? Long.valueOf(0)
            : in.amountOf(row, quantity, price, BigDecimal.ZERO);
    String unit = quantity == null ? item.units().base().sign() : quantity.unit().sign();
    in.rows.put(
        row, new Reading.RowFacts(item.id(), item.name(), unit, price == null ? null : amount));
    if (in.faults.size() > before || quantity == null || amount == null) return null;
    long tax = rate == null ? 0 : taxIncluded ? rate.within(amount) : rate.onNet(amount);
    return new PurchaseOrder.Line(
        row,
        item,
        quantity.quantity(),
        unit,
        price,
        taxIncluded ? amount - tax : amount,
        tax,
        rate);
  }
}
