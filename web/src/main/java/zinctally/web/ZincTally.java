package zinctally.web;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Import;
import org.springframework.scheduling.annotation.EnableScheduling;
import zinctally.store.StoreConfiguration;

/** The web application. */
@SpringBootApplication
@EnableScheduling
@Import(StoreConfiguration.class)
public class ZincTally {
  public static void main(String[] args) {
    SpringApplication.run(ZincTally.class, args);
  }
}
