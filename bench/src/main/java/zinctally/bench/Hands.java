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
 * People at the pages of one book: they buy, sell, amend, void and pay each other's papers over
 * HTTP for some minutes. Every paper that a page said is posted or void is written down. Where
 * several programs serve the book, who loses one goes on at the next.
 */
public final class Hands {
  private static final int PEOPLE = 20;
  private static final int ITEMS = 6;
  private static final Pattern QUESTION = Pattern.compile("data-agree=\"([^\"]+)\"");
  private final List<String> addresses;
  private final int people;
  private final Path acknowledged;
  private final List<Long> papers = new CopyOnWriteArrayList<>();
  private final Map<String, AtomicLong> counts = new java.util.concurrent.ConcurrentSkipListMap<>();
  private final ConcurrentLinkedQueue<String> failed = new ConcurrentLinkedQueue<>();
  private final ConcurrentLinkedQueue<Long> millis = new ConcurrentLinkedQueue<>();

  private Hands(List<String> addresses, int people, Path acknowledged) {
    this.addresses = addresses;
    this.people = people;
    this.acknowledged = acknowledged;
  }

  /**
   * Arguments: addresses with commas between, the file for what was acknowledged, seconds, a seed,
   * how many people, and how many pages may fail. Ends with status 1 when more did.
   */
  public static void main(String[] args) throws Exception {
    int people = Integer.parseInt(args[4]);
    Hands hands = new Hands(List.of(args[0].split(",")), people, Path.of(args[1]));
    hands.work(Long.parseLong(args[2]), Long.parseLong(args[3]), Integer.parseInt(args[5]));
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

  private void work(long seconds, long seed, int mayFail) throws Exception {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
    ExecutorService all = Executors.newFixedThreadPool(people);
    for (int i = 0; i < people; i++) {
      int person = i;
      all.submit(
          () -> {
            try {
              new Person(person, new Random(seed * people + person)).until(end);
            } catch (IOException gone) {
              count("connection lost");
            } catch (Exception wrong) {
              failed.add(String.valueOf(wrong));
            }
          });
    }
    all.shutdown();
    all.awaitTermination(seconds + 120, TimeUnit.SECONDS);
    System.out.println(counts);
    failed.stream().limit(10).forEach(System.out::println);
    System.out.println(failed.size() + " pages failed");
    System.out.println(times());
    System.exit(failed.size() <= mayFail ? 0 : 1);
  }

  /** How long answers took. */
  private String times() {
    long[] sorted = millis.stream().mapToLong(Long::longValue).sorted().toArray();
    return sorted.length == 0
        ? "no answers"
        : sorted.length
            + " answers, half within "
            + sorted[sorted.length / 2]
            + " ms, 95 of 100 within "
            + sorted[sorted.length * 95 / 100]
            + " ms, the slowest "
            + sorted[sorted.length - 1]
            + " ms";
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
    private int at;

    Person(int person, Random dice) {
      this.person = person;
      this.dice = dice;
      at = person % addresses.size();
    }

    void until(long end) throws Exception {
      boolean in = false;
      while (System.nanoTime() < end)
        try {
          if (!in) signIn();
          in = true;
          act();
        } catch (IOException gone) {
          if (addresses.size() == 1) throw gone;
          count("went on at another");
          at = (at + 1) % addresses.size();
          Thread.sleep(200);
        }
    }

    private void signIn() throws Exception {
      get("/sign-in");
      post("/sign-in", Map.of("username", "hand" + person, "password", "wickmere"));
      get("/");
    }

    private void act() throws Exception {
      int what = dice.nextInt(12);
      if (what < 4) write("bill", Map.of("supplier", "Orrin Joinery"));
      else if (what < 8) write("invoice", Map.of("customer", "Fenwick Garden"));
      else if (what < 9) amend();
      else if (what < 11) voids();
      else pay();
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
      Map<String, String> fields = PaperForm.inputs(page.body());
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
        Map<String, String> again = PaperForm.inputs(posted.body());
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
      return send(request(path).GET().build());
    }

    private HttpResponse<String> post(String path, Map<String, String> fields)
        throws IOException, InterruptedException {
      StringBuilder form = new StringBuilder("_csrf=").append(encoded(token));
      fields.forEach((n, v) -> form.append('&').append(encoded(n)).append('=').append(encoded(v)));
      return send(
          request(path)
              .header("Content-Type", "application/x-www-form-urlencoded")
              .POST(HttpRequest.BodyPublishers.ofString(form.toString()))
              .build());
    }

    private HttpRequest.Builder request(String path) {
      return HttpRequest.newBuilder(URI.create(addresses.get(at) + path))
          .timeout(Duration.ofSeconds(60));
    }

    private HttpResponse<String> send(HttpRequest request)
        throws IOException, InterruptedException {
      long begun = System.nanoTime();
      HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
      millis.add(TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun));
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
  }
}
