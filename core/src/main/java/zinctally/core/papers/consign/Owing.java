package zinctally.core.papers.consign;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.number.Spread;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/**
 * What a paper makes owed for consigned goods: each becomes ours at the cost that is agreed, and
 * leaves at that cost.
 */
public final class Owing {
  private final Catalogue book;
  private final Stocking stock;
  private final List<JournalLine> known;
  private final List<Plan.Wait> awaits;
  private final Map<Integer, Integer> parts = new HashMap<>();

  /** Of a paper that does nothing else. */
  public Owing(Catalogue book, Stocking stock) {
    this(book, stock, new ArrayList<>(), new ArrayList<>());
  }

  /**
   * @param known takes the journal lines
   * @param awaits takes what is owed
   */
  public Owing(Catalogue book, Stocking stock, List<JournalLine> known, List<Plan.Wait> awaits) {
    this.book = book;
    this.stock = stock;
    this.known = known;
    this.awaits = awaits;
  }

  /**
   * Goods that leave with a line.
   *
   * @param contra account that bears their cost
   */
  public void leave(int row, Item item, List<Taken> some, long contra) {
    for (Taken taken : some) {
      parts.put(row, stock.taken(row, part(row), item, taken, contra));
      owes(row, item, taken.owner().id(), taken.micros(), taken.value());
    }
  }

  /** What was owed before the price of its goods was known. */
  public void restate(int row, Item item, List<Restated> some) {
    for (Restated one : some) {
      List<Awaited.Arrival> arrivals = one.of().arrivals();
      long[] shares =
          Spread.over(
              one.difference(), arrivals.stream().mapToLong(Awaited.Arrival::quantity).toArray());
      for (int i = 0; i < shares.length; i++)
        if (shares[i] != 0)
          stock.charge(row, next(row), item.id(), shares[i], arrivals.get(i).event(), 0, null);
      owes(row, item, one.of().party(), 0, one.difference());
    }
  }

  /** What a paper that does nothing else wants done. */
  public Plan plan() {
    return new Plan(stock.events, stock.moves, known, List.of(), List.of(), awaits, List.of());
  }

  /** How many parts of a line there are so far. */
  private int part(int row) {
    return parts.getOrDefault(row, Stocking.OTHERS);
  }

  private int next(int row) {
    int part = part(row);
    parts.put(row, part + 1);
    return part;
  }

  private void owes(int row, Item item, long supplier, long micros, long value) {
    if (value != 0)
      known.add(
          new JournalLine(
              book.account(Role.OWED_FOR_CONSIGNED).id(),
              item.id(),
              supplier,
              new Money(-value),
              ""));
    awaits.add(
        new Plan.Wait(
            row,
            Awaits.CONSIGNED_SOLD,
            item.id(),
            supplier,
            new Quantity(micros),
            Optional.of(new Money(value)),
            0,
            0));
  }
}
