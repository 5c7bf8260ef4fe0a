package zinctally.store.moves;

import java.io.IOException;
import zinctally.core.moves.Moves;

/** Where the rows of a movement file are until they are worked out. */
interface Kept {
  void add(Row row) throws IOException;

  /** Leads each target to its row, once all are there. */
  void link(Findings faults) throws IOException;

  /**
   * In how many parts they are; item {@code i} is item {@code i / parts} of part {@code i % parts}.
   */
  int parts();

  /** A part, once. */
  Moves part(int part) throws IOException;
}
