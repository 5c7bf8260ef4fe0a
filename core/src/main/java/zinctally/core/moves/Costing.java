package zinctally.core.moves;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.stream.IntStream;
import zinctally.core.cost.CannotCost;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Method;
import zinctally.core.cost.Past;
import zinctally.core.cost.Pool;
import zinctally.core.cost.PoolState;
import zinctally.core.cost.Position;
import zinctally.core.cost.Spot;
import zinctally.core.cost.Trace;
import zinctally.core.cost.Uncovered;

/**
 * Costs of a whole movement file, worked out from the start. An item's pool knows only that item,
 * so that items are worked side by side.
 */
public final class Costing {
  private final Moves moves;
  private final long[] values;
  private final long[] onHand;
  private final long[] worth;
  private final BitSet targeted = new BitSet();
  private final Map<Integer, String> faults = new ConcurrentSkipListMap<>();
  private final Map<Integer, Uncovered> uncovered = new ConcurrentSkipListMap<>();

  /**
   * @param moves in file order, which is the sequence; faults found in reading are none
   * @param methods by item
   */
  public Costing(Moves moves, List<Method> methods) {
    this.moves = moves;
    values = new long[moves.size()];
    onHand = new long[moves.size()];
    worth = new long[moves.size()];
    for (int row = 0; row < moves.size(); row++)
      if (moves.target(row) >= 0) targeted.set(moves.target(row));
    int[][] byItem = byItem(methods.size());
    IntStream.range(0, byItem.length).parallel().forEach(i -> work(byItem[i], methods.get(i)));
  }

  /** Rows of each item in event order: by day, then by place in the file. */
  private int[][] byItem(int items) {
    int[] counts = new int[items];
    for (int row = 0; row < moves.size(); row++) counts[moves.item(row)]++;
    int[][] rows = new int[items][];
    for (int item = 0; item < items; item++) rows[item] = new int[counts[item]];
    Arrays.fill(counts, 0);
    for (int row = 0; row < moves.size(); row++)
      rows[moves.item(row)][counts[moves.item(row)]++] = row;
    for (int[] some : rows) sort(some);
    return rows;
  }

  private void sort(int[] rows) {
    boolean sorted = true;
    for (int i = 1; i < rows.length && sorted; i++)
      sorted = moves.day(rows[i - 1]) <= moves.day(rows[i]);
    if (sorted) return;
    long[] keys = new long[rows.length];
    for (int i = 0; i < rows.length; i++) keys[i] = ((long) moves.day(rows[i]) << 32) | rows[i];
    Arrays.sort(keys);
    for (int i = 0; i < rows.length; i++) rows[i] = (int) keys[i];
  }

  private void work(int[] rows, Method method) {
    try {
      replay(rows, method);
    } catch (CannotCost refused) {
      faults.put((int) refused.event().id() - 1, says(refused));
    } catch (ArithmeticException tooLarge) {
      faults.put(rows[0], "the amounts of this item are too large to add up");
    }
  }

  private void replay(int[] rows, Method method) {
    Map<Integer, Long> charges = new HashMap<>();
    for (int row : rows)
      if (moves.kind(row) == EventKind.CHARGE)
        charges.merge(moves.target(row), moves.value(row), Math::addExact);
    Pool pool =
        new Pool(method, PoolState.EMPTY, true, Past.NONE, Trace.SILENT)
            .remembering(event -> targeted.get((int) event - 1));
    LocalDate date = LocalDate.EPOCH;
    for (int row : rows) {
      if (date.toEpochDay() != moves.day(row)) date = LocalDate.ofEpochDay(moves.day(row));
      CostEvent event =
          new CostEvent(
              row + 1L,
              moves.kind(row),
              new Position(date, row, Spot.FIRST),
              moves.quantity(row),
              moves.value(row),
              moves.target(row) + 1L);
      values[row] = pool.apply(event, charges.isEmpty() ? 0 : charges.getOrDefault(row, 0L));
      pool.takeCovered().forEach((out, cost) -> values[out.intValue() - 1] = -cost);
    }
    for (Uncovered open : pool.state().uncovered()) uncovered.put((int) open.out() - 1, open);
    long quantity = 0;
    long value = 0;
    for (int row : rows) {
      quantity = Math.addExact(quantity, quantity(row));
      value = Math.addExact(value, values[row]);
      onHand[row] = quantity;
      worth[row] = value;
    }
  }

  private static String says(CannotCost refused) {
    return switch (refused.reason()) {
      case UNKNOWN_ARRIVAL -> "the in it takes from comes later";
      case UNKNOWN_OUT -> "the out it returns comes later";
      case RETURNS_TOO_MUCH -> "more comes back than is left of that out";
      case BELOW_ZERO -> "this takes a value below zero";
      case ABOVE_COST -> "a reversal takes worth above cost";
      case NOTHING_TO_REVALUE -> "there is nothing on hand to revalue";
      case SHORT, NO_TARGET -> "there is not enough to take";
    };
  }

  /** What stands in the way, by row; empty when the file could be costed. */
  public Map<Integer, String> faults() {
    return faults;
  }

  /** Outs that are not covered in the end, by row. */
  public Map<Integer, Uncovered> uncovered() {
    return uncovered;
  }

  /** Signed millionths of a row. */
  public long quantity(int row) {
    return moves.kind(row) == EventKind.OUT ? -moves.quantity(row) : moves.quantity(row);
  }

  /**
   * Signed minor units of a row after the whole replay; for an in and a charge, the value given.
   */
  public long value(int row) {
    EventKind kind = moves.kind(row);
    return kind == EventKind.IN || kind == EventKind.CHARGE ? moves.value(row) : values[row];
  }

  /** Millionths on hand of the row's item after it, in event order. */
  public long onHand(int row) {
    return onHand[row];
  }

  /** Minor units its item is worth after it, in event order, charges counted at their arrivals. */
  public long worth(int row) {
    return worth[row];
  }
}
