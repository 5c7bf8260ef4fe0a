package zinctally.core.moves;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import zinctally.core.cost.CannotCost;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Method;
import zinctally.core.cost.Past;
import zinctally.core.cost.Pool;
import zinctally.core.cost.PoolState;
import zinctally.core.cost.Position;
import zinctally.core.cost.Trace;
import zinctally.core.cost.Uncovered;

/**
 * Costs of a whole movement file, worked out from the start. An item's pool knows only that item.
 */
public final class Costing {
  private final List<Move> moves;
  private final long[] values;
  private final long[] onHand;
  private final long[] worth;
  private final Map<Integer, String> faults = new TreeMap<>();
  private final Map<Integer, Uncovered> uncovered = new TreeMap<>();

  /**
   * @param moves in file order, which is the sequence; faults found in reading are none
   * @param methods by item
   */
  public Costing(List<Move> moves, List<Method> methods) {
    this.moves = moves;
    values = new long[moves.size()];
    onHand = new long[moves.size()];
    worth = new long[moves.size()];
    List<List<Integer>> byItem = new ArrayList<>();
    for (int i = 0; i < methods.size(); i++) byItem.add(new ArrayList<>());
    for (int row = 0; row < moves.size(); row++) byItem.get(moves.get(row).item()).add(row);
    for (int item = 0; item < byItem.size(); item++) {
      List<Integer> rows = byItem.get(item);
      rows.sort(Comparator.comparing((Integer row) -> moves.get(row).date()));
      try {
        replay(rows, methods.get(item));
      } catch (CannotCost refused) {
        faults.put((int) refused.event().id() - 1, says(refused));
      } catch (ArithmeticException tooLarge) {
        faults.put(rows.get(0), "the amounts of this item are too large to add up");
      }
    }
  }

  private void replay(List<Integer> rows, Method method) {
    Map<Integer, Long> charges = new java.util.HashMap<>();
    for (int row : rows)
      if (moves.get(row).kind() == EventKind.CHARGE)
        charges.merge(moves.get(row).target(), moves.get(row).value(), Math::addExact);
    Pool pool = new Pool(method, PoolState.EMPTY, true, Past.NONE, Trace.SILENT);
    for (int row : rows) {
      Move move = moves.get(row);
      CostEvent event =
          new CostEvent(
              row + 1L,
              move.kind(),
              new Position(move.date(), row, 0),
              move.quantity(),
              move.value(),
              move.target() + 1L);
      values[row] = pool.apply(event, charges.getOrDefault(row, 0L));
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
    Move move = moves.get(row);
    return move.kind() == EventKind.OUT ? -move.quantity() : move.quantity();
  }

  /**
   * Signed minor units of a row after the whole replay; for an in and a charge, the value given.
   */
  public long value(int row) {
    EventKind kind = moves.get(row).kind();
    return kind == EventKind.IN || kind == EventKind.CHARGE ? moves.get(row).value() : values[row];
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
