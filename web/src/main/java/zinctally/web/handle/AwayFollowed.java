package zinctally.web.handle;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.PostedPaper;
import zinctally.web.paper.Followed;
import zinctally.web.paper.Heads;
import zinctally.web.paper.ItemRow;

/**
 * Goods that went to another place, for repair, or came from a customer, or were left here, and
 * come or go back.
 */
@Component
class AwayFollowed implements Followed {
  private static final Map<PaperKind, Awaits> WAIT =
      Map.of(
          PaperKind.ARRIVAL, Awaits.ON_THE_WAY,
          PaperKind.REPAIR_BACK, Awaits.IN_REPAIR,
          PaperKind.GIVEN_BACK, Awaits.TO_GIVE_BACK,
          PaperKind.HANDED_OVER, Awaits.KEPT_HERE);
  private static final Map<PaperKind, String> NAMED_IN =
      Map.of(PaperKind.ARRIVAL, "transfer", PaperKind.REPAIR_BACK, "repair");
  private final PaperText texts;
  private final Catalogues catalogues;
  private final Heads heads;

  AwayFollowed(PaperText texts, Catalogues catalogues, Heads heads) {
    this.texts = texts;
    this.catalogues = catalogues;
    this.heads = heads;
  }

  @Override
  public boolean begins(PostedPaper from, PaperKind kind) {
    return WAIT.containsKey(kind);
  }

  @Override
  public List<Draft> from(PostedPaper from, PaperKind kind) {
    Draft text = texts.read(from.id(), from.version(), from.kind());
    BookCatalogue book = catalogues.open();
    List<Map<String, String>> rows =
        book.awaited(from.number()).stream()
            .filter(a -> a.what() == WAIT.get(kind) && a.openQuantity() > 0)
            .map(a -> row(a, text))
            .toList();
    if (rows.isEmpty()) return List.of();
    Map<String, String> fields = new HashMap<>(heads.defaults(kind));
    String there = text.field(kind == PaperKind.ARRIVAL ? "into" : "place");
    boolean theirs = kind == PaperKind.GIVEN_BACK || kind == PaperKind.HANDED_OVER;
    fields.put(theirs ? "place" : "into", book.place(there).map(Place::site).orElse(there));
    if (theirs) fields.put("customer", from.partyName());
    else fields.put(NAMED_IN.getOrDefault(kind, ""), from.number());
    return List.of(new Draft(kind, fields, rows));
  }

  private static Map<String, String> row(Awaited away, Draft text) {
    Map<String, String> row =
        new HashMap<>(ItemRow.of(away.item(), new Quantity(away.openQuantity())));
    if (away.openQuantity() == away.quantity() && away.line() < text.rows().size())
      row.put("numbers", text.cell(away.line(), "numbers"));
    return row;
  }
}
