package zinctally.core.papers.plan;

import java.util.List;
import java.util.OptionalLong;
import zinctally.core.cost.Spot;

/**
 * Goods made of what else leaves with the plan.
 *
 * @param charges minor units added, less what comes in at a value of its own
 * @param results which of its ins share what left and the charges
 */
public record MakingPlan(long charges, List<Result> results) {
  public MakingPlan {
    results = List.copyOf(results);
  }

  /** The weight of an event among those that share; empty when it is worth what it says. */
  public OptionalLong weight(long item, Spot spot) {
    return results.stream()
        .filter(r -> r.item == item && r.spot.equals(spot))
        .mapToLong(Result::weight)
        .findFirst();
  }

  /**
   * One thing made.
   *
   * @param weight its share, zero or more
   */
  public record Result(long item, Spot spot, long weight) {}
}
