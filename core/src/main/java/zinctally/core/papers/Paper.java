package zinctally.core.papers;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import zinctally.core.goods.Item;

/** A paper that has been read and found sound. Amounts are minor units. */
public sealed interface Paper
    permits Trade,
        Adjustment,
        WriteDown,
        StartTracking,
        Charge,
        Return,
        Order,
        Receipt,
        CounterSale,
        Delivery,
        SupplierCredit,
        Payment,
        HandJournal,
        Recosting,
        OpeningStock,
        OpeningBalances,
        OpeningParties {
  PaperKind kind();

  LocalDate date();

  /** Who it is from or for, when it is one party. */
  default Optional<Party> party() {
    return Optional.empty();
  }

  /** The same paper with its party made. */
  default Paper with(Party made) {
    return this;
  }

  /** The same paper with items that are made with it. */
  default Paper withItems(UnaryOperator<Item> made) {
    return this;
  }

  /** Items it speaks of. */
  default List<Item> items() {
    return List.of();
  }

  /** The paper's own total, tax included. */
  long total();

  /** What it wants done to stock and ledger. */
  Plan plan(Catalogue book);
}
