package zinctally.store.moves;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;

/** Files of one kind, one for each part: written from the start, and once closed, read so. */
final class Shelf {
  private static final int BUFFER = 1 << 14;
  private final Path folder;
  private final String kind;
  private final @Nullable DataOutputStream[] out;

  Shelf(Path folder, String kind, int parts) {
    this.folder = folder;
    this.kind = kind;
    out = new DataOutputStream[parts];
  }

  private Path file(int part) {
    return folder.resolve(kind + part);
  }

  DataOutputStream to(int part) throws IOException {
    DataOutputStream open = out[part];
    if (open == null) {
      open =
          new DataOutputStream(new BufferedOutputStream(Files.newOutputStream(file(part)), BUFFER));
      out[part] = open;
    }
    return open;
  }

  /** Nothing is written any more. */
  void close() throws IOException {
    for (int part = 0; part < out.length; part++) {
      DataOutputStream open = out[part];
      if (open == null) Files.createFile(file(part));
      else open.close();
    }
  }

  DataInputStream from(int part) throws IOException {
    return new DataInputStream(new BufferedInputStream(Files.newInputStream(file(part)), BUFFER));
  }

  void delete(int part) throws IOException {
    Files.delete(file(part));
  }

  static void write(DataOutputStream to, String text) throws IOException {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    to.writeInt(bytes.length);
    to.write(bytes);
  }

  static String text(DataInputStream from) throws IOException {
    return new String(from.readNBytes(from.readInt()), StandardCharsets.UTF_8);
  }
}
