package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;

/** Sums by what they are of and by month, to be added to those that are kept. */
final class MonthSums {

  private final TreeMap<Cell, long[]> sums = new TreeMap<>();

  private record Cell(long id, LocalDate month) implements Comparable<Cell> {
    @Override
    public int compareTo(Cell other) {
      int byId = Long.compare(id, other.id);
      return byId != 0 ? byId : month.compareTo(other.month);
    }
  }

  void add(long id, LocalDate month, long first, long second) {
    long[] sum = sums.computeIfAbsent(new Cell(id, month), c -> new long[2]);
    sum[0] = Math.addExact(sum[0], first);
    sum[1] = Math.addExact(sum[1], second);
  }

  /**
   * @param both whether both figures are kept, or the first alone
   */
  List<Object[]> rows(boolean both) {
    List<Object[]> rows = new ArrayList<>();
    sums.forEach(
        (cell, sum) ->
            rows.add(
                both
                    ? new Object[] {cell.id(), cell.month(), sum[0], sum[1]}
                    : new Object[] {cell.id(), cell.month(), sum[0]}));
    return rows;
  }
}
