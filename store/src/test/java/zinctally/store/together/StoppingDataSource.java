package zinctally.store.together;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/** A data source whose connections ask {@link Turns} before every statement and every commit. */
final class StoppingDataSource extends DelegatingDataSource {
  private static final int WORDS = 90;

  private StoppingDataSource(DataSource real) {
    super(real);
  }

  /** Puts it before the book's own. */
  @Configuration
  static class Wiring {
    @Bean
    static BeanPostProcessor stopping() {
      return new BeanPostProcessor() {
        @Override
        public Object postProcessAfterInitialization(Object bean, String name) {
          return bean instanceof DataSource real ? new StoppingDataSource(real) : bean;
        }
      };
    }
  }

  @Override
  public Connection getConnection() throws SQLException {
    return proxy(Connection.class, super.getConnection(), "");
  }

  /** Calls that go to the database, and what is said of them. */
  private static final Map<String, String> SENT =
      Map.of("commit", "commit", "rollback", "rollback");

  @SuppressWarnings("unchecked")
  private static <T> T proxy(Class<T> type, Object real, String words) {
    return (T)
        Proxy.newProxyInstance(
            type.getClassLoader(),
            new Class<?>[] {type},
            (self, method, args) -> {
              String name = method.getName();
              if (SENT.containsKey(name)) Turns.stop(SENT.get(name));
              if (name.startsWith("execute"))
                Turns.stop(words.isEmpty() && args != null ? brief((String) args[0]) : words);
              Object answer;
              try {
                answer = method.invoke(real, args);
              } catch (InvocationTargetException failed) {
                throw failed.getCause();
              }
              if (answer instanceof PreparedStatement)
                return proxy(PreparedStatement.class, answer, brief((String) args[0]));
              return name.equals("createStatement") ? proxy(Statement.class, answer, "") : answer;
            });
  }

  private static String brief(String sql) {
    String line = sql.strip().replaceAll("\\s+", " ");
    return line.substring(0, Math.min(WORDS, line.length()));
  }
}
