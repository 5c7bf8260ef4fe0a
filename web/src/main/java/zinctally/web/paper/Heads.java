package zinctally.web.paper;

import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.BookStore;
import zinctally.store.posting.Posting;
import zinctally.store.setup.PlaceStore;
import zinctally.store.setup.SetupStore;

/** What new papers begin with. */
@Component
public class Heads {
  private final SetupStore setup;
  private final PlaceStore places;
  private final BookStore books;
  private final Posting posting;

  Heads(SetupStore setup, PlaceStore places, BookStore books, Posting posting) {
    this.setup = setup;
    this.places = places;
    this.books = books;
    this.posting = posting;
  }

  /** What the head of a new paper holds before anything is typed. */
  public Map<String, String> defaults(PaperKind kind) {
    Map<String, String> fields = new HashMap<>();
    fields.put("date", posting.today().toString());
    places.plain().stream().findFirst().ifPresent(p -> fields.put("place", p));
    setup.moneyAccounts().stream().findFirst().ifPresent(m -> fields.put("money", m));
    fields.put("prices", books.book().pricesIncludeTax() ? "included" : "excluded");
    return fields;
  }
}
