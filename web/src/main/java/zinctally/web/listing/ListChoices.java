package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Component;
import zinctally.store.listing.ChoiceStore;
import zinctally.store.listing.ChoiceStore.Choice;
import zinctally.store.listing.Listing;

/** What a person chose of a list, and chooses: its order and its columns. */
@Component
class ListChoices {
  /** Says in an address that what it asks of order or columns is to stay. */
  static final String KEEP = "keep";

  static final String SHOWN = "shown";
  private static final int LONGEST = 120;
  private final ChoiceStore store;

  ListChoices(ChoiceStore store) {
    this.store = store;
  }

  /**
   * A column that can be shown or left out.
   *
   * @param shown whether it is
   */
  record Column(String key, String heading, boolean shown) {}

  Choice of(HttpServletRequest request) {
    return request.getUserPrincipal() == null
        ? Choice.NONE
        : store.of(request.getUserPrincipal().getName(), list(request));
  }

  /** The list as a person likes it; what is asked of a column brings it back. */
  static Listing seen(Listing listing, Choice choice, HttpServletRequest request) {
    Set<String> hidden = new TreeSet<>(choice.hidden());
    hidden.removeIf(key -> asked(key, request));
    boolean any = listing.shown().stream().anyMatch(c -> !hidden.contains(c.key()));
    return any ? listing.without(hidden) : listing;
  }

  private static boolean asked(String column, HttpServletRequest request) {
    String box = "in." + column;
    return request.getParameterMap().keySet().stream()
        .anyMatch(name -> name.equals(box) || name.startsWith(box + "."));
  }

  static List<Column> columns(Listing whole, Listing seen) {
    return whole.shown().stream()
        .map(c -> new Column(c.key(), c.heading(), seen.shown().contains(c)))
        .toList();
  }

  /** Keeps what an address asks to keep; where to go on, or empty when it asks nothing so. */
  Optional<Address> keep(Listing listing, HttpServletRequest request) {
    String what = request.getParameter(KEEP);
    if (what == null || request.getUserPrincipal() == null) return Optional.empty();
    String login = request.getUserPrincipal().getName();
    String sort = request.getParameter("sort");
    if (what.equals("sort") && sort != null && listing.sorts(sort))
      store.sorted(login, list(request), sort);
    String[] shown = request.getParameterValues(SHOWN);
    if (what.equals("columns")) {
      Set<String> hidden = new TreeSet<>();
      listing.shown().forEach(c -> hidden.add(c.key()));
      if (shown == null) hidden.clear();
      else hidden.removeAll(Arrays.asList(shown));
      store.hidden(login, list(request), hidden);
    }
    Set<String> said = what.equals("sort") ? Set.of(KEEP, "sort") : Set.of(KEEP, SHOWN);
    return Optional.of(Address.of(request, said));
  }

  private static String list(HttpServletRequest request) {
    String list = request.getRequestURI().replaceAll("\\d+", "#");
    return list.length() > LONGEST ? list.substring(0, LONGEST) : list;
  }
}
