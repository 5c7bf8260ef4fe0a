package zinctally.core.proof;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.core.cost.CostEvent;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Reading;

/**
 * What a paper will do, before it is posted. Posting writes exactly what the proof says. Quantities
 * are millionths, values minor units.
 *
 * @param faults what stands in the way; empty when it can be posted
 * @param work what will be written; empty while something stands in the way
 */
public record Proof(Reading reading, List<Fault> faults, Optional<Work> work) {
  public boolean sound() {
    return work.isPresent();
  }

  /**
   * @param entries what goes into the stock book
   * @param undone what takes back, in the stock book, what the version before had put there
   * @param journals what goes into the ledger, one for each posting date
   * @param reversals what takes back, in the ledger, what the version before had written
   * @param later papers of before whose cost moves
   */
  public record Work(
      List<Shift> shifts,
      List<StockEntry> entries,
      List<StockEntry> undone,
      List<JournalEntry> journals,
      List<JournalEntry> reversals,
      List<Later> later,
      Balance before,
      Balance after) {
    /** Whether neither stock book nor ledger are written into. */
    public boolean isNothing() {
      return entries.isEmpty() && undone.isEmpty() && journals.isEmpty() && reversals.isEmpty();
    }
  }

  /**
   * Stock book and ledger, minor units.
   *
   * @param accounts each stock account by its id
   */
  public record Balance(Map<Long, OnAccount> accounts) {
    /** For work whose balance nobody asked for. */
    public static final Balance NONE = new Balance(Map.of());

    public Balance {
      accounts = Map.copyOf(accounts);
    }

    /**
     * One stock account.
     *
     * @param stockBook worth of the goods that are booked on it
     * @param ledger its balance
     */
    public record OnAccount(long stockBook, long ledger) {
      /**
       * @throws ArithmeticException when the sum is too large
       */
      public OnAccount plus(OnAccount other) {
        return new OnAccount(
            Math.addExact(stockBook, other.stockBook), Math.addExact(ledger, other.ledger));
      }
    }

    /** Of all accounts. */
    private OnAccount all() {
      return accounts.values().stream().reduce(new OnAccount(0, 0), OnAccount::plus);
    }

    /** Worth of all goods. */
    public long stockBook() {
      return all().stockBook();
    }

    /** Balance of all stock accounts. */
    public long ledger() {
      return all().ledger();
    }

    /** What the ledger has more in all; accounts can be apart though this is zero. */
    public long apart() {
      return ledger() - stockBook();
    }

    /** Whether the two agree on every account. */
    public boolean inStep() {
      return accounts.values().stream().allMatch(a -> a.stockBook() == a.ledger());
    }
  }

  /** An item before and after. */
  public record Shift(
      Item item,
      long quantityBefore,
      long quantityAfter,
      long worthBefore,
      long worthAfter,
      List<Draw> draws) {
    /** Whether quantity or worth come out differently. */
    public boolean moves() {
      return quantityBefore != quantityAfter || worthBefore != worthAfter;
    }
  }

  /**
   * @param arrival the layer's arrival; zero for a moving average pool
   */
  public record Draw(long arrival, long quantity, long value) {}

  /**
   * One line for the stock book.
   *
   * @param contra account that bears the other side; zero when the paper's lines do
   * @param centre the cost centre that bears it; zero for none
   */
  public record StockEntry(
      CostEvent event,
      long item,
      LocalDate postingDate,
      long quantity,
      long value,
      long contra,
      long centre) {}

  /** An earlier event whose cost comes out differently. */
  public record Later(CostEvent event, long item, long difference, LocalDate postingDate) {}
}
