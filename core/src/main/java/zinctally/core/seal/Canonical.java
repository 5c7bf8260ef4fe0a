package zinctally.core.seal;

import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Something written down in one form only, so that another program comes to the same digest: a line
 * for a record, ended by a line feed; its name and fields with tabs between them; UTF-8. In a field
 * a backslash, a tab and a line feed are written {@code \\}, {@code \t} and {@code \n}; what is
 * nothing is written {@code NULL}; moments {@code 2026-03-09 14:05:00.123}, yes and no 1 and 0.
 */
public final class Canonical {
  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss.SSS");
  private final MessageDigest digest = Hash.digest();
  private final StringBuilder line = new StringBuilder();

  /** Writes a record. */
  public Canonical record(String name, List<? extends @Nullable Object> fields) {
    line.setLength(0);
    line.append(name);
    for (Object field : fields) {
      line.append('\t');
      append(field);
    }
    line.append('\n');
    digest.update(line.toString().getBytes(StandardCharsets.UTF_8));
    return this;
  }

  /** The digest of all that was written; begins anew. */
  public Hash hash() {
    return new Hash(digest.digest());
  }

  private void append(@Nullable Object field) {
    if (field == null) line.append("NULL");
    else if (field instanceof Boolean yes) line.append(yes ? '1' : '0');
    else if (field instanceof BigDecimal figure) line.append(figure.toPlainString());
    else if (field instanceof LocalDateTime moment) line.append(MOMENT.format(moment));
    else escaped(field.toString());
  }

  private void escaped(String text) {
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      switch (c) {
        case '\\' -> line.append("\\\\");
        case '\t' -> line.append("\\t");
        case '\n' -> line.append("\\n");
        default -> line.append(c);
      }
    }
  }
}
