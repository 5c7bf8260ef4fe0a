package zinctally.core.papers.stock;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.goods.Item;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.consign.PutRight;
import zinctally.core.papers.consign.PutRightReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.units.Units;

/** Reads an adjustment. */
public final class AdjustmentReader {
  private AdjustmentReader() {}

  public static Reading adjustment(Reader in) {
    LocalDate date = in.date();
    Place place = in.place("place", in.draft.field("place"));
    List<Adjustment.Line> lines = new ArrayList<>();
    PutRightReader goods = new PutRightReader(in, date);
    for (RowReader row : in.rows()) {
      Item item = row.stocked("there is nothing to adjust.");
      Units.Typed quantity = item == null ? null : row.quantity(item.units());
      if (quantity != null && quantity.quantity().signum() == 0)
        row.fault("quantity", "Up or down by how many? Zero changes nothing.");
      Reason reason = Found.reason(in, row, true);
      String memo = row.memo();
      Long value =
          item == null || quantity == null
              ? null
              : Found.worth(row, item, quantity, place, in.book::latestCost);
      if (item != null)
        row.facts(
            new Reading.RowFacts(
                item.id(), item.name(), quantity == null ? "" : quantity.unit().sign(), value));
      if (quantity != null && item != null)
        row.askPromised(item, place, -quantity.quantity().micros(), 0);
      if (item == null || quantity == null || value == null || reason == null || !row.sound())
        continue;
      PutRight right =
          goods.of(row, item, place, quantity.quantity().micros(), value, reason.account());
      if (right != null)
        lines.add(
            new Adjustment.Line(quantity.quantity(), quantity.unit().sign(), reason, memo, right));
    }
    if (lines.isEmpty() && in.sound())
      in.fault(
          "rows.0.item", "There is no line yet: name an item and by how many it is up or down.");
    return in.done(() -> new Adjustment(known(date), known(place), List.copyOf(lines)));
  }
}
