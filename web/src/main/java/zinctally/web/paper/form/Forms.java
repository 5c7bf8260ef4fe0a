package zinctally.web.paper.form;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;

/** The form of every kind of paper that is written on the screen. */
@Component
public class Forms {
  private final Map<PaperKind, PaperForm> forms = new HashMap<>();
  private final Map<String, Suggestion> suggestions = new HashMap<>();

  Forms(List<AreaForms> areas) {
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
    return has(kind) && !kind.is(PaperKind.Trait.COUNTER);
  }

  /** The form of a kind; an empty one for a kind that has none. */
  public PaperForm of(PaperKind kind) {
    return forms.getOrDefault(kind, new PaperForm(kind, List.of(), List.of()));
  }

  /** What a cell offers, by its word in addresses. */
  public Optional<Suggestion> suggestion(String key) {
    return Optional.ofNullable(suggestions.get(key));
  }
}
