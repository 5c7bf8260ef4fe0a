package zinctally.web.buy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Trait;
import zinctally.store.book.BookCatalogue;
import zinctally.store.buy.SupplierStore;
import zinctally.web.paper.Filling;

/** The account a supplier's bills usually go to, while nothing else is typed. */
@Component
class UsualAccount implements Filling {
  private final SupplierStore suppliers;

  UsualAccount(SupplierStore suppliers) {
    this.suppliers = suppliers;
  }

  @Override
  public Optional<Offered> offered(Draft draft, BookCatalogue book) {
    if (!draft.kind().is(Trait.BILLS) || !draft.typedRows().isEmpty()) return Optional.empty();
    return draft
        .kind()
        .side()
        .flatMap(side -> book.party(side, draft.party()))
        .flatMap(p -> suppliers.card(p.id()))
        .filter(c -> c.account() != 0)
        .map(c -> book.account(c.account()))
        .map(a -> new Offered("As usual: " + a.label(), List.of(Map.of("item", a.code()))));
  }
}
