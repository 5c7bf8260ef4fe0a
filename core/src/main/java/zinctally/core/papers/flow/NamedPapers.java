package zinctally.core.papers.flow;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** The earlier papers that rows name, and what these wait for. */
final class NamedPapers {
  private final Reader in;
  private final Trading way;
  private final @Nullable Party who;
  private final @Nullable LocalDate date;
  private final Drawing drawing;
  private final boolean comesLater;
  private final Map<String, List<Awaited>> papers = new HashMap<>();

  NamedPapers(
      Reader in, Trading way, @Nullable Party who, @Nullable LocalDate date, Drawing drawing) {
    this.in = in;
    this.way = way;
    this.who = who;
    this.date = date;
    this.drawing = drawing;
    comesLater = "later".equals(in.draft.field("goods"));
  }

  /** Of what a paper waits for, what is of this kind and item. */
  static List<Awaited> some(List<Awaited> named, Awaits what, Item item) {
    return named.stream().filter(a -> a.what() == what && a.item().id() == item.id()).toList();
  }

  /** What the paper named in the row waits for; none when none is named, null when it is wrong. */
  @Nullable List<Awaited> named(RowReader row, String kinds, Item item) {
    String number = row.cell("of");
    if (number.isEmpty()) return List.of();
    List<Awaited> found =
        papers.computeIfAbsent(
            number.toUpperCase(java.util.Locale.ROOT), n -> in.book.awaited(number));
    if (found.isEmpty()) {
      row.fault(
          "of",
          "No "
              + kinds
              + " \""
              + number
              + "\" that waits for goods or "
              + (way.buying() ? "a bill" : "an invoice")
              + " is posted here.");
      return null;
    }
    Awaited first =
        found.stream()
            .filter(a -> a.number().equalsIgnoreCase(number))
            .filter(a -> a.what() != Awaits.CONSIGNED_SOLD)
            .findFirst()
            .orElse(found.get(0));
    if (who != null && first.party() != who.id()) {
      row.fault("of", number + " is not " + who.name() + "'s.");
      return null;
    }
    boolean goods = in.draft.kind() == way.moving() || !comesLater;
    boolean order = first.kind().is(Trait.ORDERS);
    if (order && goods && date != null && date.isBefore(first.date())) {
      row.fault(
          "of",
          "%s is of %s; its goods cannot %s before.".formatted(number, first.date(), way.come()));
      return null;
    }
    if (order && !first.order().open()) {
      row.fault("of", number + " is not approved yet.");
      return null;
    }
    Set<Awaits> brings = Trading.broughtBy(in.draft.kind());
    found.stream()
        .filter(a -> a.item().id() == item.id() && brings.contains(a.what()))
        .findFirst()
        .ifPresent(
            a ->
                row.beside(
                    "awaited", item.units().say(new Quantity(Math.max(0, drawing.open(a))))));
    return found;
  }

  /** Revenue meets its cost when both goods and invoice have gone: not before the goods went. */
  boolean dated(RowReader row, List<Awaited> sent) {
    Optional<Awaited> later =
        sent.stream().filter(a -> date != null && date.isBefore(a.date())).findFirst();
    later.ifPresent(
        a ->
            row.fault(
                "of",
                a.number()
                    + " went on "
                    + a.date()
                    + "; an invoice for it is of that day or later."));
    return later.isEmpty();
  }
}
