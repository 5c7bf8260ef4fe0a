package zinctally.store.paper;

import java.time.LocalDateTime;
import zinctally.core.papers.Draft;

/**
 * A draft as it is kept.
 *
 * @param revision goes up with every save
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
    long paper,
    long amends,
    int amendsVersion) {
  public boolean posted() {
    return paper != 0;
  }
}
