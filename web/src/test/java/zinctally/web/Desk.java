package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import zinctally.store.house.AtBook;

/** The whole application on a database of its own, with a browser before it. */
final class Desk implements AutoCloseable {
  private final ConfigurableApplicationContext application;
  private final String schema;
  private final Playwright playwright;
  private final Browser browser;
  private final List<String> failed = new ArrayList<>();
  final String address;
  private final JdbcClient owner;

  /**
   * @param profile {@code own} for an empty book, {@code demo} for the demo book
   */
  Desk(String profile) {
    this(
        profile,
        "zinc_web_" + UUID.randomUUID().toString().replace("-", ""),
        "zinc_app",
        "127.0.0.1");
  }

  /** Many books at one program, of which there is none yet; all of them go when it is closed. */
  static Desk house() {
    return new Desk("house", AtBook.HOUSE, "zinc_app_house", "books.localhost");
  }

  private Desk(String profile, String schema, String account, String host) {
    this.schema = schema;
    String server =
        Objects.requireNonNull(
            System.getenv("ZINC_DB_SERVER"), "these tests need a database: run ./zinc-tally test");
    application =
        new SpringApplicationBuilder(ZincTally.class)
            .profiles(profile)
            .properties(Map.of("logging.level.root", "error"))
            .run(
                "--server.port=0",
                "--spring.datasource.url=" + server + schema,
                "--spring.datasource.username=" + account,
                "--spring.datasource.password=" + System.getenv("ZINC_DB_APP_PASSWORD"),
                "--spring.flyway.url=" + server + schema + "?createDatabaseIfNotExist=true",
                "--spring.flyway.user=" + System.getenv("ZINC_DB_USER"),
                "--spring.flyway.password=" + System.getenv("ZINC_DB_PASSWORD"));
    owner =
        JdbcClient.create(
            new DriverManagerDataSource(
                server + schema, System.getenv("ZINC_DB_USER"), System.getenv("ZINC_DB_PASSWORD")));
    address =
        "http://" + host + ":" + application.getEnvironment().getProperty("local.server.port");
    playwright = Playwright.create();
    browser = browser(playwright);
  }

  /** Debian's Chromium, which looks for nothing outside. */
  static Browser browser(Playwright playwright) {
    return playwright
        .chromium()
        .launch(
            new BrowserType.LaunchOptions()
                .setExecutablePath(Path.of("/usr/bin/chromium"))
                .setArgs(
                    List.of(
                        "--no-sandbox",
                        "--disable-gpu",
                        "--disable-quic",
                        "--no-first-run",
                        "--disable-background-networking",
                        "--disable-component-update",
                        "--disable-sync")));
  }

  <T> T get(Class<T> type) {
    return application.getBean(type);
  }

  Object bean(String name) {
    return application.getBean(name);
  }

  /** The book's database with all rights, which the application has not. */
  JdbcClient sql() {
    return owner;
  }

  /** A fresh window of 1280 x 800. */
  Page window() {
    BrowserContext context =
        browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
    Page page = context.newPage();
    // a machine that has lost most of itself to others is slow, not wrong
    page.setDefaultTimeout(180_000);
    page.onResponse(
        answer -> {
          if (answer.status() >= 500) failed.add(answer.status() + " " + answer.url());
        });
    return page;
  }

  /** A window in which someone of the demo has signed in. */
  Page signedIn(String login) {
    return signedIn(login, "wickmere");
  }

  Page signedIn(String login, String password) {
    Page page = window();
    page.navigate(address + "/sign-in");
    page.fill("#username", login);
    page.fill("#password", password);
    page.keyboard().press("Enter");
    page.waitForURL(address + "/");
    return page;
  }

  /** Another window of the same person. */
  Page another(Page page) {
    Page window = page.context().newPage();
    window.setDefaultTimeout(180_000);
    return window;
  }

  /** What has failed so far was meant to. */
  void forgive() {
    failed.clear();
  }

  @Override
  public void close() {
    browser.close();
    playwright.close();
    List<String> books =
        schema.equals(AtBook.HOUSE)
            ? sql().sql("show databases like 'zinc\\_b\\_%'").query(String.class).list()
            : List.of();
    books.forEach(book -> sql().sql("drop database " + book).update());
    sql().sql("drop database " + schema).update();
    application.close();
    assertThat(failed).as("answers that failed").isEmpty();
  }
}
