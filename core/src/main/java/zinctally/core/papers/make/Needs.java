package zinctally.core.papers.make;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;

/**
 * What has to be there for so many of something to be made, through whatever is made itself: what
 * of it is missing, and what it all costs at present.
 */
public final class Needs {
  /** What is known of items. */
  public interface Known {
    /** Of what an item is made; empty for one that is bought. */
    Optional<Batch> batch(Item item);

    /** How much of it is free to be taken. */
    Quantity free(Item item);

    /** What it costs at present; empty when that is not known. */
    Optional<Catalogue.LatestCost> cost(Item item);
  }

  /**
   * Something that goes in, or is made.
   *
   * @param needed for as many as are asked for
   * @param missing of that, after what is free; of what goes into a part that is there, nothing is
   * @param worth minor units at present cost; of what is made, of its parts and work; empty when
   *     some cost is not known
   * @param work minor units of work in it
   * @param parts of what is made; empty for what is bought
   */
  public record Node(
      Item item,
      Quantity needed,
      Quantity missing,
      Optional<Long> worth,
      long work,
      List<Node> parts) {
    public boolean made() {
      return !parts.isEmpty();
    }
  }

  private final Known known;
  private final Map<Long, Long> left = new HashMap<>();
  private final Map<Item, Quantity> toBuy = new LinkedHashMap<>();
  private final Map<Item, Quantity> toMake = new LinkedHashMap<>();
  private final Node whole;

  /**
   * @param many base units to be made, above zero
   * @throws ArithmeticException when a quantity or an amount is too large
   */
  public Needs(Batch batch, Quantity many, Known known) {
    this.known = known;
    whole = made(batch, many, many);
  }

  /** All of it, from the result down. */
  public Node whole() {
    return whole;
  }

  /** What is missing and is bought, each item once. */
  public Map<Item, Quantity> toBuy() {
    return toBuy;
  }

  /** What is missing and is made itself, innermost first. */
  public Map<Item, Quantity> toMake() {
    return toMake;
  }

  private Node made(Batch batch, Quantity needed, Quantity missing) {
    List<Node> parts = new ArrayList<>();
    long work = 0;
    for (Batch.Labour labour : batch.work())
      work = Math.addExact(work, batch.charged(labour, needed));
    Optional<Long> worth = Optional.of(work);
    for (Batch.Part part : batch.parts()) {
      Quantity wanted = missing.signum() > 0 ? batch.needed(part, missing) : Quantity.ZERO;
      Node node = part(part.item(), batch.needed(part, needed), wanted);
      parts.add(node);
      worth =
          worth.isEmpty() || node.worth().isEmpty()
              ? Optional.empty()
              : Optional.of(Math.addExact(worth.get(), node.worth().get()));
    }
    return new Node(batch.item(), needed, missing, worth, work, List.copyOf(parts));
  }

  /**
   * @param wanted how much of it has to be there
   */
  private Node part(Item item, Quantity needed, Quantity wanted) {
    long here = left.computeIfAbsent(item.id(), id -> Math.max(0, known.free(item).micros()));
    long taken = Math.min(here, wanted.micros());
    left.put(item.id(), here - taken);
    Quantity missing = new Quantity(wanted.micros() - taken);
    Optional<Batch> batch = known.batch(item);
    if (batch.isPresent()) {
      Node node = made(batch.get(), needed, missing);
      if (missing.signum() > 0) toMake.merge(item, missing, Quantity::plus);
      return node;
    }
    if (missing.signum() > 0) toBuy.merge(item, missing, Quantity::plus);
    Optional<Long> worth = known.cost(item).map(c -> c.of(needed.micros()));
    return new Node(item, needed, missing, worth, 0, List.of());
  }
}
