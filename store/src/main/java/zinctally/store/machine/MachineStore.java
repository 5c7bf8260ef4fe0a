package zinctally.store.machine;

import java.time.LocalDateTime;
import java.util.List;
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
   * A backup that was read back and checked.
   *
   * @param madeAt the moment that it holds
   */
  public record Backup(LocalDateTime madeAt, String file, long bytes, int seconds) {}

  /**
   * @param version as the database names itself
   * @param bytes that the book takes on disk, as the database estimates them
   */
  public record Database(String version, long bytes) {}

  /** Backups made, latest first. */
  public List<Backup> backups(int atMost) {
    return sql.sql(
            "select made_at, file, bytes, seconds from backup_made order by made_at desc limit ?")
        .param(atMost)
        .query(
            (row, n) ->
                new Backup(
                    row.getObject(1, LocalDateTime.class),
                    row.getString(2),
                    row.getLong(3),
                    row.getInt(4)))
        .list();
  }

  public Optional<Backup> newest() {
    return backups(1).stream().findFirst();
  }

  public Database database() {
    return sql.sql(
            "select version(), coalesce(sum(data_length + index_length), 0)"
                + " from information_schema.tables where table_schema = database()")
        .query((row, n) -> new Database(row.getString(1), row.getLong(2)))
        .single();
  }
}
