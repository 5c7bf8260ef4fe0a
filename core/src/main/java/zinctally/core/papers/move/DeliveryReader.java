package zinctally.core.papers.move;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.consign.KeptReader;
import zinctally.core.papers.consign.Taken;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.flow.FlowReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
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
    Place kept = KeptReader.place(in, place, who);
    KeptReader.theirs(in.head(), place, who);
    FlowReader flows = new FlowReader(in, who, date);
    List<Delivery.Line> lines = new ArrayList<>();
    for (RowReader row : in.rows()) {
      if (row.isZero()) continue;
      Delivery.Line line = line(row, place, flows);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.sound())
      in.fault("rows.0.item", "There is no line yet: what goes, and how many?");
    return in.done(
        () ->
            new Delivery(
                known(date),
                known(who),
                reference,
                address,
                note,
                known(place),
                kept,
                List.copyOf(lines)));
  }

  private static Delivery.@Nullable Line line(
      RowReader row, @Nullable Place place, FlowReader flows) {
    Item item = row.stocked("it is invoiced, but not delivered.");
    if (item == null) return null;
    Units.Typed quantity =
        row.above(item.units(), "; what comes back is a return from the customer.");
    row.facts(item, quantity, null);
    if (quantity == null) return null;
    Flow flow = flows.moved(row, item, place, quantity.quantity().micros());
    long others = flow.taken().stream().mapToLong(Taken::micros).sum();
    row.askPromised(item, place, quantity.quantity().micros() - others, flow.order());
    return !row.sound()
        ? null
        : new Delivery.Line(row.index(), item, quantity.quantity(), quantity.unit().sign(), flow);
  }
}
