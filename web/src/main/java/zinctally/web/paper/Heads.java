package zinctally.web.paper;

import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.core.papers.tax.TaxDays;
import zinctally.store.book.BookStore;
import zinctally.store.posting.Posting;
import zinctally.store.setup.PlaceStore;
import zinctally.store.setup.SetupStore;
import zinctally.store.tax.TaxReturnStore;

/** What new papers begin with. */
@Component
public class Heads {
  private final SetupStore setup;
  private final PlaceStore places;
  private final BookStore books;
  private final Posting posting;
  private final TaxReturnStore returns;

  Heads(
      SetupStore setup,
      PlaceStore places,
      BookStore books,
      Posting posting,
      TaxReturnStore returns) {
    this.setup = setup;
    this.places = places;
    this.books = books;
    this.posting = posting;
    this.returns = returns;
  }

  /** What the head of a new paper holds before anything is typed. */
  public Map<String, String> defaults(PaperKind kind) {
    Map<String, String> fields = new HashMap<>();
    fields.put("date", posting.today().toString());
    places.plain().stream().findFirst().ifPresent(p -> fields.put("place", p));
    setup.moneyAccounts().stream().findFirst().ifPresent(m -> fields.put("money", m));
    fields.put("prices", books.book().pricesIncludeTax() ? "included" : "excluded");
    if (kind.is(Trait.DECLARES)) fields.putAll(declares(returns.next(posting.today())));
    return fields;
  }

  /** What the head of a tax return of some days holds. */
  public Map<String, String> declares(TaxDays days) {
    Map<String, String> fields = new HashMap<>();
    fields.put("from", days.from().toString());
    fields.put("to", days.to().toString());
    fields.put("pay", books.book().coin().plain(returns.waiting(days).toPay()));
    returns.latest().ifPresent(l -> fields.put("supplier", l.office()));
    return fields;
  }
}
