package zinctally.store.check;

import java.util.List;

/**
 * What came of checking one thing that must always hold.
 *
 * @param what what must hold
 * @param looked how many things were looked at
 * @param faults those that do not hold, named; at most the first ones
 * @param count how many do not hold
 */
public record Finding(String what, long looked, List<String> faults, long count) {
  public boolean holds() {
    return count == 0;
  }
}
