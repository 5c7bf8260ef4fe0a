package zinctally.core.ledger;

import java.time.LocalDate;
import java.util.List;

/** A dated set of lines that balances to the minor unit. */
public record JournalEntry(LocalDate date, List<JournalLine> lines) {
  /**
   * @throws IllegalArgumentException when the lines do not sum to zero
   * @throws ArithmeticException on overflow
   */
  public JournalEntry {
    lines = List.copyOf(lines);
    long sum = 0;
    for (JournalLine line : lines) sum = Math.addExact(sum, line.amount());
    if (sum != 0) throw new IllegalArgumentException("journal entry is out of balance by " + sum);
  }

  /** Sum of the debits, minor units. */
  public long turnover() {
    return lines.stream().mapToLong(l -> Math.max(0, l.amount())).sum();
  }
}
