package zinctally.store.opening;

import java.io.IOException;
import java.io.InputStream;
import java.util.Collections;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import zinctally.store.opening.SheetReader.Unreadable;

/** A spreadsheet file as it is packed: a small one can unpack to more than fits in memory. */
final class Packed {
  private static final long MEGA = 1024L * 1024;
  private static final long MOST = 100 * MEGA;
  private static final long MOST_WORDS = 32 * MEGA; // kept in memory while the sheet is read
  private static final String WORDS = "xl/sharedStrings.xml";

  private Packed() {}

  /**
   * Unpacks it once without keeping anything.
   *
   * @throws Unreadable when it is larger unpacked than can be read
   */
  static void check(byte[] bytes) throws Unreadable, IOException {
    byte[] part = new byte[64 * 1024];
    long all = 0;
    try (ZipFile file = ZipFile.builder().setByteArray(bytes).get()) {
      for (ZipArchiveEntry entry : Collections.list(file.getEntries())) {
        long own = 0;
        try (InputStream in = file.getInputStream(entry)) {
          for (int read = in.read(part); read >= 0; read = in.read(part)) {
            own += read;
            if (all + own > MOST || own > MOST_WORDS && entry.getName().equals(WORDS))
              throw new Unreadable(
                  "This spreadsheet is larger unpacked than can be read here; save only the sheet"
                      + " that is needed, in parts, or as CSV.");
          }
        }
        all += own;
      }
    }
  }
}
