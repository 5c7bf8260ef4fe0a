package zinctally.core.papers.read;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Spread;
import zinctally.core.papers.TaxRate;

/**
 * Net and tax of the lines of a paper, to the minor unit: what comes off the whole is spread over
 * the lines, and tax is worked out line by line or on the sum of each rate, as the book wants it.
 *
 * @param net minor units by line, without tax
 * @param tax minor units by line
 */
public record LineAmounts(long[] net, long[] tax) {
  /**
   * @param amount minor units as priced, with or without tax
   * @param rate null for none
   */
  public record Line(long amount, @Nullable TaxRate rate) {}

  /**
   * @param off minor units that come off the whole, as priced; at most its sum
   * @param included whether prices include tax
   * @param onSums whether tax is rounded on the sum of a rate instead of line by line
   */
  public static LineAmounts of(List<Line> lines, long off, boolean included, boolean onSums) {
    long[] amounts = lines.stream().mapToLong(Line::amount).toArray();
    if (off != 0) {
      long[] less = Spread.over(off, amounts);
      for (int i = 0; i < amounts.length; i++) amounts[i] -= less[i];
    }
    long[] tax = new long[amounts.length];
    for (int i = 0; i < tax.length; i++) {
      TaxRate rate = lines.get(i).rate();
      if (rate != null) tax[i] = tax(rate, amounts[i], included);
    }
    if (onSums) onSums(lines, amounts, included, tax);
    long[] net = new long[amounts.length];
    for (int i = 0; i < net.length; i++) net[i] = included ? amounts[i] - tax[i] : amounts[i];
    return new LineAmounts(net, tax);
  }

  private static long tax(TaxRate rate, long amount, boolean included) {
    return included ? rate.within(amount) : rate.onNet(amount);
  }

  /** The tax of each rate's sum, shared between its lines by their amounts. */
  private static void onSums(List<Line> lines, long[] amounts, boolean included, long[] tax) {
    Map<TaxRate, int[]> byRate = new LinkedHashMap<>();
    for (Line line : lines)
      if (line.rate() != null)
        byRate.computeIfAbsent(
            line.rate(),
            rate ->
                IntStream.range(0, amounts.length)
                    .filter(i -> rate.equals(lines.get(i).rate()))
                    .toArray());
    byRate.forEach(
        (rate, rows) -> {
          long[] weights = IntStream.of(rows).mapToLong(i -> amounts[i]).toArray();
          long sum = LongStream.of(weights).reduce(0, Math::addExact);
          if (sum == 0) return;
          long[] shares = Spread.over(tax(rate, sum, included), weights);
          for (int i = 0; i < rows.length; i++) tax[rows[i]] = shares[i];
        });
  }
}
