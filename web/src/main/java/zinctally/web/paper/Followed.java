package zinctally.web.paper;

import java.util.List;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.PostedPaper;

/** How papers of some kinds are begun from the one that they follow. */
public interface Followed {
  /** Whether it begins papers of a kind from one. */
  boolean begins(PostedPaper from, PaperKind kind);

  /** Whether there is anything to begin one with. */
  default boolean offers(PostedPaper from) {
    return true;
  }

  /** What is begun, filled in as far as the earlier paper says; nothing when nothing is left. */
  List<Draft> from(PostedPaper from, PaperKind kind);
}
