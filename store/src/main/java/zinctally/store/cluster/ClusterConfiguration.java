package zinctally.store.cluster;

import com.zaxxer.hikari.HikariDataSource;
import java.time.Duration;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.boot.context.properties.bind.Bindable;
import org.springframework.boot.context.properties.bind.Binder;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.datasource.LazyConnectionDataSourceProxy;
import org.springframework.jdbc.support.JdbcTransactionManager;

/**
 * A book that several database servers keep: {@code zinc.servers} has their addresses, {@code
 * zinc.near} that of the one from which this program reads.
 */
@Configuration
@ConditionalOnExpression("!'${zinc.servers:}'.isEmpty()")
class ClusterConfiguration {
  /** As long as the others need to be sure that one of them is gone, and some. */
  private static final Duration PATIENCE = Duration.ofSeconds(25);

  /** Milliseconds after which a server that is not there is not waited for. */
  private static final int SOON = 1000;

  private final DataSourceProperties book;
  private final Environment settings;

  ClusterConfiguration(DataSourceProperties book, Environment settings) {
    this.book = book;
    this.settings = settings;
  }

  @Bean
  ClusterSource cluster(@Value("${zinc.servers}") List<String> addresses) {
    return new ClusterSource(addresses.stream().map(this::server).toList(), PATIENCE).watching();
  }

  @Bean
  @Primary
  DataSource dataSource(ClusterSource cluster, @Value("${zinc.near:}") String near) {
    LazyConnectionDataSourceProxy both = new LazyConnectionDataSourceProxy();
    both.setTargetDataSource(cluster);
    both.setDefaultAutoCommit(true);
    both.setDefaultTransactionIsolationName("TRANSACTION_READ_COMMITTED");
    if (!near.isEmpty()) both.setReadOnlyDataSource(near(near, cluster));
    return both;
  }

  private NearSource near(String address, ClusterSource cluster) {
    HikariDataSource pool = pool(address, "near " + address);
    pool.setConnectionInitSql("set session wsrep_sync_wait = 1");
    return new NearSource(pool, cluster);
  }

  private Server server(String address) {
    return new Server(address, pool(address, address));
  }

  private HikariDataSource pool(String address, String name) {
    HikariDataSource pool = book.initializeDataSourceBuilder().type(HikariDataSource.class).build();
    Binder.get(settings).bind("spring.datasource.hikari", Bindable.ofInstance(pool));
    pool.setJdbcUrl(
        book.determineUrl().replaceFirst("(sequential:)?//[^/]+/", "//" + address + "/"));
    pool.setPoolName(name);
    pool.setConnectionTimeout(SOON);
    pool.setValidationTimeout(SOON);
    pool.setMinimumIdle(1);
    pool.setInitializationFailTimeout(-1);
    pool.addDataSourceProperty("connectTimeout", String.valueOf(SOON));
    return pool;
  }

  @Bean
  JdbcTransactionManager transactionManager(DataSource source) {
    return new FencedTransactions(source);
  }
}
