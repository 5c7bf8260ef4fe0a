package zinctally.core.statement;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zinctally.core.ledger.Centre;
import zinctally.core.ledger.CentreTree;

/**
 * Some cost centres, when only what they bear counts.
 *
 * @param key the centre asked for with all under it, as it stands in addresses: its number, that
 *     with a dot for itself alone, {@code 0} for what none bears
 * @param centres their numbers; zero for what none bears
 */
public record Borne(String key, String words, Set<Long> centres) {
  private static final String ALONE = ".";
  private static final Borne NONE = new Borne("0", "No cost centre", Set.of(CentreTree.TOP));

  /** One with all that stand under it. */
  private static Borne within(Centre centre, CentreTree tree) {
    return new Borne(String.valueOf(centre.id()), centre.name(), tree.within(centre.id()));
  }

  private static Borne alone(Centre centre) {
    return new Borne(centre.id() + ALONE, centre.name() + " itself", Set.of(centre.id()));
  }

  /**
   * What a key stands for.
   *
   * @return empty when it stands for nothing that is there
   */
  public static Optional<Borne> of(String key, CentreTree tree) {
    if (key.equals(NONE.key)) return Optional.of(NONE);
    boolean alone = key.endsWith(ALONE);
    String id = alone ? key.substring(0, key.length() - 1) : key;
    if (!id.matches("\\d{1,18}")) return Optional.empty();
    return tree.node(Long.parseLong(id))
        .map(CentreTree.Node::centre)
        .map(c -> alone ? alone(c) : within(c, tree));
  }

  /** What one divides into: those under it and itself; without one, all centres and none. */
  public static List<Borne> split(Optional<Borne> whole, CentreTree tree) {
    long above = whole.map(b -> Long.parseLong(b.key.replace(ALONE, ""))).orElse(CentreTree.TOP);
    List<Borne> parts = new ArrayList<>();
    if (whole.isEmpty() || above != CentreTree.TOP && !whole.get().key.endsWith(ALONE))
      for (Centre centre : tree.under(above)) parts.add(within(centre, tree));
    if (whole.isEmpty()) parts.add(NONE);
    else if (!parts.isEmpty()) tree.node(above).ifPresent(n -> parts.add(alone(n.centre())));
    return parts;
  }
}
