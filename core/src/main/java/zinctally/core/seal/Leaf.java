package zinctally.core.seal;

/**
 * Something that is sealed: the digest of its figures, which nothing may change, and that of its
 * words, which erasing a person or merging two may, leaving a trace of its own.
 */
public record Leaf(Hash figures, Hash words) {
  private static final byte[] IS_LEAF = {0};

  /** Its digest in the tree. */
  Hash hash() {
    return Hash.of(IS_LEAF, figures.bytes(), words.bytes());
  }
}
