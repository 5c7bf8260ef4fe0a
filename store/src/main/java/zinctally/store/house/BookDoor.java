package zinctally.store.house;

import com.zaxxer.hikari.HikariDataSource;
import java.util.regex.Pattern;
import org.flywaydb.core.Flyway;
import org.springframework.boot.context.properties.bind.Bindable;
import org.springframework.boot.context.properties.bind.Binder;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import zinctally.store.machine.AccountRights;

/** Makes the database of a book ready: its account, its tables, what the account may do. */
final class BookDoor {
  private static final Pattern PLAIN = Pattern.compile("[A-Za-z0-9_.%:-]+");
  private static final String PREFIX = "zinc_";

  /** Milliseconds a connection that nobody uses is kept. */
  private static final long KEPT = 45_000;

  /** Connections to a book at most: two for a request, and some for what is done by itself. */
  private static final int MOST = 2 * Hosted.Limits.MOST_AT_ONCE + 4;

  private final Environment settings;
  private final String server;
  private final String makes;
  private final String makesBy;
  private final String password;

  BookDoor(Environment settings) {
    this.settings = settings;
    String url = settings.getRequiredProperty("spring.datasource.url");
    server = url.substring(0, url.lastIndexOf('/') + 1);
    makes = settings.getRequiredProperty("spring.flyway.user");
    makesBy = settings.getRequiredProperty("spring.flyway.password");
    password = settings.getRequiredProperty("spring.datasource.password");
  }

  /** The account that the program works in a book with. */
  private static String account(String database) {
    return "zinc_app_" + database.substring(PREFIX.length());
  }

  /** Makes what is not there yet, and changes what an earlier version made. */
  void ready(String database) {
    String account = account(database);
    account(plain(account), plain(password));
    DriverManagerDataSource making =
        new DriverManagerDataSource(
            server + plain(database) + "?createDatabaseIfNotExist=true", makes, makesBy);
    AccountRights rights = new AccountRights(account);
    Flyway.configure().dataSource(making).callbacks(rights).load().migrate();
    if (database.equals(AtBook.HOUSE))
      Flyway.configure()
          .dataSource(making)
          .locations("db/house")
          .table(AccountRights.HOUSE_MIGRATIONS)
          .baselineOnMigrate(true)
          .baselineVersion("0")
          .callbacks(rights)
          .load()
          .migrate();
  }

  private void account(String account, String word) {
    JdbcClient sql =
        JdbcClient.create(
            new DriverManagerDataSource(server + "information_schema", makes, makesBy));
    String me = sql.sql("select current_user()").query(String.class).single();
    String who = "'" + account + "'@'" + plain(me.substring(me.indexOf('@') + 1)) + "'";
    sql.sql("create user if not exists " + who + " identified by '" + word + "'").update();
    sql.sql("alter user " + who + " identified by '" + word + "'").update();
  }

  /** An account cannot be made with parameters, so nothing but this is let through. */
  private static String plain(String word) {
    if (!PLAIN.matcher(word).matches())
      throw new IllegalStateException("no name or password of an account: letters and digits only");
    return word;
  }

  HikariDataSource connections(String database) {
    HikariDataSource pool = new HikariDataSource();
    Binder.get(settings).bind("spring.datasource.hikari", Bindable.ofInstance(pool));
    pool.setJdbcUrl(server + database);
    pool.setUsername(account(database));
    pool.setPassword(password);
    pool.setPoolName(database);
    pool.setMaximumPoolSize(MOST);
    pool.setMinimumIdle(0);
    pool.setIdleTimeout(KEPT);
    return pool;
  }
}
