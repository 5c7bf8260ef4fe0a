package zinctally.web.prove;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import zinctally.store.book.BookStore;
import zinctally.store.check.CheckRuns;
import zinctally.store.house.AtBook;

/** Has the book checked by itself: after a start and every night; one check at a time. */
@Component
public class Checks {
  private static final Logger LOG = LoggerFactory.getLogger(Checks.class);
  private final CheckRuns runs;
  private final BookStore books;
  private final boolean alone;
  private final ExecutorService one =
      Executors.newSingleThreadExecutor(
          work -> {
            Thread thread = new Thread(work, "check");
            thread.setDaemon(true);
            return thread;
          });

  Checks(CheckRuns runs, BookStore books, @Value("${zinc.house:}") String house) {
    this.alone = house.isEmpty();
    this.runs = runs;
    this.books = books;
  }

  /** Where one program serves many books, each is checked by night. */
  @EventListener(ApplicationReadyEvent.class)
  void afterStart() {
    if (alone) soon("start");
  }

  @Scheduled(cron = "${zinc.check.cron:0 30 2 * * *}")
  void nightly() {
    soon("nightly");
  }

  /** Checks the book beside what is going on. */
  public void soon(String cause) {
    one.execute(AtBook.carried(() -> run(cause)));
  }

  private void run(String cause) {
    try {
      if (books.find().isEmpty()) return;
      CheckRuns.Run run = runs.run(cause);
      if (!run.clean()) LOG.error("the check found {} things that do not hold", run.faults());
    } catch (RuntimeException failed) {
      LOG.error("the check could not be made", failed);
    }
  }

  @PreDestroy
  void stop() throws InterruptedException {
    one.shutdownNow();
    one.awaitTermination(30, java.util.concurrent.TimeUnit.SECONDS);
  }
}
