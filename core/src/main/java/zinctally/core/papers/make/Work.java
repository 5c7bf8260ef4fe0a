package zinctally.core.papers.make;

import java.util.List;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Money;
import zinctally.core.papers.Row;

/**
 * What is added to the cost of what is made, such as packing and labour (IAS 2 paragraph 12).
 *
 * @param account it is taken from
 * @param amount minor units
 */
public record Work(int row, Account account, String wording, long amount) {
  Row kept() {
    return Row.of(row, null).on(account.id()).worded(wording).worth(amount);
  }

  static long sum(List<Work> all) {
    return all.stream().mapToLong(Work::amount).reduce(0, Math::addExact);
  }

  /** What is taken from its accounts. */
  static List<JournalLine> lines(List<Work> all) {
    return all.stream()
        .map(
            w ->
                new JournalLine(w.account.id(), 0, 0, new Money(w.amount).negated(), w.wording)
                    .of(w.row))
        .toList();
  }
}
