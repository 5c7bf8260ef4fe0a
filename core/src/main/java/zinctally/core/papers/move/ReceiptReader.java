package zinctally.core.papers.move;

import static zinctally.core.papers.read.Reader.known;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Share;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.flow.FlowReader;
import zinctally.core.papers.read.PartyQuestions;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.units.Units;

/** Reads a receipt. */
public final class ReceiptReader {
  private ReceiptReader() {}

  public static Reading receipt(Reader in) {
    LocalDate date = in.date();
    Party who = in.party();
    String number = in.text("their_number");
    PartyQuestions.sameNumber(in, who, number);
    Place place = in.place("place", in.draft.field("place"));
    FlowReader flows = new FlowReader(in, who, date);
    List<Receipt.Line> lines = new ArrayList<>();
    for (RowReader row : in.rows()) {
      if (row.isZero()) continue;
      Receipt.Line line = line(in, row, place, flows);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.sound())
      in.fault("rows.0.item", "There is no line yet: what has come, and how many?");
    return in.done(
        () -> new Receipt(known(date), known(who), number, known(place), List.copyOf(lines)));
  }

  private static Receipt.@Nullable Line line(
      Reader in, RowReader row, @Nullable Place place, FlowReader flows) {
    Item item = row.stocked("it is billed, but not received.");
    Units.Typed quantity =
        item == null
            ? null
            : row.above(item.units(), "; what goes back is a return to the supplier.");
    BigDecimal price = row.price(false);
    if (item == null) return null;
    row.facts(item, quantity, null);
    if (quantity == null || !row.sound()) return null;
    Flow flow = flows.moved(row, item, place, quantity.quantity().micros());
    Long unbilled =
        flow.now() == 0 ? Long.valueOf(0) : expected(in, row, item, quantity, price, flow);
    if (unbilled == null) return null;
    long value = unbilled;
    for (Flow.Portion bill : flow.before()) value = Math.addExact(value, bill.value());
    row.amounting(value);
    return !row.sound()
        ? null
        : new Receipt.Line(
            row.index(),
            item,
            quantity.quantity(),
            quantity.unit().sign(),
            price,
            value,
            unbilled,
            flow);
  }

  /** The price typed, else the order's, else the latest cost known. */
  private static @Nullable Long expected(
      Reader in,
      RowReader row,
      Item item,
      Units.Typed quantity,
      @Nullable BigDecimal price,
      Flow flow) {
    long micros = quantity.quantity().micros();
    if (price != null) {
      Long all = row.amountOf(quantity, price, BigDecimal.ZERO);
      return all == null ? null : Long.valueOf(Share.of(all, flow.now(), micros));
    }
    boolean priced =
        !flow.ordered().isEmpty() && flow.ordered().stream().allMatch(p -> p.of().price() != null);
    if (priced) {
      long value = 0;
      for (Flow.Portion order : flow.ordered())
        value =
            Math.addExact(
                value, Share.of(order.of().net(), order.quantity(), order.of().quantity()));
      return value;
    }
    Optional<Catalogue.LatestCost> latest = in.book.latestCost(item.id());
    if (latest.isPresent()) return latest.get().of(flow.now());
    row.fault(
        "price",
        "No cost of "
            + item.name()
            + " is known yet; at what price will it be billed, about? The bill puts it right.");
    return null;
  }
}
