package zinctally.core.papers.mend;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Quantity;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.move.Moved;
import zinctally.core.papers.move.MovedReader;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads customers' own goods, taken in to be mended and given back. */
public final class CustomersReader {
  private CustomersReader() {}

  public static Reading takenIn(Reader in) {
    LocalDate date = in.date();
    Party who = in.party("customer", in.draft.field("customer"), Party.Kind.CUSTOMER);
    Place place = theirs(in, who);
    LocalDate due = MovedReader.backBy(in, date, "they came");
    String note = in.text("notes");
    NumbersReader numbers = new NumbersReader(in);
    List<Moved> lines =
        MovedReader.lines(
            in,
            "; what goes back is a paper of its own.",
            "There is no line yet: what was brought, and what is wrong with it?",
            (row, item, micros) -> numbers.arriving(row, item, micros, place));
    return in.done(() -> new TakenIn(known(date), known(who), known(place), due, note, lines));
  }

  public static Reading givenBack(Reader in) {
    LocalDate date = in.date();
    String typed = in.draft.field("customer");
    Optional<Party> known = in.book.party(Party.Kind.CUSTOMER, typed);
    if (known.isEmpty())
      in.fault(
          "customer",
          typed.isEmpty()
              ? "To which customer? A name is enough."
              : "Nothing of \"" + typed + "\" is here.");
    Party who = known.orElse(null);
    Place place = theirs(in, who);
    String note = in.text("notes");
    NumbersReader numbers = new NumbersReader(in);
    List<Moved> goods =
        MovedReader.lines(
            in,
            "; what comes in is a paper of its own.",
            "There is no line yet: what goes back?",
            (row, item, micros) -> numbers.leaving(row, item, micros, place));
    Map<Long, Long> taken = new HashMap<>();
    List<GivenBack.Line> lines = new ArrayList<>();
    if (who != null)
      for (Moved one : goods) lines.add(new GivenBack.Line(one, of(in, one, who, date, taken)));
    return in.done(
        () ->
            new GivenBack(
                in.draft.kind(), known(date), known(who), known(place), note, List.copyOf(lines)));
  }

  /** The place typed, for goods of somebody. */
  private static @Nullable Place theirs(Reader in, @Nullable Party who) {
    Place typed = in.place("place", in.draft.field("place"));
    return typed == null || who == null ? null : in.book.as(typed, typed.standing(), who);
  }

  private static Awaits waits(Reader in) {
    return in.draft.kind() == PaperKind.GIVEN_BACK ? Awaits.TO_GIVE_BACK : Awaits.KEPT_HERE;
  }

  /** With which lines it was taken in, the oldest first. */
  private static List<GivenBack.Part> of(
      Reader in, Moved goods, Party who, @Nullable LocalDate date, Map<Long, Long> taken) {
    RowReader row = in.row(goods.row());
    List<GivenBack.Part> parts = new ArrayList<>();
    long wanted = goods.quantity().micros();
    long there = 0;
    for (Awaited came : in.book.awaited(waits(in), who.id(), goods.item().id())) {
      if (date != null && date.isBefore(came.date())) continue;
      long left = came.openQuantity() - taken.getOrDefault(came.id(), 0L);
      there += left;
      long some = Math.min(left, wanted);
      if (some <= 0) continue;
      parts.add(new GivenBack.Part(came.id(), new Quantity(some)));
      taken.merge(came.id(), some, Long::sum);
      wanted -= some;
    }
    if (wanted > 0)
      row.fault(
          "quantity",
          goods.item().units().say(new Quantity(there))
              + " of "
              + who.name()
              + "'s "
              + goods.item().name()
              + " are here to be handed over.");
    return parts;
  }
}
