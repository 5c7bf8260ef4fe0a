package zinctally.web.consign;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.consign.ConsignStore;
import zinctally.store.paper.PostedPaper;
import zinctally.web.paper.Followed;
import zinctally.web.paper.Heads;
import zinctally.web.paper.ItemRow;

/**
 * Goods that were ordered on consignment and come; ours at a customer's that are sold or come back.
 */
@Component
class ConsignedFollowed implements Followed {
  private final Catalogues catalogues;
  private final ConsignStore consigned;
  private final Heads heads;

  ConsignedFollowed(Catalogues catalogues, ConsignStore consigned, Heads heads) {
    this.catalogues = catalogues;
    this.consigned = consigned;
    this.heads = heads;
  }

  @Override
  public boolean begins(PostedPaper from, PaperKind kind) {
    return kind == PaperKind.CONSIGNMENT_IN || from.kind() == PaperKind.CONSIGNMENT_OUT;
  }

  /** Of what went to a customer, as long as some of it is there. */
  @Override
  public boolean offers(PostedPaper from) {
    return from.kind() != PaperKind.CONSIGNMENT_OUT || consigned.anythingAt(from.id());
  }

  @Override
  public List<Draft> from(PostedPaper from, PaperKind kind) {
    BookCatalogue book = catalogues.open();
    Map<String, String> fields = new HashMap<>(heads.defaults(kind));
    if (kind == PaperKind.CONSIGNMENT_IN) {
      fields.put("supplier", from.partyName());
      if (from.place() != null) fields.put("place", from.place());
      return List.of(new Draft(kind, fields, ordered(from, book)));
    }
    if (kind == PaperKind.TRANSFER && from.place() != null) fields.put("into", from.place());
    from.lines().stream()
        .map(PostedPaper.Line::place)
        .filter(p -> p != null)
        .findFirst()
        .ifPresent(there -> fields.put("place", there));
    kind.side().ifPresent(side -> fields.put(side.field(), from.partyName()));
    return List.of(new Draft(kind, fields, List.of()));
  }

  private static List<Map<String, String>> ordered(PostedPaper order, BookCatalogue book) {
    return book.awaited(order.number()).stream()
        .filter(a -> a.what() == Awaits.TO_BE_CONSIGNED && a.openQuantity() > 0)
        .map(a -> ItemRow.of(a.item(), new Quantity(a.openQuantity()), order.number()))
        .toList();
  }
}
