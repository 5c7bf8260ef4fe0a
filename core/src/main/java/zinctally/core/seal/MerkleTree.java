package zinctally.core.seal;

import java.util.ArrayList;
import java.util.List;

/**
 * A tree of digests, as RFC 6962, section 2.1, has it: what is over two is the digest of a one and
 * both; leaves begin with a zero, so that neither is taken for the other.
 */
public final class MerkleTree {
  private static final byte[] IS_NODE = {1};

  private MerkleTree() {}

  /** What stands at the root, over leaves in their order. */
  public static Hash root(List<Leaf> leaves) {
    return over(leaves.stream().map(Leaf::hash).toList());
  }

  /**
   * The same over digests of leaves. Two neighbours are joined level by level, and what is left
   * over goes up as it is, which is the same tree.
   */
  static Hash over(List<Hash> leaves) {
    if (leaves.isEmpty()) return Hash.of();
    List<Hash> level = leaves;
    while (level.size() > 1) {
      List<Hash> above = new ArrayList<>();
      for (int i = 0; i < level.size(); i += 2)
        above.add(
            i + 1 < level.size()
                ? Hash.of(IS_NODE, level.get(i).bytes(), level.get(i + 1).bytes())
                : level.get(i));
      level = above;
    }
    return level.get(0);
  }
}
