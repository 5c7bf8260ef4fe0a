package zinctally.store.machine;

import java.util.Set;
import org.flywaydb.core.api.callback.BaseCallback;
import org.flywaydb.core.api.callback.Context;
import org.flywaydb.core.api.callback.Event;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.stereotype.Component;

/**
 * What the application's database account may do, when it is not the one that migrates: read and
 * add everywhere in its own book, change and delete only where something is kept as it now is. What
 * has been posted and what was written down of who did it can be added to, never changed, but by
 * the procedures that a migration makes.
 */
@Component
public class AccountRights extends BaseCallback {
  private static final Set<String> ONLY_ADDED_TO =
      Set.of(
          "journal",
          "journal_line",
          "cost_entry",
          "quantity_move",
          "paper_line",
          "paper_version",
          "audit",
          "posting",
          "seal",
          "seal_leaf",
          "seal_change");

  /** Which of two suppliers or customers made one a line is about; no figure changes with it. */
  private static final String OF_WHOM = "journal_line";

  /** Where it is kept which of a house's own tables have been made. */
  public static final String HOUSE_MIGRATIONS = "house_schema_history";

  private static final Set<String> MIGRATIONS = Set.of("flyway_schema_history", HOUSE_MIGRATIONS);

  private final String application;

  /**
   * @param application name of the application's account
   */
  public AccountRights(@Value("${spring.datasource.username}") String application) {
    this.application = application;
  }

  @Override
  public boolean supports(Event event, Context context) {
    return event == Event.AFTER_MIGRATE;
  }

  @Override
  public void handle(Event event, Context context) {
    JdbcClient sql =
        JdbcClient.create(new SingleConnectionDataSource(context.getConnection(), true));
    String migrates = sql.sql("select current_user()").query(String.class).single();
    if (migrates.startsWith(application + "@")) return;
    String to = " to '" + application + "'@'" + migrates.substring(migrates.indexOf('@') + 1) + "'";
    String book = sql.sql("select database()").query(String.class).single();
    sql.sql("grant select on `" + book.replace("_", "\\_") + "`.*" + to).update();
    for (String table :
        sql.sql("select table_name from information_schema.tables where table_schema = database()")
            .query(String.class)
            .list())
      if (!MIGRATIONS.contains(table))
        sql.sql("grant " + writing(table) + " on `" + table + "`" + to).update();
    for (String routine :
        sql.sql(
                "select routine_name from information_schema.routines"
                    + " where routine_schema = database() and routine_type = 'PROCEDURE'")
            .query(String.class)
            .list()) sql.sql("grant execute on procedure `" + routine + "`" + to).update();
  }

  private static String writing(String table) {
    if (!ONLY_ADDED_TO.contains(table)) return "insert, update, delete";
    return table.equals(OF_WHOM) ? "insert, update (party_id)" : "insert";
  }
}
