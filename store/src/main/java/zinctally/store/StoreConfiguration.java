package zinctally.store;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.ComponentScan;
import org.springframework.context.annotation.Configuration;

/** All that keeps the books. */
@Configuration
@ComponentScan
public class StoreConfiguration {
  @Bean
  Clock clock() {
    return Clock.systemDefaultZone();
  }
}
