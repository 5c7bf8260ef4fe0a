package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Component;
import zinctally.store.statement.HandedOutStore;

/** Remembers what is handed out as a file. What was asked as of a moment is handed out before. */
@Component
public class HandedOut {
  private static final String KNOWN = "known";
  private final HandedOutStore store;

  HandedOut(HandedOutStore store) {
    this.store = store;
  }

  public void remember(String name, String form, HttpServletRequest request) {
    String known = request.getParameter(KNOWN);
    if (known != null && !known.isBlank()) return;
    store.add(
        request.getUserPrincipal().getName(),
        name,
        form,
        Address.here(request, "as", KNOWN).toString());
  }
}
