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
import org.springframework.core.env.Environment;
import org.springframework.jdbc.support.JdbcTransactionManager;

/** A book that several database servers keep: {@code zinc.servers} has their addresses. */
@Configuration
@ConditionalOnExpression("!'${zinc.servers:}'.isEmpty()")
class ClusterConfiguration {
  /** As long as the others need to be sure that one of them is gone, and some. */
  private static final Duration PATIENCE = Duration.ofSeconds(25);

  /** Milliseconds after which a server that is not there is not waited for. */
  private static final int SOON = 1000;

  @Bean
  ClusterSource dataSource(
      DataSourceProperties book, Environment settings, @Value("${zinc.servers}") List<String> at) {
    List<Server> servers = at.stream().map(a -> server(a, book, settings)).toList();
    return new ClusterSource(servers, PATIENCE).watching();
  }

  private static Server server(String address, DataSourceProperties book, Environment settings) {
    HikariDataSource pool = book.initializeDataSourceBuilder().type(HikariDataSource.class).build();
    Binder.get(settings).bind("spring.datasource.hikari", Bindable.ofInstance(pool));
    pool.setJdbcUrl(
        book.determineUrl().replaceFirst("(sequential:)?//[^/]+/", "//" + address + "/"));
    pool.setPoolName(address);
    pool.setConnectionTimeout(SOON);
    pool.setValidationTimeout(SOON);
    pool.setMinimumIdle(1);
    pool.setInitializationFailTimeout(-1);
    pool.addDataSourceProperty("connectTimeout", String.valueOf(SOON));
    return new Server(address, pool);
  }

  @Bean
  JdbcTransactionManager transactionManager(DataSource source) {
    return new FencedTransactions(source);
  }
}
