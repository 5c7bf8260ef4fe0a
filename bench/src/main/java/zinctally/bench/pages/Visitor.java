package zinctally.bench.pages;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Somebody signed in at one book, on this machine. */
final class Visitor {
  private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
  private final String address;
  private final HttpClient client =
      HttpClient.newBuilder().cookieHandler(new CookieManager()).build();

  /**
   * An answer.
   *
   * @param nanos from asking to its last byte
   */
  record Answer(int status, String text, long nanos) {
    boolean isPage() {
      return status == 200 && text.contains("<html");
    }
  }

  Visitor(String address) {
    this.address = address;
  }

  /**
   * @throws IllegalStateException when nobody is let in
   */
  void signIn(String login, String password) {
    Matcher token = TOKEN.matcher(get("/sign-in").text);
    if (!token.find()) throw new IllegalStateException("no form to sign in at " + address);
    String form =
        "username="
            + login
            + "&password="
            + password
            + "&_csrf="
            + URLEncoder.encode(token.group(1), StandardCharsets.UTF_8);
    send(
        HttpRequest.newBuilder(URI.create(address + "/sign-in"))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString(form)));
    if (get("/").status != 200) throw new IllegalStateException(login + " is not let in");
  }

  Answer get(String path) {
    return send(HttpRequest.newBuilder(URI.create(address + path)));
  }

  private Answer send(HttpRequest.Builder request) {
    try {
      long start = System.nanoTime();
      HttpResponse<String> response =
          client.send(
              request.timeout(Duration.ofMinutes(3)).build(), HttpResponse.BodyHandlers.ofString());
      return new Answer(response.statusCode(), response.body(), System.nanoTime() - start);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stopped);
    }
  }
}
