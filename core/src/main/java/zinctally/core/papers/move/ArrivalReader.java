package zinctally.core.papers.move;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.NullUnmarked;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.papers.stock.Found;
import zinctally.core.papers.stock.Reason;
import zinctally.core.units.Units;

/** Reads an arrival. */
@NullUnmarked
public final class ArrivalReader {
  private final Reader in;
  private final Place way;
  private final NumbersReader numbers;
  private final Map<Long, Long> taken = new HashMap<>();
  private List<Awaited> sent;

  private ArrivalReader(Reader in) {
    this.in = in;
    way = in.book.onTheWay();
    numbers = new NumbersReader(in);
  }

  public static Reading arrival(Reader in) {
    return new ArrivalReader(in).read();
  }

  private Reading read() {
    LocalDate date = in.date();
    String transfer = in.draft.field("transfer");
    sent =
        transfer.isEmpty()
            ? List.of()
            : in.book.awaited(transfer).stream()
                .filter(a -> a.what() == Awaits.ON_THE_WAY)
                .toList();
    if (sent.isEmpty())
      in.fault(
          "transfer",
          transfer.isEmpty()
              ? "With which transfer were they sent? Its number."
              : "With \"" + transfer + "\" nothing was sent that is still to be received.");
    else if (date != null && date.isBefore(sent.get(0).date()))
      in.fault("date", "They were sent on " + sent.get(0).date() + "; they cannot come before.");
    Place into = in.place("into", in.draft.field("into"));
    List<Arrival.Line> lines = new ArrayList<>();
    for (RowReader row : in.rows()) {
      Arrival.Line line = line(row, into);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.sound())
      in.fault("rows.0.item", "There is no line yet: what came, and how many?");
    return in.done(() -> new Arrival(date, way, into, List.copyOf(lines)));
  }

  private Arrival.Line line(RowReader row, Place into) {
    Item item = row.stocked("it cannot have been sent.");
    if (item == null) return null;
    boolean isLost = !row.cell("reason").isEmpty();
    Reason lost = isLost ? Found.reason(in, row, true) : null;
    Units.Typed quantity = row.above(item.units(), "; what is still on the way is left out.");
    row.facts(item, quantity, null);
    String memo = row.memo();
    if (quantity == null || sent.isEmpty()) return null;
    Optional<Awaited> of = of(row, item, quantity.quantity().micros());
    List<Numbered> given = List.of();
    if (row.sound() && item.tracked())
      given = numbers.leaving(row, item, quantity.quantity().micros(), way);
    return !row.sound() || given == null || of.isEmpty()
        ? null
        : new Arrival.Line(
            row.index(), of.get(), quantity.quantity(), quantity.unit().sign(), lost, memo, given);
  }

  /** The transfer's line it is of: the first with as much still on the way. */
  private Optional<Awaited> of(RowReader row, Item item, long micros) {
    List<Awaited> alike = sent.stream().filter(a -> a.item().id() == item.id()).toList();
    Optional<Awaited> enough = alike.stream().filter(a -> left(a) >= micros).findFirst();
    if (alike.isEmpty())
      row.fault("item", item.name() + " was not sent with " + in.draft.field("transfer") + ".");
    else if (enough.isEmpty())
      row.fault(
          "quantity",
          item.units().say(new Quantity(Math.max(0, alike.stream().mapToLong(this::left).sum())))
              + " are on the way with "
              + in.draft.field("transfer")
              + "; what was there besides is an adjustment.");
    enough.ifPresent(a -> taken.merge(a.id(), micros, Long::sum));
    return enough;
  }

  private long left(Awaited sent) {
    return sent.openQuantity() - taken.getOrDefault(sent.id(), 0L);
  }
}
