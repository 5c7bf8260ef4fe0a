package zinctally.core.papers.move;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.Standing;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.units.Units;

/** Reads a transfer. */
public final class TransferReader {
  private TransferReader() {}

  public static Reading transfer(Reader in) {
    LocalDate date = in.date();
    Place place = in.place("place", in.draft.field("place"));
    Place into = into(in, place);
    String note = in.text("notes");
    NumbersReader numbers = new NumbersReader(in);
    List<Transfer.Line> lines = new ArrayList<>();
    for (RowReader row : in.rows()) {
      Transfer.Line line = line(row, place, numbers);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.sound())
      in.fault("rows.0.item", "There is no line yet: what goes, and how many?");
    Place way =
        in.draft.field("sent").isEmpty() || into == null
            ? null
            : in.book.as(in.book.onTheWay(), into.standing(), into.owner());
    if (way != null && place != null && into != null && place.at() == into.at())
      in.fault("sent", "They stay where they are, so there is no way to be on.");
    return in.done(
        () -> new Transfer(known(date), known(place), known(into), way, note, List.copyOf(lines)));
  }

  /**
   * Where they go: to another place as they are, or in another standing there or where they are.
   * They stay whosever they are.
   */
  private static @Nullable Place into(Reader in, @Nullable Place from) {
    String typed = in.draft.field("standing");
    Standing said = typed.isEmpty() ? null : in.standing("standing", typed);
    boolean stays = in.draft.field("into").isEmpty() && !typed.isEmpty();
    Place there = stays ? from : in.place("into", in.draft.field("into"));
    if (there == null || from == null) return null;
    Standing asItIs = there.isPlain() ? from.standing() : there.standing();
    Standing then = said == null ? asItIs : said;
    Place into = in.book.as(there, then, from.owner());
    if (into.at() == from.at() && then.id() == from.standing().id())
      in.fault(
          "into",
          "That is where they are; to which other place, or into which standing, do they go?");
    return into;
  }

  private static Transfer.@Nullable Line line(
      RowReader row, @Nullable Place place, NumbersReader numbers) {
    Item item = row.stocked("there is nothing to move.");
    if (item == null) return null;
    Units.Typed quantity =
        row.above(item.units(), "; what comes back is a transfer the other way.");
    row.facts(item, quantity, null);
    String memo = row.memo();
    if (quantity == null) return null;
    long micros = quantity.quantity().micros();
    row.askPromised(item, place, micros, 0);
    List<Numbered> given =
        row.sound() && item.tracked() ? numbers.leaving(row, item, micros, place) : List.of();
    return !row.sound() || given == null
        ? null
        : new Transfer.Line(
            row.index(), item, quantity.quantity(), quantity.unit().sign(), memo, given);
  }
}
