package zinctally.core.papers.move;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.flow.StillAway;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.papers.stock.Found;
import zinctally.core.papers.stock.Reason;
import zinctally.core.units.Units;

/** Reads an arrival. */
public final class ArrivalReader {
  private static final StillAway.Words WORDS =
      new StillAway.Words(
          "With which transfer were they sent? Its number.",
          "nothing was sent that is still to be received",
          "sent",
          "on the way");
  private final Reader in;
  private final @Nullable LocalDate date;
  private Place way;
  private final NumbersReader numbers;
  private final StillAway sent;

  private ArrivalReader(Reader in) {
    this.in = in;
    date = in.date();
    sent = StillAway.with(in, "transfer", Awaits.ON_THE_WAY, date, WORDS);
    way = in.book.onTheWay();
    numbers = new NumbersReader(in);
  }

  public static Reading arrival(Reader in) {
    return new ArrivalReader(in).read();
  }

  private Reading read() {
    Place into = into(in.draft.field("transfer"));
    List<Arrival.Line> lines = new ArrayList<>();
    for (RowReader row : in.rows()) {
      Arrival.Line line = line(row, into);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.sound())
      in.fault("rows.0.item", "There is no line yet: what came, and how many?");
    return in.done(() -> new Arrival(known(date), way, known(into), List.copyOf(lines)));
  }

  /** Where they come to, as they were sent and whosever they are. */
  private @Nullable Place into(String transfer) {
    Place typed = in.place("into", in.draft.field("into"));
    Optional<Place> sent = in.book.wentTo(transfer);
    if (typed == null || sent.isEmpty()) return typed;
    way = in.book.as(way, sent.get().standing(), sent.get().owner());
    return in.book.as(
        typed, typed.isPlain() ? sent.get().standing() : typed.standing(), sent.get().owner());
  }

  private Arrival.@Nullable Line line(RowReader row, @Nullable Place into) {
    Item item = row.stocked("it cannot have been sent.");
    if (item == null) return null;
    boolean isLost = !row.cell("reason").isEmpty();
    if (isLost && !way.ours())
      row.fault(
          "reason",
          "These are " + way.whose().name() + "'s; what is lost is not ours to write off.");
    Reason lost = isLost ? Found.reason(in, row, true) : null;
    Units.Typed quantity = row.above(item.units(), "; what is still on the way is left out.");
    row.facts(item, quantity, null);
    String memo = row.memo();
    if (quantity == null || sent.isNothing()) return null;
    Optional<Awaited> of = sent.take(row, item, quantity.quantity().micros());
    List<Numbered> given = List.of();
    if (row.sound() && item.tracked())
      given = numbers.leaving(row, item, quantity.quantity().micros(), way);
    return !row.sound() || given == null || of.isEmpty()
        ? null
        : new Arrival.Line(
            row.index(), of.get(), quantity.quantity(), quantity.unit().sign(), lost, memo, given);
  }
}
