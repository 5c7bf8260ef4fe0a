package zinctally.store.moves;

import java.util.Arrays;
import zinctally.core.moves.Moves;

/** Rows by their refs, in a table of row numbers alone. */
final class Refs {
  private final Moves moves;
  private int[] rows = new int[1 << 12];
  private int[] hashes = new int[1 << 12];
  private int size;

  Refs(Moves moves) {
    this.moves = moves;
    Arrays.fill(rows, -1);
  }

  /** The row with this ref, -1 for none. */
  int find(String ref) {
    int hash = ref.hashCode();
    for (int at = slot(hash); ; at = (at + 1) & (rows.length - 1)) {
      if (rows[at] < 0) return -1;
      if (hashes[at] == hash && moves.ref(rows[at]).equals(ref)) return rows[at];
    }
  }

  /** Adds a row whose ref is not here yet. */
  void add(int row) {
    if (++size > rows.length / 2) grow();
    put(row, moves.ref(row).hashCode());
  }

  private void put(int row, int hash) {
    int at = slot(hash);
    while (rows[at] >= 0) at = (at + 1) & (rows.length - 1);
    rows[at] = row;
    hashes[at] = hash;
  }

  private void grow() {
    int[] old = rows;
    int[] oldHashes = hashes;
    rows = new int[old.length * 2];
    hashes = new int[old.length * 2];
    Arrays.fill(rows, -1);
    for (int i = 0; i < old.length; i++) if (old[i] >= 0) put(old[i], oldHashes[i]);
  }

  private int slot(int hash) {
    int mixed = hash * 0x9E3779B9;
    return (mixed ^ (mixed >>> 15)) & (rows.length - 1);
  }
}
