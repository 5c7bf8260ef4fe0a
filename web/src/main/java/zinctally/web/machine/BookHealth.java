package zinctally.web.machine;

import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import zinctally.store.check.CheckRuns;
import zinctally.web.listing.Turns;

/**
 * What the health page tells of the book besides database and disk. It is no reason to take the
 * program for dead, so it never turns the answer as a whole.
 */
@Configuration
class BookHealth {
  private static final String WORRY = "WORRY";

  @Bean
  HealthIndicator check(CheckRuns runs) {
    return () ->
        runs.latest()
            .map(
                run ->
                    (run.clean() ? Health.up() : Health.status(WORRY))
                        .withDetail("at", run.beganAt().toString())
                        .withDetail("rules", run.rules())
                        .withDetail("faults", run.faults())
                        .build())
            .orElseGet(() -> Health.status(WORRY).withDetail("at", "never").build());
  }

  @Bean
  HealthIndicator backup(Machine machine) {
    return () ->
        machine
            .worry()
            .map(says -> Health.status(WORRY).withDetail("says", says).build())
            .orElseGet(() -> Health.up().build());
  }

  @Bean
  HealthIndicator files(Turns turns) {
    return () -> Health.up().withDetail("waiting", turns.waiting()).build();
  }
}
