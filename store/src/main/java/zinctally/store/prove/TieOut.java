package zinctally.store.prove;

import java.util.List;

/**
 * Stock book held against ledger at a date, minor units.
 *
 * @param groups what is on hand and what names no item
 * @param accounts every stock account
 */
public record TieOut(List<TieOutStore.GroupLine> groups, List<TieOutStore.AccountLine> accounts) {
  public long book() {
    return groups.stream().mapToLong(TieOutStore.GroupLine::book).sum();
  }

  public long ledger() {
    return groups.stream().mapToLong(TieOutStore.GroupLine::ledger).sum();
  }

  /** How many items have worth or balance. */
  public int items() {
    return groups.stream().mapToInt(TieOutStore.GroupLine::items).sum();
  }

  /** Whether every item and every account agrees; that sums do is not enough. */
  public boolean inStep() {
    return groups.stream().allMatch(g -> g.apart() == 0)
        && accounts.stream().allMatch(a -> a.book() == a.ledger());
  }
}
