package zinctally.core.papers.trade;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import zinctally.core.number.Spread;

/** A sum that is paid in parts, one after another. */
public final class Instalments {
  /** The most parts a plan may have. */
  public static final int MOST = 120;

  private Instalments() {}

  /** How long after one part the next is due. */
  public enum Every {
    WEEK,
    FORTNIGHT,
    MONTH;

    /** Read from the word that stands in a cell; empty for another. */
    static Optional<Every> of(String typed) {
      return Arrays.stream(values())
          .filter(e -> e.name().toLowerCase(Locale.ROOT).equals(typed))
          .findFirst();
    }

    private LocalDate after(LocalDate date, int parts) {
      return switch (this) {
        case WEEK -> date.plusWeeks(parts);
        case FORTNIGHT -> date.plusWeeks(2L * parts);
        case MONTH -> date.plusMonths(parts);
      };
    }
  }

  /**
   * @param due the day it is due
   * @param amount minor units
   */
  public record Part(LocalDate due, long amount) {}

  /**
   * As many parts as wanted, alike to the cent: the first due one interval after the sale.
   *
   * @param times from 1 to {@link #MOST}
   * @throws IllegalArgumentException when there are too many or too few parts
   */
  public static List<Part> inParts(long sum, int times, Every every, LocalDate sold) {
    if (times < 1 || times > MOST) throw new IllegalArgumentException(times + " parts");
    long[] weights = new long[times];
    Arrays.fill(weights, 1);
    long[] amounts = Spread.over(sum, weights);
    List<Part> parts = new ArrayList<>();
    for (int i = 0; i < times; i++) parts.add(new Part(every.after(sold, i + 1), amounts[i]));
    return parts;
  }

  /**
   * Parts of an amount each, the last with what is left.
   *
   * @param each minor units, above zero
   * @throws IllegalArgumentException when that makes too many parts
   */
  public static List<Part> of(long sum, long each, Every every, LocalDate sold) {
    if (each <= 0 || (sum - 1) / each + 1 > MOST) throw new IllegalArgumentException("of " + each);
    List<Part> parts = new ArrayList<>();
    long left = sum;
    for (int i = 1; left > 0; i++) {
      long amount = Math.min(each, left);
      parts.add(new Part(every.after(sold, i), amount));
      left -= amount;
    }
    return parts;
  }
}
