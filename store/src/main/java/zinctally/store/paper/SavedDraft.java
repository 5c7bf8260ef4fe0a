package zinctally.store.paper;

import java.time.LocalDateTime;
import zinctally.core.papers.Draft;

/**
 * A draft as it is kept.
 *
 * @param revision goes up with every save
 * @param paper the paper it was posted as; zero while it is open
 */
public record SavedDraft(
    long id, Draft draft, int revision, LocalDateTime savedAt, String savedBy, long paper) {
  public boolean posted() {
    return paper != 0;
  }
}
