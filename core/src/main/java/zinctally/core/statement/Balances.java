package zinctally.core.statement;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zinctally.core.number.Money;

/**
 * What statements ask of a ledger, as it is known now, or as it was known at a moment: entries that
 * were made after it do not count. Accounts without a balance may be missing.
 */
public interface Balances {
  /** Balances of all accounts at the end of a day, by account, debit above zero. */
  Map<Long, Money> at(LocalDate day, Optional<LocalDateTime> known);

  /** What moved on accounts from a day to a day and cost centres bear; zero for what none bears. */
  Map<Long, Money> borne(
      LocalDate from, LocalDate to, Optional<LocalDateTime> known, Set<Long> centres);

  /** What of that was taken over from the books before, on days between two, both included. */
  Map<Long, Money> takenOver(LocalDate from, LocalDate to, Optional<LocalDateTime> known);
}
