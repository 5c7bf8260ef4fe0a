package zinctally.store.paper;

import java.time.LocalDateTime;
import zinctally.core.papers.Draft;

/**
 * A draft as it is kept.
 *
 * @param revision goes up with every save
 * @param savedIn the window that saved it last; empty when none did
 * @param begunBy who began it
 * @param shared whether those at the counter may write in it though another began it
 * @param paper the paper it was posted as; zero while it is open
 * @param amends the posted paper it is a new version of; zero for none
 * @param amendsVersion the version it began from
 */
public record SavedDraft(
    long id,
    Draft draft,
    int revision,
    LocalDateTime savedAt,
    String savedBy,
    String savedIn,
    String begunBy,
    boolean shared,
    long paper,
    long amends,
    int amendsVersion) {
  public boolean posted() {
    return paper != 0;
  }

  /**
   * What a window has of a draft.
   *
   * @param revision it was shown or saved last at
   * @param window names the window; empty for a program
   */
  public record Seen(int revision, String window) {}

  /** What is there now, as a program that has just read it sees it. */
  public Seen seen() {
    return new Seen(revision, "");
  }

  /** Whether a window has all of it: nobody saved it elsewhere since. */
  public boolean isSeen(Seen seen) {
    return seen.revision == revision || !seen.window.isEmpty() && seen.window.equals(savedIn);
  }
}
