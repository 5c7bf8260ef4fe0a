package zinctally.core.papers;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.Centre;
import zinctally.core.papers.trade.Trade;

/**
 * What came of reading a draft.
 *
 * @param paper present when nothing is wrong
 * @param faults what is wrong, in reading order
 * @param notes what to look at twice; does not stop a posting
 * @param toPay what is to be paid at the counter; null for other papers
 * @param unpaid what the counter would sell, when only how it is paid is not right yet
 * @param rows what is known of each row so far, for showing beside it: name, amount, unit
 * @param centres the cost centre that bears each row; none where the book has none
 */
public record Reading(
    Optional<Paper> paper,
    List<Fault> faults,
    List<Fault> notes,
    Map<Integer, RowFacts> rows,
    @Nullable Sums toPay,
    Optional<Trade> unpaid,
    Map<Integer, Centre> centres) {
  public Reading(
      Optional<Paper> paper, List<Fault> faults, List<Fault> notes, Map<Integer, RowFacts> rows) {
    this(paper, faults, notes, rows, null, Optional.empty(), Map.of());
  }

  /**
   * What a counter sale comes to while it is not paid yet, minor units.
   *
   * @param rest what is not paid by card, voucher, credit or on account
   */
  public record Sums(long net, long tax, long total, long rest) {}

  /** Nothing was read: for what is proved without being typed. */
  public static final Reading NOTHING =
      new Reading(Optional.empty(), List.of(), List.of(), Map.of());

  /**
   * @param item zero when the row has none
   * @param account of a line on an account; else zero
   * @param name what the item or account is called
   * @param unit the unit the price is for
   * @param amount minor units without tax, null when it cannot be told
   * @param beside what else stands beside the row, in words by name: {@code given}, {@code
   *     awaited}, {@code at}, {@code discount}, {@code margin}
   */
  public record RowFacts(
      long item,
      long account,
      String name,
      String unit,
      @Nullable Long amount,
      Map<String, String> beside) {
    public RowFacts(long item, String name, String unit, @Nullable Long amount) {
      this(item, 0, name, unit, amount, Map.of());
    }

    /** Of a line on an account. */
    public RowFacts(Account account, String unit) {
      this(0, account.id(), account.label(), unit, null, Map.of());
    }

    /** The same with one thing more beside it. */
    public RowFacts with(String what, String words) {
      Map<String, String> more = new HashMap<>(beside);
      more.put(what, words);
      return new RowFacts(item, account, name, unit, amount, more);
    }

    /** The same with its amount. */
    public RowFacts amounting(@Nullable Long minor) {
      return new RowFacts(item, account, name, unit, minor, beside);
    }
  }
}
