package zinctally.web.paper.form;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.store.book.BookStore;

/** The form of every kind of paper that is written on the screen. */
@Component
public class Forms {
  private final Map<PaperKind, PaperForm> forms = new HashMap<>();
  private final Map<String, Suggestion> suggestions = new HashMap<>();

  private final BookStore books;
  private final Suggestion offered;

  Forms(List<AreaForms> areas, BookStore books, Suggestions offered) {
    this.books = books;
    this.offered = offered.centres();
    suggestions.put(this.offered.key(), this.offered);
    areas.stream()
        .flatMap(a -> a.forms().stream())
        .forEach(
            form -> {
              forms.put(form.kind(), form);
              form.suggestions().forEach(s -> suggestions.put(s.key(), s));
            });
  }

  /** Whether a kind is written on a form; opening stock has a screen of its own. */
  public boolean has(PaperKind kind) {
    return forms.containsKey(kind);
  }

  /** Whether a kind can be begun from a list of it; the counter has a page of its own. */
  public boolean begins(PaperKind kind) {
    return has(kind) && !kind.is(Trait.COUNTER);
  }

  /**
   * The form of a kind, with cost centres where the book has any; an empty one for a kind that has
   * none. At the counter nobody types them.
   */
  public PaperForm of(PaperKind kind) {
    PaperForm form = forms.getOrDefault(kind, new PaperForm(kind, List.of(), List.of()));
    boolean borne = kind.is(Trait.BORNE) && form.lined() && !form.counter();
    return borne && books.book().centres() ? form.borneBy(offered) : form;
  }

  /** What a cell offers, by its word in addresses. */
  public Optional<Suggestion> suggestion(String key) {
    return Optional.ofNullable(suggestions.get(key));
  }
}
