package zinctally.bench;

/** Makes the book at which {@link Hands} works. */
public final class HandsBook {
  private HandsBook() {}

  public static void main(String[] args) {
    BenchBook book = BenchBook.lasting("hands");
    Hands.prepare(book, "{noop}wickmere");
    System.exit(0);
  }
}
