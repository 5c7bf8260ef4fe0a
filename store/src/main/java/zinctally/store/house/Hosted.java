package zinctally.store.house;

import java.util.Optional;
import java.util.regex.Pattern;

/**
 * A book of a house.
 *
 * @param name as it stands in its address: small letters, digits and dashes, beginning with a
 *     letter
 * @param title what the business is called
 * @param open whether anybody is let in
 * @param limits what it may take of the machine
 */
public record Hosted(String name, String title, boolean open, Limits limits) {
  private static final Pattern NAME = Pattern.compile("[a-z](-?[a-z0-9]){1,29}");
  private static final String DATABASE = "zinc_b_";

  /**
   * What a book may take.
   *
   * @param people who may sign in
   * @param atOnce requests that are answered at one moment; more wait
   * @param megabytes on disk, as the database estimates them; a book over it is only read
   */
  public record Limits(int people, int atOnce, int megabytes) {
    /** For a small business. */
    public static final Limits USUAL = new Limits(20, 6, 2000);

    /** What no book may have more of done at one moment, so that there are connections for it. */
    public static final int MOST_AT_ONCE = 20;

    /** Whether each is a number that can be kept to. */
    public boolean sound() {
      return between(1, people, 1000)
          && between(1, atOnce, MOST_AT_ONCE)
          && between(10, megabytes, 1 << 20);
    }

    private static boolean between(int least, int asked, int most) {
      return asked >= least && asked <= most;
    }
  }

  /** Whether something can be the name of a book: two to thirty letters. */
  public static boolean fits(String name) {
    return name.length() <= 30 && NAME.matcher(name).matches();
  }

  /** The name of the book that lies in a database; empty when it is no book's. */
  static Optional<String> name(String database) {
    return Optional.of(database)
        .filter(d -> d.startsWith(DATABASE))
        .map(d -> d.substring(DATABASE.length()).replace('_', '-'));
  }

  /** The database it lies in. */
  public String database() {
    return DATABASE + name.replace('-', '_');
  }
}
