package zinctally.store.house;

import java.time.Clock;
import javax.sql.DataSource;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.concurrent.ThreadPoolTaskScheduler;

/** Many books: what is asked and what is done by itself goes to each by itself. */
@Configuration
@InHouse
class HouseConfiguration {
  /** What is asked while the program starts is asked at the house. */
  private final AtBook.Stay starting = AtBook.go(AtBook.HOUSE);

  @EventListener(ApplicationReadyEvent.class)
  void started() {
    starting.close();
  }

  @Bean
  HouseSource dataSource(Environment settings) {
    return new HouseSource(new BookDoor(settings));
  }

  @Bean
  HouseStore house(HouseSource source, Clock clock) {
    return new HouseStore(at(source), clock);
  }

  @Bean
  KeyStore keys(HouseSource source, Clock clock) {
    return new KeyStore(at(source), clock);
  }

  /** The house's own tables, from whichever book a thread is in. */
  private static JdbcClient at(HouseSource source) {
    DataSource own = source.of(AtBook.HOUSE);
    return JdbcClient.create(own);
  }

  /** What is done by itself is done in each book that is open, and at the house. */
  @Bean
  ThreadPoolTaskScheduler taskScheduler(HouseStore house) {
    return new InEachBook(house);
  }
}
