package zinctally.store;

import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLTransientConnectionException;
import java.util.stream.Stream;

/** Tells a database that does not answer from everything else that can go wrong. */
public final class DatabaseGone {
  private static final int DEEPEST = 20;

  private DatabaseGone() {}

  /** Whether that, and nothing else, is why something failed. */
  public static boolean why(Throwable failed) {
    return Stream.iterate(failed, e -> e != null, Throwable::getCause)
        .limit(DEEPEST)
        .anyMatch(
            e ->
                e instanceof SQLTransientConnectionException
                    || e instanceof SQLNonTransientConnectionException);
  }
}
