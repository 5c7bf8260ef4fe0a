package zinctally.store;

import java.sql.SQLException;
import java.util.Set;
import java.util.stream.Stream;

/** Tells a disk that has no room left from everything else that can go wrong. */
public final class DiskFull {
  private static final int DEEPEST = 20;

  /** As MariaDB numbers them: no room on the disk, a table that cannot grow. */
  private static final Set<Integer> FULL = Set.of(1021, 1114);

  /** Said by the storage engine, with the number the system gives a disk without room. */
  private static final int ENGINE = 1030;

  private DiskFull() {}

  /** Whether that, and nothing else, is why something failed. */
  public static boolean why(Throwable failed) {
    return Stream.iterate(failed, e -> e != null, Throwable::getCause)
        .limit(DEEPEST)
        .filter(SQLException.class::isInstance)
        .map(SQLException.class::cast)
        .anyMatch(
            e ->
                FULL.contains(e.getErrorCode())
                    || e.getErrorCode() == ENGINE
                        && String.valueOf(e.getMessage()).contains("error 28"));
  }
}
