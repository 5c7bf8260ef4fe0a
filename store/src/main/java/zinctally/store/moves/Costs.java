package zinctally.store.moves;

import java.io.IOException;
import java.io.OutputStream;
import zinctally.core.moves.Costing;
import zinctally.core.moves.Moves;

/** What is written of a file that was costed, part by part. */
interface Costs {
  /** Takes a part; its item {@code i} is item {@code i * parts + part} of the file. */
  void take(int part, Moves moves, Costing costing) throws IOException;

  /** Writes it, once all parts were taken. */
  void write(OutputStream out) throws IOException;
}
