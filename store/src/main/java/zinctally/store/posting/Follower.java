package zinctally.store.posting;

import java.time.LocalDateTime;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;

/** What follows the posting of papers of some kinds, in the same transaction. */
interface Follower {
  /**
   * @param again whether an earlier version of it was posted before
   */
  record Posted(Paper paper, long id, boolean again, LocalDateTime now, String login) {}

  boolean follows(PaperKind kind);

  void posted(Posted what);

  /** It is void now. */
  default void voided(long id) {}
}
