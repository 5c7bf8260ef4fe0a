package zinctally.core.ledger;

/**
 * One line of a journal entry.
 *
 * @param account whose balance it moves
 * @param item the item it speaks of, zero for none
 * @param party the supplier or customer it speaks of, zero for none
 * @param amount minor units; debit above zero, credit below
 * @param memo a few words, may be empty
 */
public record JournalLine(long account, long item, long party, long amount, String memo) {}
