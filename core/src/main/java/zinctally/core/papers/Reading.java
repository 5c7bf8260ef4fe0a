package zinctally.core.papers;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What came of reading a draft.
 *
 * @param paper present when nothing is wrong
 * @param faults what is wrong, in reading order
 * @param notes what to look at twice; does not stop a posting
 * @param rows what is known of each row so far, for showing beside it: name, amount, unit
 */
public record Reading(
    Optional<Paper> paper, List<Fault> faults, List<Fault> notes, Map<Integer, RowFacts> rows) {
  /** Nothing was read: for what is proved without being typed. */
  public static final Reading NOTHING =
      new Reading(Optional.empty(), List.of(), List.of(), Map.of());

  /**
   * @param item zero when the row has none
   * @param name what the item or account is called
   * @param unit the unit the price is for
   * @param amount minor units without tax, null when it cannot be told
   * @param given how many of its lots or serial numbers are given, in words; empty when none are
   *     asked for
   * @param awaited how much of it is still to come or to be billed, in words
   */
  public record RowFacts(
      long item, String name, String unit, Long amount, String given, String awaited) {
    public RowFacts(long item, String name, String unit, Long amount) {
      this(item, name, unit, amount, "", "");
    }
  }
}
