package zinctally.web.day;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import zinctally.web.listing.Area;
import zinctally.web.listing.ListPage;

/** The page of the day. */
@Configuration
class DayPages {
  @Bean
  @Order(1)
  Area dayArea() {
    return Area.of(
        "day", "Day", ListPage.at("/", "Day").known("home dashboard what waits day book today"));
  }
}
