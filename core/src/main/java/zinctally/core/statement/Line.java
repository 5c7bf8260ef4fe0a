package zinctally.core.statement;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import zinctally.core.number.Money;

/**
 * A line of a statement.
 *
 * @param depth how many headings it stands under
 * @param account what it is about; zero for none
 * @param amounts column by column; none for a heading
 * @param adds the lines whose sum it is, counted from zero; none when it is no sum
 */
public record Line(
    Kind kind, int depth, String words, long account, List<Money> amounts, List<Integer> adds) {
  /** What kind of line it is. */
  public enum Kind {
    HEADING,
    /** The balance of an account, or what moved on it. */
    ACCOUNT,
    /** What was earned, which stands on no account. */
    PROFIT,
    /** What a heading comes to. */
    SUM,
    /** What all comes to down to here. */
    RESULT,
    /** What stood before or after, beside the sums. */
    STANDING
  }

  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  public Line {
    amounts = List.copyOf(amounts);
    adds = List.copyOf(adds);
  }

  /** By how much the first column is above the second. */
  public Optional<Money> difference() {
    return amounts.size() < 2
        ? Optional.empty()
        : Optional.of(amounts.get(0).minus(amounts.get(1)));
  }

  /** The difference as a share of the second column, to one place; empty where that is zero. */
  public Optional<BigDecimal> percent() {
    return difference()
        .filter(d -> amounts.get(1).signum() != 0)
        .map(
            d ->
                BigDecimal.valueOf(d.minor())
                    .multiply(HUNDRED)
                    .divide(
                        BigDecimal.valueOf(amounts.get(1).minor()).abs(), 1, RoundingMode.HALF_UP));
  }
}
