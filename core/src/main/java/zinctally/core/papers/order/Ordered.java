package zinctally.core.papers.order;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import zinctally.core.papers.Paper;

/** A paper that binds, and moves and books nothing: its lines wait for others to bring them. */
public interface Ordered extends Paper {
  /** When that should be; null when not known. */
  @Nullable LocalDate expected();

  /** What else is said; may be empty. */
  String notes();
}
