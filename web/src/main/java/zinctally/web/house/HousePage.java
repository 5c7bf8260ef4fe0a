package zinctally.web.house;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import zinctally.store.house.Hosted;
import zinctally.store.house.InHouse;
import zinctally.web.shell.PlainPage;

/** Says why a book is not shown. */
@Component
@InHouse
class HousePage {
  private static final String AGAIN_IN = "5";
  private final PlainPage page;

  HousePage(PlainPage page) {
    this.page = page;
  }

  void nothing(HttpServletResponse response) throws IOException {
    say(
        "No book stands at this address",
        HttpStatus.NOT_FOUND,
        response,
        "Look for a slip in the address; who keeps the house knows the right one.");
  }

  void closed(Hosted book, HttpServletResponse response) throws IOException {
    say(
        book.title() + " is closed",
        HttpStatus.FORBIDDEN,
        response,
        "Nobody is let into this book at the moment. All that is written in it is kept.",
        "Who keeps the house can open it again.");
  }

  void busy(Hosted book, HttpServletResponse response) throws IOException {
    response.setHeader(HttpHeaders.RETRY_AFTER, AGAIN_IN);
    say(
        "Too much at once",
        HttpStatus.SERVICE_UNAVAILABLE,
        response,
        "No more than "
            + book.limits().atOnce()
            + " are served in this book at one moment, and others were before you. Nothing has"
            + " changed.",
        "Go back in the browser and try again in a few seconds; what was typed is still there.");
  }

  void full(Hosted book, HttpServletResponse response) throws IOException {
    say(
        "This book is full",
        HttpStatus.INSUFFICIENT_STORAGE,
        response,
        "It takes more than the "
            + book.limits().megabytes()
            + " MB that it may. Nothing has changed, and everything can still be looked up.",
        "Who keeps the house can let it take more; then go back in the browser and post again.");
  }

  private void say(String title, HttpStatus status, HttpServletResponse response, String... says)
      throws IOException {
    page.say("house/plain", Map.of("title", title, "says", List.of(says)), status, response);
  }
}
