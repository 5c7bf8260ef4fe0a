package zinctally.core.papers.consign;

import static zinctally.core.papers.read.Reader.known;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Quantity;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.move.Moved;
import zinctally.core.papers.move.MovedReader;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads goods of a supplier that come here on consignment, or go back. */
public final class ConsignmentReader {
  private final Reader in;
  private final Map<Long, Long> taken = new HashMap<>();

  private ConsignmentReader(Reader in) {
    this.in = in;
  }

  public static Reading consignment(Reader in) {
    return new ConsignmentReader(in).read();
  }

  private Reading read() {
    boolean comes = in.draft.kind() == PaperKind.CONSIGNMENT_IN;
    LocalDate date = in.date();
    Party who = needed();
    String number = in.text("their_number");
    Place place = theirs(who);
    String note = in.text("notes");
    NumbersReader numbers = new NumbersReader(in);
    List<Moved> goods =
        MovedReader.lines(
            in,
            comes
                ? "; what goes back is a paper of its own."
                : "; what comes is a paper of its own.",
            comes ? "There is no line yet: what came?" : "There is no line yet: what goes back?",
            (row, item, micros) ->
                comes
                    ? numbers.arriving(row, item, micros, place)
                    : numbers.leaving(row, item, micros, place));
    List<Consignment.Line> lines = new ArrayList<>();
    for (Moved one : goods) {
      RowReader row = in.row(one.row());
      if (comes && who != null && date != null) agreed(row, one, who, date);
      List<Flow.Portion> ordered = comes ? ordered(row, one, who, date) : List.of();
      lines.add(new Consignment.Line(one, ordered, comes ? price(row, one) : null));
    }
    return in.done(
        () ->
            new Consignment(
                in.draft.kind(),
                known(date),
                known(who),
                number,
                known(place),
                note,
                List.copyOf(lines)));
  }

  /** Whose goods they are: somebody with whom something is agreed. */
  private @Nullable Party needed() {
    String typed = in.draft.party();
    Optional<Party> known = in.book.party(Party.Kind.SUPPLIER, typed);
    if (known.isEmpty())
      in.fault(
          "supplier",
          typed.isEmpty()
              ? "Whose goods are they? A name is enough."
              : "Nothing is agreed with \"" + typed + "\"; write an agreement first.");
    return known.orElse(null);
  }

  private @Nullable Place theirs(@Nullable Party who) {
    Place typed = in.place("place", in.draft.field("place"));
    return typed == null || who == null ? null : in.book.as(typed, typed.standing(), who);
  }

  private void agreed(RowReader row, Moved goods, Party who, LocalDate date) {
    Optional<Terms> terms = in.book.terms(who.id(), goods.item().id(), date);
    if (terms.isEmpty()) row.fault("item", Taking.missing(goods.item(), who, date));
    else row.beside("owed", terms.get().says(in.book.rules().coin()));
  }

  /** What these pieces are sold for, if not as the list says; they must be told apart for that. */
  private static @Nullable BigDecimal price(RowReader row, Moved goods) {
    BigDecimal price = row.price(false);
    if (price != null && goods.item().tracking() != Tracking.SERIAL)
      row.fault(
          "price",
          "Only pieces with serial numbers have prices of their own; that of "
              + goods.item().name()
              + " is under Prices.");
    return price;
  }

  /** What of it was ordered on consignment, with the order named in the row. */
  private List<Flow.Portion> ordered(
      RowReader row, Moved goods, @Nullable Party who, @Nullable LocalDate date) {
    String number = row.cell("of");
    if (number.isEmpty() || who == null) return List.of();
    List<Flow.Portion> portions = new ArrayList<>();
    long wanted = goods.quantity().micros();
    for (Awaited order : in.book.awaited(Awaits.TO_BE_CONSIGNED, who.id(), goods.item().id())) {
      if (!order.number().equalsIgnoreCase(number)) continue;
      if (!order.order().open()) row.fault("of", number + " is not approved yet.");
      if (date != null && date.isBefore(order.date()))
        row.fault("of", number + " is of " + order.date() + "; its goods cannot come before.");
      long some = Math.min(wanted, order.openQuantity() - taken.getOrDefault(order.id(), 0L));
      if (some <= 0) continue;
      portions.add(new Flow.Portion(order, some, 0));
      taken.merge(order.id(), some, Long::sum);
      wanted -= some;
    }
    if (portions.isEmpty())
      row.fault("of", "No " + goods.item().name() + " is to come with \"" + number + "\".");
    else if (wanted > 0)
      row.ask(
          "quantity",
          goods.item().units().say(new Quantity(wanted)) + " more than " + number + " ordered.");
    return portions;
  }
}
