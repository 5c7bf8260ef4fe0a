package zinctally.core.ledger;

import zinctally.core.number.Money;

/**
 * One line of a journal entry.
 *
 * @param account whose balance it moves
 * @param item the item it speaks of, zero for none
 * @param party the supplier or customer it speaks of, zero for none
 * @param amount debit above zero, credit below
 * @param memo a few words, may be empty
 * @param worked whether it comes from cost entries rather than from the paper itself
 * @param row the line of the paper it is of, from zero; below zero for the paper as a whole
 * @param centre the cost centre that bears it, zero for none
 */
public record JournalLine(
    long account,
    long item,
    long party,
    Money amount,
    String memo,
    boolean worked,
    int row,
    long centre) {
  private static final int WHOLE = -1;

  /** A line of the paper itself, as a whole. */
  public JournalLine(long account, long item, long party, Money amount, String memo) {
    this(account, item, party, amount, memo, false, WHOLE, 0);
  }

  /** A line that cost entries come to. */
  public static JournalLine worked(long account, long item, Money amount, long centre) {
    return new JournalLine(account, item, 0, amount, "", true, WHOLE, centre);
  }

  /** The same of one line of the paper. */
  public JournalLine of(int line) {
    return new JournalLine(account, item, party, amount, memo, worked, line, centre);
  }

  /** What takes it back. */
  public JournalLine takenBack() {
    return new JournalLine(account, item, party, amount.negated(), memo, worked, WHOLE, centre);
  }

  /** The same, borne by a cost centre. */
  public JournalLine in(long other) {
    return new JournalLine(account, item, party, amount, memo, worked, row, other);
  }
}
