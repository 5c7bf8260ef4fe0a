package zinctally.core.ledger;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** All cost centres of a book, under each other. */
public record CentreTree(List<Node> nodes) {
  /** The parent of what stands under nothing. */
  public static final long TOP = 0;

  public CentreTree {
    nodes = List.copyOf(nodes);
  }

  /**
   * @param parent what it stands under; {@link #TOP} for nothing
   * @param active whether papers can still name it
   */
  public record Node(Centre centre, long parent, boolean active) {}

  /**
   * @param depth how many it stands under
   */
  public record Placed(Node node, int depth) {}

  public Optional<Node> node(long id) {
    return nodes.stream().filter(n -> n.centre.id() == id).findFirst();
  }

  /** What stands directly under one, by name. */
  public List<Centre> under(long parent) {
    return nodes.stream().filter(n -> n.parent == parent).map(Node::centre).toList();
  }

  /** Each followed by what stands under it. */
  public List<Placed> inOrder() {
    List<Placed> placed = new ArrayList<>();
    place(TOP, 0, placed);
    return placed;
  }

  private void place(long parent, int depth, List<Placed> placed) {
    for (Node node : nodes)
      if (node.parent == parent) {
        placed.add(new Placed(node, depth));
        place(node.centre.id(), depth + 1, placed);
      }
  }

  /** One and all that stand under it. */
  public Set<Long> within(long id) {
    Set<Long> within = new HashSet<>(Set.of(id));
    for (Centre below : under(id)) within.addAll(within(below.id()));
    return within;
  }
}
