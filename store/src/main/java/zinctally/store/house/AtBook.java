package zinctally.store.house;

import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * In which book a thread is at work, where a program serves many. Whoever is in none reaches none.
 */
public final class AtBook {
  /** The database that has the house's own people, and knows its books. */
  public static final String HOUSE = "zinc_house";

  private static final ThreadLocal<@Nullable String> HERE = new ThreadLocal<>();

  private AtBook() {}

  /** Being in a book; closing goes back to where the thread was before. */
  public interface Stay extends AutoCloseable {
    @Override
    void close();
  }

  /**
   * Goes into a book.
   *
   * @param database of the book
   */
  public static Stay go(@Nullable String database) {
    String before = HERE.get();
    HERE.set(database);
    return () -> {
      if (before == null) HERE.remove();
      else HERE.set(before);
    };
  }

  /** Does something in a book and comes back. */
  public static <T> T in(String database, Supplier<T> work) {
    try (Stay stay = go(database)) {
      return work.get();
    }
  }

  /**
   * The database of the book this thread is in.
   *
   * @throws IllegalStateException when it is in none
   */
  static String database() {
    String here = HERE.get();
    if (here == null) throw new IllegalStateException("this thread is in no book");
    return here;
  }

  /** Whether this thread is at the house itself, which is no book. */
  public static boolean house() {
    return HOUSE.equals(HERE.get());
  }

  /** The same work, done by another thread in the book of this one. */
  public static Runnable carried(Runnable work) {
    String here = HERE.get();
    return () -> {
      try (Stay stay = go(here)) {
        work.run();
      }
    };
  }

  /** The same, of work that gives something. */
  public static <A, B> Function<A, B> carried(Function<A, B> work) {
    String here = HERE.get();
    return given -> {
      try (Stay stay = go(here)) {
        return work.apply(given);
      }
    };
  }
}
