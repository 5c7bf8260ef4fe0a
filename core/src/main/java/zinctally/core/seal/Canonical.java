package zinctally.core.seal;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import org.jspecify.annotations.Nullable;

/**
 * Something written down in one form only, so that another program comes to the same digest: a line
 * for a record, ended by a line feed; its name and fields with tabs between them; UTF-8. In a field
 * a backslash, a tab and a line feed are written {@code \\}, {@code \t} and {@code \n}; what is
 * nothing is written {@code NULL}.
 */
public final class Canonical {
  private final StringBuilder written = new StringBuilder();

  /** Begins a record. */
  public void begin(String name) {
    written.append(name);
  }

  /**
   * The next field of a record: whole numbers in plain digits, days {@code 2026-03-09}, moments
   * {@code 2026-03-09 14:05:00.123}, yes and no 1 and 0.
   */
  public void field(@Nullable String field) {
    written.append('\t');
    if (field == null) written.append("NULL");
    else if (plain(field)) written.append(field);
    else escaped(field);
  }

  private static boolean plain(String text) {
    return text.indexOf('\\') < 0 && text.indexOf('\t') < 0 && text.indexOf('\n') < 0;
  }

  public void end() {
    written.append('\n');
  }

  /** The digest of all that was written. */
  public Hash hash() {
    MessageDigest digest = Hash.digest();
    return new Hash(digest.digest(written.toString().getBytes(StandardCharsets.UTF_8)));
  }

  private void escaped(String text) {
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      switch (c) {
        case '\\' -> written.append("\\\\");
        case '\t' -> written.append("\\t");
        case '\n' -> written.append("\\n");
        default -> written.append(c);
      }
    }
  }
}
