package zinctally.store.moves;

import java.io.Closeable;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.springframework.util.FileSystemUtils;
import zinctally.core.cost.EventKind;
import zinctally.core.moves.Moves;

/**
 * Rows that are too many for memory, in files: by item; by the refs they have and by those they
 * name, so that who is meant is found among few; and in which order they came. One part of a kind
 * is in memory at a time.
 */
final class Aside implements Kept, Closeable {
  static final int PARTS = 128;
  private static final EventKind[] KINDS = EventKind.values();
  private final Path folder;
  private final Shelf rows;
  private final Shelf refs;
  private final Shelf targets;
  private final Shelf links;
  private final Shelf costs;
  private final Shelf order;
  private final int[] counts = new int[PARTS];

  /** For who ends the program in the middle. */
  private final Thread atEnd = new Thread(this::clear);

  /**
   * @throws IOException when none can be made in that folder
   */
  Aside(Path within) throws IOException {
    folder = Files.createTempDirectory(within, "cost");
    rows = new Shelf(folder, "rows", PARTS);
    refs = new Shelf(folder, "refs", PARTS);
    targets = new Shelf(folder, "targets", PARTS);
    links = new Shelf(folder, "links", PARTS);
    costs = new Shelf(folder, "costs", PARTS);
    order = new Shelf(folder, "order", 1);
    Runtime.getRuntime().addShutdownHook(atEnd);
  }

  @Override
  public void add(Row row) throws IOException {
    int part = row.item() % PARTS;
    counts[part]++;
    order.to(0).writeByte(part);
    DataOutputStream to = rows.to(part);
    to.writeInt(row.line());
    to.writeInt(row.day());
    to.writeInt(row.item() / PARTS);
    to.writeByte(row.kind().ordinal());
    to.writeLong(row.quantity());
    to.writeLong(row.value());
    Shelf.write(to, row.ref());
    if (!row.ref().isEmpty()) name(row, refs, row.ref());
    if (!row.target().isEmpty()) name(row, targets, row.target());
  }

  private static void name(Row row, Shelf shelf, String name) throws IOException {
    DataOutputStream to = shelf.to(Math.floorMod(name.hashCode(), PARTS));
    to.writeInt(row.line());
    to.writeInt(row.item());
    to.writeByte(row.kind().ordinal());
    Shelf.write(to, name);
  }

  @Override
  public void link(Findings faults) throws IOException {
    for (Shelf shelf : List.of(rows, refs, targets, order)) shelf.close();
    for (int part = 0; part < PARTS; part++) {
      Moves named = new Moves();
      Names names = new Names(named, faults);
      try (DataInputStream from = refs.from(part)) {
        while (from.available() > 0) {
          int line = from.readInt();
          int item = from.readInt();
          named.add(line, 0, item, KINDS[from.readByte()], 0, 0, Shelf.text(from));
          names.take(named.size() - 1);
        }
      }
      try (DataInputStream from = targets.from(part)) {
        while (from.available() > 0) {
          int line = from.readInt();
          int item = from.readInt();
          int at = names.meant(line, item, KINDS[from.readByte()], Shelf.text(from));
          if (at < 0) continue;
          links.to(item % PARTS).writeInt(line);
          links.to(item % PARTS).writeInt(named.line(at));
        }
      }
      refs.delete(part);
      targets.delete(part);
    }
    links.close();
  }

  @Override
  public int parts() {
    return PARTS;
  }

  @Override
  public Moves part(int part) throws IOException {
    Moves moves = new Moves();
    try (DataInputStream from = rows.from(part)) {
      for (int row = 0; row < counts[part]; row++) {
        int line = from.readInt();
        int day = from.readInt();
        int item = from.readInt();
        EventKind kind = KINDS[from.readByte()];
        long quantity = from.readLong();
        long value = from.readLong();
        moves.add(line, day, item, kind, quantity, value, Shelf.text(from));
      }
    }
    try (DataInputStream from = links.from(part)) {
      while (from.available() > 0) moves.refer(moves.at(from.readInt()), moves.at(from.readInt()));
    }
    rows.delete(part);
    return moves;
  }

  /** Keeps lines of the result, each of a row of the part, in their order. */
  void keep(int part, Line line) throws IOException {
    DataOutputStream to = costs.to(part);
    to.writeInt(line.size());
    line.writeTo(to);
  }

  /** Writes the lines that were kept in the order in which the rows came. */
  void merge(OutputStream out) throws IOException {
    costs.close();
    DataInputStream[] from = new DataInputStream[PARTS];
    for (int part = 0; part < PARTS; part++) from[part] = costs.from(part);
    byte[] line = new byte[256];
    try (DataInputStream parts = order.from(0)) {
      for (int part = parts.read(); part >= 0; part = parts.read()) {
        int size = from[part].readInt();
        if (size > line.length) line = new byte[size * 2];
        from[part].readFully(line, 0, size);
        out.write(line, 0, size);
      }
    }
    for (DataInputStream each : from) each.close();
  }

  private void clear() {
    try {
      FileSystemUtils.deleteRecursively(folder);
    } catch (IOException left) {
      throw new UncheckedIOException(left);
    }
  }

  @Override
  public void close() {
    clear();
    Runtime.getRuntime().removeShutdownHook(atEnd);
  }
}
