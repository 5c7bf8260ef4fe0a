package zinctally.core.seal;

import java.time.LocalDateTime;
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
  /** The digest that the next seal bears, and that is printed. */
  public Hash hash() {
    return new Canonical().record("seal", List.of(no, at, leaves, root, before)).hash();
  }
}
