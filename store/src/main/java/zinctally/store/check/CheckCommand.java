package zinctally.store.check;

import java.io.PrintStream;
import java.util.List;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.EnableAutoConfiguration;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Import;
import zinctally.store.StoreConfiguration;
import zinctally.store.book.BookStore;

/** {@code check}: verifies a live book and says what does not hold. */
public final class CheckCommand {
  private CheckCommand() {}

  @Configuration
  @EnableAutoConfiguration
  @Import(StoreConfiguration.class)
  static class Wiring {}

  public static void main(String[] args) {
    int status;
    try (var context =
        new SpringApplicationBuilder(Wiring.class)
            .web(WebApplicationType.NONE)
            .properties("spring.flyway.enabled=false", "logging.level.zinctally=warn")
            .run(args)) {
      status =
          check(context.getBean(BookStore.class), context.getBean(CheckStore.class), System.out);
    }
    System.exit(status);
  }

  /**
   * @return 0 when all holds, or there is nothing yet that could not; 1 when something does not
   */
  static int check(BookStore books, CheckStore checks, PrintStream out) {
    if (books.find().isPresent()) return say(checks.findings(), out);
    out.println("The book is not set up yet; there is nothing to check.");
    return 0;
  }

  private static int say(List<Finding> findings, PrintStream out) {
    for (Finding finding : findings) {
      out.printf(
          "%-5s  %s (%,d looked at)%n",
          finding.holds() ? "ok" : "FAULT", finding.what(), finding.looked());
      finding.faults().forEach(fault -> out.println("         " + fault));
      if (finding.count() > finding.faults().size())
        out.printf("         and %,d more%n", finding.count() - finding.faults().size());
    }
    long wrong = findings.stream().filter(f -> !f.holds()).count();
    out.println(
        wrong == 0
            ? "All " + findings.size() + " hold."
            : wrong + " of " + findings.size() + " do not hold.");
    return wrong == 0 ? 0 : 1;
  }
}
