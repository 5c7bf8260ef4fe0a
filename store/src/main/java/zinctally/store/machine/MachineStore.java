package zinctally.store.machine;

import java.time.LocalDateTime;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What is known of the machine the book lies on. */
@Repository
public class MachineStore {
  private final JdbcClient sql;

  MachineStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * @param version as the database names itself
   * @param bytes that the book takes on disk, as the database estimates them
   */
  public record Database(String version, long bytes) {}

  /** Of what moment the newest backup is that was read back and checked. */
  public Optional<LocalDateTime> newestBackup() {
    return sql.sql("select made_at from backup_made order by made_at desc limit 1")
        .query(LocalDateTime.class)
        .optional();
  }

  public Database database() {
    return sql.sql(
            "select version(), coalesce(sum(data_length + index_length), 0)"
                + " from information_schema.tables where table_schema = database()")
        .query((row, n) -> new Database(row.getString(1), row.getLong(2)))
        .single();
  }
}
