package zinctally.core.papers.read;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Centre;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;

/**
 * Reads which cost centre bears each row: the one in its cell, else the one in the head, else the
 * usual one of its item's group, else that of its place.
 */
final class Centres {
  private static final String PLACE = "place";
  private final Reader in;

  Centres(Reader in) {
    this.in = in;
  }

  Map<Integer, Centre> read() {
    Map<Integer, Centre> centres = new HashMap<>();
    if (!in.book.hasCentres()) return centres;
    Optional<Centre> whole = named(Draft.CENTRE, in.draft.field(Draft.CENTRE));
    for (RowReader row : in.rows()) {
      Optional<Centre> own = named(row.at(Draft.CENTRE), row.cell(Draft.CENTRE));
      if (own.isEmpty()) own = whole.or(() -> usual(row));
      own.ifPresent(centre -> bears(row.index(), centre, centres));
    }
    return centres;
  }

  private void bears(int row, Centre centre, Map<Integer, Centre> centres) {
    centres.put(row, centre);
    Reading.RowFacts facts = in.facts.get(row);
    if (facts != null) in.facts.put(row, facts.with(Draft.CENTRE, centre.name()));
  }

  private Optional<Centre> named(String cell, String typed) {
    if (typed.isEmpty()) return Optional.empty();
    Optional<Centre> centre = in.book.centre(typed);
    if (centre.isEmpty())
      in.fault(cell, "There is no cost centre \"" + typed + "\"; Set up, Cost centres lists them.");
    return centre;
  }

  private Optional<Centre> usual(RowReader row) {
    Item item = row.cell("item").isEmpty() ? null : in.book.item(row.cell("item")).orElse(null);
    String typed = row.cell(PLACE).isEmpty() ? in.draft.field(PLACE) : row.cell(PLACE);
    Place place = typed.isEmpty() ? null : in.book.place(typed).orElse(null);
    return in.book.usualCentre(item, place);
  }
}
