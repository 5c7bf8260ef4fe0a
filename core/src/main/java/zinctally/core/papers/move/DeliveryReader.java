package zinctally.core.papers.move;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.goods.Item;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.flow.FlowReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.units.Units;

/** Reads a delivery. */
public final class DeliveryReader {
  private DeliveryReader() {}

  public static Reading delivery(Reader in) {
    LocalDate date = in.date();
    Party who = in.party();
    String reference = in.text("reference");
    String address = in.text("address");
    String note = in.text("notes");
    Place place = in.place("place", in.draft.field("place"));
    FlowReader flows = new FlowReader(in, who, date);
    List<Delivery.Line> lines = new ArrayList<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row) || in.notThisLine(row)) continue;
      Delivery.Line line = line(in, row, place, flows);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.faults.isEmpty())
      in.fault("rows.0.item", "There is no line yet: what goes, and how many?");
    return in.done(
        () -> new Delivery(date, who, reference, address, note, place, List.copyOf(lines)));
  }

  private static Delivery.Line line(Reader in, int row, Place place, FlowReader flows) {
    int before = in.faults.size();
    Item item = in.stocked(row, "it is invoiced, but not delivered.");
    if (item == null) return null;
    Units.Typed quantity =
        in.above(row, item.units(), "; what comes back is a return from the customer.");
    String unit = quantity == null ? item.units().base().sign() : quantity.unit().sign();
    in.rows.put(row, new Reading.RowFacts(item.id(), item.name(), unit, null));
    if (quantity == null) return null;
    Flow flow = flows.moved(row, item, place, quantity.quantity().micros());
    in.askPromised(row, item, place, quantity.quantity().micros(), flow.order());
    return in.faults.size() > before
        ? null
        : new Delivery.Line(row, item, quantity.quantity(), unit, flow);
  }
}
