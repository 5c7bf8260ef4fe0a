package zinctally.core.papers;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One of the sums a paper comes to, as its proof shows them.
 *
 * @param rate the tax it is, whose percentage stands beside it; null when it is none
 * @param amount minor units
 */
public record Sum(String words, @Nullable TaxRate rate, long amount) {
  public Sum(String words, long amount) {
    this(words, null, amount);
  }

  /** Net, tax and what it comes to, under the name {@code last}. */
  public static List<Sum> of(String last, long net, long tax) {
    return List.of(
        new Sum("Without tax", net), new Sum("Tax", tax), new Sum(last, Math.addExact(net, tax)));
  }
}
