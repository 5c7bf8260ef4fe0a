package zinctally.core.papers.consign;

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

/** Reads goods of ours that go to a customer on consignment. */
public final class ConsignmentOutReader {
  private ConsignmentOutReader() {}

  public static Reading out(Reader in) {
    LocalDate date = in.date();
    Party who = in.party();
    Place place = in.place("place", in.draft.field("place"));
    if (place != null && (!place.isPlain() || place.host() != null))
      in.fault("place", "Only good goods that are here go on consignment.");
    Place into = who == null ? null : in.book.atCustomer(who);
    String note = in.text("notes");
    NumbersReader numbers = new NumbersReader(in);
    List<Moved> lines =
        MovedReader.lines(
            in,
            "; what comes back is a transfer from there.",
            "There is no line yet: what goes to them?",
            (row, item, micros) -> numbers.leaving(row, item, micros, place));
    for (Moved line : lines)
      in.row(line.row()).askPromised(line.item(), place, line.quantity().micros(), 0);
    return in.done(
        () -> new ConsignmentOut(known(date), known(who), known(place), known(into), note, lines));
  }
}
