package zinctally.web.paper;

import jakarta.servlet.http.HttpServletRequest;
import java.util.UUID;
import zinctally.store.paper.SavedDraft;

/** Tells the windows apart in which one draft is open, and what each has seen of it. */
public final class Windows {
  private static final String WINDOW = "_window";
  private static final String REVISION = "_revision";

  private Windows() {}

  /** The window a request comes from; a new one when it comes from none. */
  public static String of(HttpServletRequest request) {
    String named = request.getParameter(WINDOW);
    return named == null || !named.matches("[0-9a-f-]{36}") ? UUID.randomUUID().toString() : named;
  }

  /** What the window has seen; of one that does not say, nothing. */
  public static SavedDraft.Seen seen(HttpServletRequest request) {
    String revision = request.getParameter(REVISION);
    boolean said = revision != null && revision.matches("\\d{1,9}");
    return new SavedDraft.Seen(said ? Integer.parseInt(revision) : -1, of(request));
  }
}
