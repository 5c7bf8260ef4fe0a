package zinctally.core.reorder;

import java.util.List;
import java.util.Locale;
import org.apache.commons.statistics.descriptive.Mean;
import org.apache.commons.statistics.descriptive.StandardDeviation;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * What of an item was sold week by week, and how long it took to come.
 *
 * @param weeks sold in base units, the oldest first; weeks without a sale count as zero
 * @param leadDays from order to arrival, in days; none when nothing was ordered
 */
public record Experience(List<Double> weeks, List<Integer> leadDays) {
  /** Nineteen times of twenty there is enough until the next goods come. */
  public static final double SERVICE = 0.95;

  private static final double USUAL_LEAD = 14;
  private static final int FEWEST = 4;
  private static final double WEEK = 7;

  public Experience {
    weeks = List.copyOf(weeks);
    leadDays = List.copyOf(leadDays);
  }

  /** Whether there is enough of it to say something. */
  public boolean enough() {
    return weeks.stream().filter(w -> w > 0).count() >= FEWEST;
  }

  /** Sold in a week, on average. */
  public double weekly() {
    return Mean.of(doubles(weeks)).getAsDouble();
  }

  /** By how much weeks are apart (sample standard deviation). */
  public double spread() {
    return weeks.size() < 2 ? 0 : StandardDeviation.of(doubles(weeks)).getAsDouble();
  }

  /** Days from order to arrival on average; two weeks when nothing is known. */
  public double lead() {
    return leadDays.isEmpty()
        ? USUAL_LEAD
        : Mean.of(leadDays.stream().mapToDouble(d -> d).toArray()).getAsDouble();
  }

  private double leadSpread() {
    return leadDays.size() < 2
        ? 0
        : StandardDeviation.of(leadDays.stream().mapToDouble(d -> d).toArray()).getAsDouble();
  }

  /**
   * What is kept for weeks that sell more, and deliveries that take longer, than on average: the
   * safety stock of a normally distributed demand over an uncertain lead time (Chopra and Meindl,
   * Supply Chain Management, chapter on safety inventory).
   *
   * @param service the share of times in which there is enough
   */
  public double safety(double service) {
    double weeksOfLead = lead() / WEEK;
    double variance =
        weeksOfLead * spread() * spread() + weekly() * weekly() * Math.pow(leadSpread() / WEEK, 2);
    return NormalDistribution.of(0, 1).inverseCumulativeProbability(service) * Math.sqrt(variance);
  }

  /** What is sold on average until ordered goods come. */
  public double untilItComes() {
    return weekly() * lead() / WEEK;
  }

  /**
   * What experience suggests.
   *
   * @param point at or under which to order, whole base units or packs
   * @param quantity to order, whole packs: about four weeks' sales
   * @param reason a sentence
   */
  public record Advice(double point, double quantity, String reason) {}

  /**
   * Suggests when to order and how much.
   *
   * @param pack of how many base units one buys; one where there is no pack
   */
  public Advice advice(double pack) {
    double safety = safety(SERVICE);
    double point = Math.ceil(untilItComes() + safety - 1e-9);
    double quantity = Math.max(pack, Math.ceil(weekly() * 4 / pack - 1e-9) * pack);
    String lead =
        leadDays.isEmpty()
            ? "two weeks are reckoned with, as nothing was ordered yet"
            : leadDays.size()
                + (leadDays.size() == 1 ? " delivery took " : " deliveries took ")
                + said(lead())
                + " days";
    String reason =
        "Sold "
            + said(weekly())
            + " a week in "
            + weeks.size()
            + " weeks, give or take "
            + said(spread())
            + "; "
            + lead
            + ". "
            + said(untilItComes())
            + " until it comes and "
            + said(safety)
            + " for safety.";
    return new Advice(point, quantity, reason);
  }

  private static String said(double figure) {
    return String.format(Locale.ROOT, figure == Math.rint(figure) ? "%.0f" : "%.1f", figure);
  }

  private static double[] doubles(List<Double> values) {
    return values.stream().mapToDouble(v -> v).toArray();
  }
}
