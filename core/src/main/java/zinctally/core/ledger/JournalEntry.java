package zinctally.core.ledger;

import java.time.LocalDate;
import java.util.List;
import zinctally.core.number.Money;

/** A dated set of lines that balances to the minor unit. */
public record JournalEntry(LocalDate date, List<JournalLine> lines) {
  /**
   * @throws IllegalArgumentException when the lines do not sum to zero
   * @throws ArithmeticException on overflow
   */
  public JournalEntry {
    lines = List.copyOf(lines);
    Money sum = sum(lines);
    if (sum.signum() != 0)
      throw new IllegalArgumentException("journal entry is out of balance by " + sum.minor());
  }

  /** What lines come to: debits less credits. */
  public static Money sum(List<JournalLine> lines) {
    return lines.stream().map(JournalLine::amount).reduce(Money.ZERO, Money::plus);
  }

  /** What is debited in lines. */
  public static Money turnover(List<JournalLine> lines) {
    return sum(lines.stream().filter(line -> line.amount().signum() > 0).toList());
  }
}
