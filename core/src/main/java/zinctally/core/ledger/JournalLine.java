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
 */
public record JournalLine(
    long account, long item, long party, Money amount, String memo, boolean worked) {
  public JournalLine(long account, long item, long party, Money amount, String memo) {
    this(account, item, party, amount, memo, false);
  }
}
