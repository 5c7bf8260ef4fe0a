package zinctally.store.sql;

import java.util.Objects;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;

/** The number the database gives a row as it is written. */
public final class NewRow {
  private NewRow() {}

  /**
   * Writes one row of a table whose {@code id} counts up by itself.
   *
   * @param insert the statement with its parameters
   * @return its id
   */
  public static long id(JdbcClient.StatementSpec insert) {
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    insert.update(key, "id");
    return Objects.requireNonNull(key.getKey()).longValue();
  }
}
