package zinctally.core.seal;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;

/**
 * What was posted up to a moment, sealed.
 *
 * @param no from one on, without gaps
 * @param leaves how many there are
 * @param root of the tree over them
 * @param before the hash of the seal before; {@link Hash#NONE} for the first
 */
public record Seal(long no, LocalDateTime at, int leaves, Hash root, Hash before) {
  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss.SSS");

  /** The digest that the next seal bears, and that is printed. */
  public Hash hash() {
    Canonical written = new Canonical();
    written.begin("seal");
    for (Object field : List.of(no, MOMENT.format(at), leaves, root, before))
      written.field(field.toString());
    written.end();
    return written.hash();
  }
}
