package zinctally.core.papers.mend;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.List;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.move.Moved;
import zinctally.core.papers.move.MovedReader;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.papers.read.Reader;

/** Reads what goes out for repair. */
public final class RepairOutReader {
  private RepairOutReader() {}

  public static Reading repairOut(Reader in) {
    LocalDate date = in.date();
    String typed = in.draft.field("repairer");
    Party who = typed.isEmpty() ? null : in.party("repairer", typed, Party.Kind.SUPPLIER);
    Place place = in.place("place", in.draft.field("place"));
    Place bench =
        place == null ? null : in.book.as(in.book.repairer(who), place.standing(), place.owner());
    LocalDate due = MovedReader.backBy(in, date, "they go");
    String charge = in.draft.field("expected");
    Long expected = charge.isEmpty() ? Long.valueOf(0) : in.money("expected", charge);
    String note = in.text("notes");
    NumbersReader numbers = new NumbersReader(in);
    List<Moved> lines =
        MovedReader.lines(
            in,
            "; what comes back is a paper of its own.",
            "There is no line yet: what goes out, and what is wrong with it?",
            (row, item, micros) -> numbers.leaving(row, item, micros, place));
    for (Moved line : lines)
      in.row(line.row()).askPromised(line.item(), place, line.quantity().micros(), 0);
    return in.done(
        () ->
            new RepairOut(
                known(date), who, known(place), known(bench), due, known(expected), note, lines));
  }
}
