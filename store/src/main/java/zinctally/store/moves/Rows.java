package zinctally.store.moves;

import java.io.Closeable;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import zinctally.core.moves.Moves;

/**
 * The rows of a movement file: in memory while they are few, else in files, some items in each, of
 * which one after another fits in memory.
 */
final class Rows implements Closeable {
  private final CostCommand.Room room;
  private final Findings faults;
  private final Moves few = new Moves();
  private final Names names;
  private final List<Referring> referring = new ArrayList<>();
  private @Nullable Aside aside;

  /** A row that names another. */
  private record Referring(int row, String target) {}

  Rows(CostCommand.Room room, Findings faults) {
    this.room = room;
    this.faults = faults;
    names = new Names(few, faults);
  }

  /**
   * @throws IOException when they are too many for memory and cannot be kept in files
   */
  void add(Row row) throws IOException {
    if (aside == null && few.size() == room.rows()) aside = aside();
    if (aside != null) aside.add(row);
    else keep(row);
  }

  private void keep(Row row) {
    if (!row.target().isEmpty()) referring.add(new Referring(few.size(), row.target()));
    few.add(row.line(), row.day(), row.item(), row.kind(), row.quantity(), row.value(), row.ref());
    names.take(few.size() - 1);
  }

  private Aside aside() throws IOException {
    Aside files = new Aside(room.folder());
    int next = 0;
    for (int row = 0; row < few.size(); row++) {
      boolean refers = next < referring.size() && referring.get(next).row == row;
      files.add(
          new Row(
              few.line(row),
              few.day(row),
              few.item(row),
              few.kind(row),
              few.quantity(row),
              few.value(row),
              few.ref(row),
              refers ? referring.get(next++).target : ""));
    }
    few.clear();
    referring.clear();
    return files;
  }

  /** Leads each target to its row, once all are there. */
  void link() throws IOException {
    if (aside != null) {
      aside.link(faults);
      return;
    }
    for (Referring r : referring) {
      int at = names.meant(few.line(r.row), few.item(r.row), few.kind(r.row), r.target);
      if (at >= 0) few.refer(r.row, at);
    }
  }

  /** The files; null while all are in memory. */
  @Nullable Aside files() {
    return aside;
  }

  /**
   * In how many parts they are; item {@code i} is item {@code i / parts} of part {@code i % parts}.
   */
  int parts() {
    return aside == null ? 1 : Aside.PARTS;
  }

  Moves part(int part) throws IOException {
    return aside == null ? few : aside.part(part);
  }

  @Override
  public void close() throws IOException {
    if (aside != null) aside.close();
  }
}
