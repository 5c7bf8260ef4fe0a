package zinctally.core.papers.read;

import java.util.List;
import zinctally.core.goods.Item;

/** Asks for weights where something is shared by them. */
public final class Weights {
  private Weights() {}

  /** Whether the weight of all these is known; says of which it is not. */
  public static boolean known(Reader in, String field, List<Item> items) {
    List<String> unknown =
        items.stream().filter(i -> i.weight() == null).map(Item::name).distinct().toList();
    if (unknown.isEmpty()) return true;
    in.fault(
        field,
        "The weight of "
            + String.join(", ", unknown)
            + " is not known; write it on the item, or share otherwise.");
    return false;
  }
}
