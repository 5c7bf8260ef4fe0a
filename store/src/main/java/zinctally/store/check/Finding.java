package zinctally.store.check;

import java.util.List;

/**
 * What came of checking one thing that must always hold.
 *
 * @param what what must hold
 * @param looked how many things were looked at
 * @param faults those that do not hold, named; at most the first ones
 * @param count how many do not hold
 * @param items codes of items that a recosting puts right
 */
public record Finding(
    String what, long looked, List<String> faults, long count, List<String> items) {
  public Finding(String what, long looked, List<String> faults, long count) {
    this(what, looked, faults, count, List.of());
  }

  public boolean holds() {
    return count == 0;
  }
}
