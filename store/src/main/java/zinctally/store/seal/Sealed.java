package zinctally.store.seal;

import java.util.List;
import java.util.Map;
import zinctally.core.seal.Leaf;

/** A kind of thing that is sealed, and how its leaves are made of what stands in the book now. */
interface Sealed {
  /** As {@code seal_leaf} names it. */
  String kind();

  /** Its table, whose ids are those of the leaves. */
  String table();

  /** The leaves of those with ids from one to another, both included, as they stand now. */
  Map<Long, Leaf> leaves(long from, long to);

  /** What people call some of them: {@code B-2026-0012, posted 2026-03-09}. */
  Map<Long, String> names(List<Long> ids);
}
