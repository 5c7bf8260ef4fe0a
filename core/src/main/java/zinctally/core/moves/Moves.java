package zinctally.core.moves;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import zinctally.core.cost.EventKind;

/**
 * The rows of a movement file, column by column, so that millions of them fit in little memory. A
 * row's number is its place among the rows, from zero.
 */
public final class Moves {
  private static final EventKind[] KINDS = EventKind.values();
  private static final int FIRST = 1024;
  private int size;
  private int[] lines = new int[FIRST];
  private int[] days = new int[FIRST];
  private int[] items = new int[FIRST];
  private byte[] kinds = new byte[FIRST];
  private long[] quantities = new long[FIRST];
  private long[] values = new long[FIRST];
  private byte[] refs = new byte[8 * FIRST];
  private int[] refEnds = new int[FIRST];
  private int[] targets = new int[FIRST];

  /**
   * @param line the file's line, for naming the row
   * @param day days since 1970-01-01
   * @param quantity millionths, above zero for in, out and back, else zero
   * @param value minor units, for in, charge and revalue, else zero
   * @param ref what others may call it, may be empty
   */
  public void add(
      int line, int day, int item, EventKind kind, long quantity, long value, String ref) {
    if (size == lines.length) grow();
    lines[size] = line;
    days[size] = day;
    items[size] = item;
    kinds[size] = (byte) kind.ordinal();
    quantities[size] = quantity;
    values[size] = value;
    keep(ref);
    targets[size++] = -1;
  }

  private void keep(String ref) {
    int start = size == 0 ? 0 : refEnds[size - 1];
    byte[] bytes = ref.getBytes(StandardCharsets.UTF_8);
    int end = Math.addExact(start, bytes.length);
    if (end > refs.length) refs = Arrays.copyOf(refs, Math.max(end, refs.length / 2 * 3));
    System.arraycopy(bytes, 0, refs, start, bytes.length);
    refEnds[size] = end;
  }

  private void grow() {
    int more = Math.multiplyExact(size, 2);
    lines = Arrays.copyOf(lines, more);
    days = Arrays.copyOf(days, more);
    items = Arrays.copyOf(items, more);
    kinds = Arrays.copyOf(kinds, more);
    quantities = Arrays.copyOf(quantities, more);
    values = Arrays.copyOf(values, more);
    refEnds = Arrays.copyOf(refEnds, more);
    targets = Arrays.copyOf(targets, more);
  }

  /**
   * The row of a line, which rows follow in order.
   *
   * @return below zero when there is none
   */
  public int at(int line) {
    return Arrays.binarySearch(lines, 0, size, line);
  }

  /** Lets a row refer to another. */
  public void refer(int row, int target) {
    targets[row] = target;
  }

  public int size() {
    return size;
  }

  public int line(int row) {
    return lines[row];
  }

  /** Days since 1970-01-01. */
  public int day(int row) {
    return days[row];
  }

  public int item(int row) {
    return items[row];
  }

  public EventKind kind(int row) {
    return KINDS[kinds[row]];
  }

  public long quantity(int row) {
    return quantities[row];
  }

  public long value(int row) {
    return values[row];
  }

  public String ref(int row) {
    int start = row == 0 ? 0 : refEnds[row - 1];
    return new String(refs, start, refEnds[row] - start, StandardCharsets.UTF_8);
  }

  /** The row it refers to, -1 for none. */
  public int target(int row) {
    return targets[row];
  }
}
