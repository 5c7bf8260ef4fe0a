package zinctally.web.paper;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.ListPrices;
import zinctally.store.goods.StockStore;
import zinctally.store.sell.CustomerStore;
import zinctally.store.sell.TaxStore;

/**
 * What is asked once for all rows of a draft.
 *
 * @param last what the supplier asked last, by item
 */
record AskedOfRows(
    Draft draft,
    Optional<Draft> before,
    BookCatalogue book,
    Map<Long, Item> items,
    Map<String, Map<Long, StockStore.Free>> free,
    Map<Long, Catalogue.LatestCost> last,
    Optional<CustomerStore.Card> customer,
    TaxStore.Usual taxes,
    ListPrices.Listed prices) {
  /** Whether a cell is empty and not meant so, or was filled in and follows what is offered. */
  boolean follows(int row, String column) {
    List<String> filled = List.of(draft.cell(row, TypedDraft.FILLED).split(" "));
    if (filled.contains(column)) return true;
    return draft.cell(row, column).isEmpty()
        && !filled.contains(TypedDraft.LEFT_EMPTY + column)
        && !stoodEmpty(row, column);
  }

  private boolean stoodEmpty(int row, String column) {
    return before
        .filter(b -> row < b.rows().size() && !b.cell(row, "item").isEmpty())
        .filter(b -> b.cell(row, "item").equals(draft.cell(row, "item")))
        .filter(b -> b.cell(row, column).isEmpty())
        .isPresent();
  }

  boolean selling() {
    return selling(draft);
  }

  static boolean selling(Draft draft) {
    return draft.kind().is(Trait.PRICED) && draft.kind().isWith(Party.Kind.CUSTOMER);
  }

  /** Where the goods of a row are to come from: the row's place, else the paper's. */
  static String place(Draft draft, int row) {
    String own = row < draft.rows().size() ? draft.cell(row, "place") : "";
    return own.isEmpty() ? draft.field("place") : own;
  }
}
