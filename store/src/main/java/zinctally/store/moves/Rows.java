package zinctally.store.moves;

import java.io.Closeable;
import java.io.IOException;
import org.jspecify.annotations.Nullable;

/** The rows of a movement file: in memory while they are few, else in files. */
final class Rows implements Closeable {
  private final CostCommand.Room room;
  private Few few = new Few();
  private @Nullable Aside aside;

  Rows(CostCommand.Room room) {
    this.room = room;
  }

  /**
   * @throws IOException when they are too many for memory and cannot be kept in files
   */
  void add(Row row) throws IOException {
    if (aside == null && few.size() == room.rows()) {
      aside = new Aside(room.folder());
      few.handTo(aside);
      few = new Few();
    }
    kept().add(row);
  }

  Kept kept() {
    return aside == null ? few : aside;
  }

  /** The files; null while all are in memory. */
  @Nullable Aside files() {
    return aside;
  }

  @Override
  public void close() {
    if (aside != null) aside.close();
  }
}
