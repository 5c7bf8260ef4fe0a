package zinctally.bench;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Eight people at the pages of one book: they buy, sell, amend, void and pay each other's papers
 * over HTTP for some minutes. Every paper that a page said is posted or void is written down.
 */
public final class Hands {
  private static final int PEOPLE = 8;
  private static final int ITEMS = 6;
  private static final Pattern INPUT = Pattern.compile("<(?:input|option)[^>]*>");
  private static final Pattern ATTRIBUTE = Pattern.compile("(name|value|type)=\"([^\"]*)\"");
  private static final Pattern QUESTION = Pattern.compile("data-agree=\"([^\"]+)\"");
  private final String address;
  private final Path acknowledged;
  private final List<Long> papers = new CopyOnWriteArrayList<>();
  private final Map<String, AtomicLong> counts = new java.util.concurrent.ConcurrentSkipListMap<>();
  private final ConcurrentLinkedQueue<String> failed = new ConcurrentLinkedQueue<>();

  private Hands(String address, Path acknowledged) {
    this.address = address;
    this.acknowledged = acknowledged;
  }

  /**
   * Arguments: the address, the file for what was acknowledged, seconds, and a seed. Ends with
   * status 1 when a page failed while the program was there.
   */
  public static void main(String[] args) throws Exception {
    Hands hands = new Hands(args[0], Path.of(args[1]));
    hands.work(Long.parseLong(args[2]), Long.parseLong(args[3]));
  }

  /** Makes the book, its people and its items, through the pages as far as there are any. */
  static void prepare(BenchBook book, String hash) {
    for (int i = 0; i < ITEMS; i++) book.item("I" + i, i % 2 == 0 ? "FIFO" : "AVERAGE");
    for (int i = 0; i < PEOPLE; i++)
      book.sql()
          .sql("insert into app_user (login, name, password, role) values (?, ?, ?, 'BOOKKEEPER')")
          .params("hand" + i, "Hand " + i, hash)
          .update();
  }

  private void work(long seconds, long seed) throws Exception {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
    ExecutorService people = Executors.newFixedThreadPool(PEOPLE);
    for (int i = 0; i < PEOPLE; i++) {
      int person = i;
      people.submit(
          () -> {
            try {
              new Person(person, new Random(seed * PEOPLE + person)).until(end);
            } catch (IOException gone) {
              count("connection lost");
            } catch (Exception wrong) {
              failed.add(String.valueOf(wrong));
            }
          });
    }
    people.shutdown();
    people.awaitTermination(seconds + 120, TimeUnit.SECONDS);
    System.out.println(counts);
    failed.stream().limit(10).forEach(System.out::println);
    System.out.println(failed.size() + " pages failed");
    System.exit(failed.isEmpty() ? 0 : 1);
  }

  private void count(String what) {
    counts.computeIfAbsent(what, w -> new AtomicLong()).incrementAndGet();
  }

  private synchronized void acknowledge(String what) {
    try {
      Files.writeString(
          acknowledged, what + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
    } catch (IOException full) {
      throw new IllegalStateException(full);
    }
  }

  private final class Person {
    private final int person;
    private final Random dice;
    private final HttpClient http =
        HttpClient.newBuilder()
            .cookieHandler(new java.net.CookieManager())
            .connectTimeout(Duration.ofSeconds(30))
            .build();
    private String token = "";

    Person(int person, Random dice) {
      this.person = person;
      this.dice = dice;
    }

    void until(long end) throws Exception {
      get("/sign-in");
      post("/sign-in", Map.of("username", "hand" + person, "password", "wickmere"));
      get("/");
      while (System.nanoTime() < end) {
        int what = dice.nextInt(12);
        if (what < 4) write("bill", Map.of("supplier", "Orrin Joinery"));
        else if (what < 8) write("invoice", Map.of("customer", "Fenwick Garden"));
        else if (what < 9) amend();
        else if (what < 11) voids();
        else pay();
      }
    }

    private void write(String slug, Map<String, String> who) throws Exception {
      Map<String, String> fields = new HashMap<>(who);
      fields.put("date", LocalDate.of(2026, 1, 2).plusDays(dice.nextInt(120)).toString());
      fields.put("place", "Store");
      for (int row = 0; row < 2; row++) {
        fields.put("rows[" + row + "].item", "I" + dice.nextInt(ITEMS));
        fields.put("rows[" + row + "].quantity", String.valueOf(1 + dice.nextInt(9)));
        fields.put("rows[" + row + "].price", (1 + dice.nextInt(5)) + ".33");
      }
      place(post("/papers/new/" + slug, fields), slug);
    }

    /** Opens a draft where the answer leads, changes a price perhaps, and posts it. */
    private void place(HttpResponse<String> answer, String what) throws Exception {
      Optional<String> draft = answer.headers().firstValue("location").map(this::path);
      if (draft.isEmpty() || !draft.get().matches("/drafts/\\d+")) {
        count(what + " refused");
        return;
      }
      HttpResponse<String> page = get(draft.get());
      Map<String, String> fields = inputs(page.body());
      if (what.equals("amended")) fields.put("rows[0].price", (1 + dice.nextInt(5)) + ".77");
      for (int asked = 0; asked < 3; asked++) {
        HttpResponse<String> posted = post(draft.get() + "/post", fields);
        Optional<String> paper = posted.headers().firstValue("location").map(this::path);
        if (paper.isPresent() && paper.get().matches("/papers/\\d+\\?posted")) {
          long id = Long.parseLong(paper.get().replaceAll("\\D", ""));
          acknowledge("posted " + id);
          if (!what.equals("amended")) papers.add(id);
          count(what);
          return;
        }
        Matcher question = QUESTION.matcher(posted.body());
        String agreed = fields.getOrDefault("agreed", "");
        Map<String, String> again = inputs(posted.body());
        while (question.find()) agreed += " " + question.group(1);
        if (again.isEmpty() || agreed.equals(fields.getOrDefault("agreed", ""))) break;
        fields = again;
        fields.put("agreed", agreed.strip());
      }
      count(what + " refused");
    }

    private void amend() throws Exception {
      if (papers.isEmpty()) return;
      place(post("/papers/" + some() + "/amend", Map.of()), "amended");
    }

    private void voids() throws Exception {
      if (papers.isEmpty()) return;
      long paper = some();
      HttpResponse<String> answer = post("/papers/" + paper + "/void", Map.of("why", "a slip"));
      boolean done = answer.statusCode() == 302;
      if (done) acknowledge("void " + paper);
      count(done ? "voided" : "void refused");
    }

    private void pay() throws Exception {
      if (papers.isEmpty()) return;
      long paper = some();
      for (String slug : List.of("customer-payment", "supplier-payment")) {
        HttpResponse<String> answer = post("/papers/" + paper + "/go-on/" + slug, Map.of());
        if (answer.statusCode() == 302) {
          place(answer, "paid");
          return;
        }
      }
    }

    private long some() {
      return papers.get(dice.nextInt(papers.size()));
    }

    private String path(String location) {
      return location.replaceFirst("^https?://[^/]+", "");
    }

    private HttpResponse<String> get(String path) throws IOException, InterruptedException {
      return send(HttpRequest.newBuilder(URI.create(address + path)).GET().build());
    }

    private HttpResponse<String> post(String path, Map<String, String> fields)
        throws IOException, InterruptedException {
      StringBuilder form = new StringBuilder("_csrf=").append(encoded(token));
      fields.forEach((n, v) -> form.append('&').append(encoded(n)).append('=').append(encoded(v)));
      return send(
          HttpRequest.newBuilder(URI.create(address + path))
              .header("Content-Type", "application/x-www-form-urlencoded")
              .POST(HttpRequest.BodyPublishers.ofString(form.toString()))
              .build());
    }

    private HttpResponse<String> send(HttpRequest request)
        throws IOException, InterruptedException {
      HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
      if (answer.statusCode() >= 500)
        failed.add(answer.statusCode() + " " + request.method() + " " + request.uri());
      Matcher csrf =
          Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"").matcher(answer.body());
      if (csrf.find()) token = csrf.group(1);
      return answer;
    }

    private static String encoded(String text) {
      return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** What stands in the fields and cells of the paper's form. */
    private static Map<String, String> inputs(String page) {
      Map<String, String> fields = new LinkedHashMap<>();
      int from = page.indexOf("<form id=\"paper\"");
      if (from < 0) return fields;
      String form = page.substring(from, page.indexOf("</form>", from));
      Matcher input = INPUT.matcher(form);
      while (input.find()) {
        Map<String, String> attributes = new HashMap<>();
        Matcher attribute = ATTRIBUTE.matcher(input.group());
        while (attribute.find()) attributes.put(attribute.group(1), attribute.group(2));
        String name = attributes.get("name");
        if (name != null && !name.equals("_csrf"))
          fields.put(name, attributes.getOrDefault("value", "").replace("&amp;", "&"));
      }
      Matcher select =
          Pattern.compile("<select[^>]*name=\"([^\"]+)\"[^>]*>(.*?)</select>", Pattern.DOTALL)
              .matcher(form);
      while (select.find()) {
        Matcher chosen =
            Pattern.compile("<option value=\"([^\"]*)\"[^>]*selected").matcher(select.group(2));
        Matcher first = Pattern.compile("<option value=\"([^\"]*)\"").matcher(select.group(2));
        if (chosen.find()) fields.put(select.group(1), chosen.group(1));
        else if (first.find()) fields.put(select.group(1), first.group(1));
      }
      return fields;
    }
  }
}
