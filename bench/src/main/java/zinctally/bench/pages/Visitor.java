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
public final class Visitor {
  private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
  private static final Pattern TOLD = Pattern.compile("data-csrf=\"([^\"]+)\"");
  private static final String FORM = "application/x-www-form-urlencoded";
  private final String address;
  private final String host;
  private volatile String token = "";
  private final HttpClient client =
      HttpClient.newBuilder().cookieHandler(new CookieManager()).build();

  /**
   * An answer.
   *
   * @param nanos from asking to its last byte
   */
  public record Answer(int status, String text, long nanos) {
    public boolean isPage() {
      return status == 200 && text.contains("<html");
    }
  }

  Visitor(String address) {
    this(address, "");
  }

  /**
   * @param host by which the book is asked for where one program serves many; empty for the
   *     address's own
   */
  public Visitor(String address, String host) {
    this.address = address;
    this.host = host;
  }

  /**
   * @throws IllegalStateException when nobody is let in
   */
  public void signIn(String login, String password) {
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
            .header("Content-Type", FORM)
            .POST(HttpRequest.BodyPublishers.ofString(form)));
    Answer day = get("/");
    if (day.status != 200) throw new IllegalStateException(login + " is not let in");
    Matcher told = TOLD.matcher(day.text);
    if (told.find()) this.token = told.group(1);
  }

  /** Sends a form without cells, and follows to the page it leads to. */
  public Answer post(String path) {
    long start = System.nanoTime();
    HttpResponse<String> sent =
        answered(
            HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", FORM)
                .header("X-CSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.noBody()));
    String led = sent.headers().firstValue("Location").orElse("");
    if (led.isEmpty()) return new Answer(sent.statusCode(), sent.body(), System.nanoTime() - start);
    Answer page = get(led);
    return new Answer(page.status, page.text, System.nanoTime() - start);
  }

  public Answer get(String path) {
    return send(HttpRequest.newBuilder(URI.create(address + path)));
  }

  private Answer send(HttpRequest.Builder request) {
    long start = System.nanoTime();
    HttpResponse<String> response = answered(request);
    return new Answer(response.statusCode(), response.body(), System.nanoTime() - start);
  }

  private HttpResponse<String> answered(HttpRequest.Builder request) {
    if (!host.isEmpty()) request.header("Host", host);
    try {
      return client.send(
          request.timeout(Duration.ofMinutes(3)).build(), HttpResponse.BodyHandlers.ofString());
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stopped);
    }
  }
}
