package zinctally.web;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.core.proof.Proof;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Proving;
import zinctally.store.posting.Voiding;
import zinctally.store.prove.TieOutStore;
import zinctally.web.listing.Areas;
import zinctally.web.listing.Turns;
import zinctally.web.paper.form.Forms;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class DemoBookTest {
  private Desk desk;
  private Page page;

  @BeforeAll
  void open() {
    desk = new Desk("demo");
    page = desk.signedIn("bookkeeper");
  }

  @AfterAll
  void close() {
    desk.close();
  }

  @Test
  void stock_book_and_ledger_agree_by_item_at_every_date() {
    List<LocalDate> dates =
        desk.sql()
            .sql("select distinct posting_date from cost_entry order by 1")
            .query(LocalDate.class)
            .list();
    assertThat(dates).hasSizeGreaterThan(200);
    for (LocalDate date : dates)
      assertThat(desk.get(TieOutStore.class).byGroup(date))
          .isNotEmpty()
          .allSatisfy(group -> assertThat(group.apart()).isZero());
    assertThat(desk.get(TieOutStore.class).controls(LocalDate.of(2026, 11, 20)))
        .allMatch(TieOutStore.Control::agrees);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/",
        "/goods",
        "/goods/item/1",
        "/goods/new",
        "/buy",
        "/buy/open",
        "/buy/to-order",
        "/buy/orders",
        "/buy/receipts",
        "/buy/returns/reasons",
        "/buy/age",
        "/buy/suppliers",
        "/buy/supplier/1",
        "/buy/supplier/1/items",
        "/buy/supplier/new",
        "/buy/repeating",
        "/buy/repeating/1",
        "/prove/received",
        "/prove/billed",
        "/goods/lots",
        "/goods/lot/1",
        "/papers/number/PO-2026-0002",
        "/sell",
        "/sell/to-deliver",
        "/sell/picking",
        "/sell/deliveries",
        "/sell/age",
        "/sell/customers",
        "/sell/customer/3",
        "/sell/customer/new",
        "/sell/prices",
        "/sell/prices/many?percent=5&basis=cost&step=0.05&under=0",
        "/sell/sales",
        "/sell/sales/paper",
        "/sell/commission",
        "/sell/tills",
        "/sell/counter",
        "/counter",
        "/prove/sent",
        "/prove/ahead",
        "/prove/tax",
        "/prove/tax/papers",
        "/setup/papers",
        "/setup/places",
        "/papers/number/D-2026-0001",
        "/papers/number/CS-2026-0003",
        "/handle",
        "/prove",
        "/prove/accounts",
        "/prove/journal",
        "/ask",
        "/ask/places",
        "/opening",
        "/setup",
        "/setup/accounts",
        "/setup/groups",
        "/setup/tax",
        "/papers/100",
        "/papers/100/why",
        "/papers/100/void",
        "/goods/item/1/why",
        "/goods/item/1/movements",
        "/goods/what-if",
        "/handle/proposal?percent=40",
        "/handle/write-downs",
        "/prove/periods",
        "/prove/periods/2025-09",
        "/ask/short",
        "/day/sales/2026-11",
        "/setup/people",
        "/drafts/565"
      })
  void axe_finds_nothing_serious(String path) {
    page.navigate(desk.address + path);
    var serious =
        new AxeBuilder(page)
            .analyze().getViolations().stream()
                .filter(v -> List.of("serious", "critical").contains(v.getImpact()))
                .map(v -> v.getId() + ": " + v.getNodes().get(0).getHtml())
                .toList();
    assertThat(serious).isEmpty();
  }

  @Test
  void a_bill_is_written_misused_reloaded_posted_and_its_cost_followed_into_a_sale() {
    page.navigate(desk.address + "/");
    page.keyboard().press("n");
    page.keyboard().press("b");
    page.waitForURL("**/drafts/*");
    String draft = page.url();
    for (String cell : List.of("Orrin Joinery", "OJ-3001", "2026-11-21")) enter(cell);
    page.keyboard().press("Enter"); // due: by their terms
    page.keyboard().press("Enter"); // goods come with it
    page.keyboard().press("Enter"); // other lines are expenses
    page.keyboard().press("Enter"); // into the barn store
    page.keyboard().press("Enter"); // prices without tax
    for (String cell : List.of("QEX-01", "ten", "6.00")) enter(cell);
    page.waitForCondition(
        () -> page.textContent("#proof").contains("\"ten\" is not a quantity of this item"));
    page.reload();
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("ten");
    assertThat(page.inputValue("#their_number")).isEqualTo("OJ-3001");
    page.focus("[data-cell='rows.0.quantity']");
    page.keyboard().press("Control+A");
    enter("1000");
    page.waitForCondition(() -> page.textContent("#proof h2").contains("balances"));
    assertThat(page.textContent("#proof")).contains("6,000.00");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/papers/*");
    assertThat(page.textContent("main")).contains("posted").contains("6,000.00");
    page.navigate(draft);
    assertThat(page.url()).contains("/papers/");

    page.keyboard().press("n");
    page.keyboard().press("i");
    page.waitForURL("**/drafts/*");
    for (String cell : List.of("Fenwick Garden", "", "2026-11-22")) enter(cell);
    for (int i = 0; i < 5; i++) page.keyboard().press("Enter");
    long here =
        desk.sql()
            .sql(
                "select on_hand from cost_pool h join item i on i.id = h.item_id where i.code = 'QEX-01'")
            .query(Long.class)
            .single();
    enter("QEX-01");
    enter(String.valueOf(here / 1_000_000 + 1));
    page.waitForCondition(() -> page.textContent("#proof").contains("this takes"));
    page.focus("[data-cell='rows.0.quantity']");
    page.keyboard().press("Control+A");
    enter(String.valueOf(here / 1_000_000 - 10));
    page.waitForCondition(() -> page.textContent("#proof h2").contains("balances"));
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/papers/*");
    assertThat(
            desk.sql()
                .sql(
                    "select worth from cost_pool h join item i on i.id = h.item_id where i.code = 'QEX-01'")
                .query(Long.class)
                .single())
        .isEqualTo(10 * 600);
    page.click("main table a");
    assertThat(page.textContent("svg.ladder")).contains("10 left");
    page.click("#balance");
    page.waitForURL(url -> url.contains("/prove"));
    assertThat(page.textContent("main")).contains("in step");
  }

  private void enter(String cell) {
    page.keyboard().type(cell);
    page.keyboard().press("Enter");
  }

  @Test
  void a_journal_by_hand_on_stock_needs_a_reason_is_named_in_the_tie_out_and_reversed_there() {
    page.navigate(desk.address + "/");
    page.keyboard().press("n");
    page.keyboard().press("j");
    page.waitForURL("**/drafts/*");
    page.fill("#date", "2026-11-20");
    fill("rows.0.account", "1400");
    fill("rows.0.debit", "85");
    fill("rows.1.account", "6300");
    fill("rows.1.credit", "85");
    page.waitForCondition(
        () -> page.textContent("#proof").contains("say why in the override field"));
    page.fill("#override", "Old report was short");
    page.waitForCondition(() -> page.textContent("#proof h2").contains("balances"));
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/papers/*");
    assertThat(page.textContent("#balance")).contains("apart by 85.00");
    page.click("#balance");
    page.waitForURL(url -> url.contains("/prove"));
    assertThat(page.textContent(".proof")).contains("Old report was short");
    page.click(".proof button");
    page.waitForURL("**/drafts/*");
    page.waitForCondition(() -> page.textContent("#proof h2").contains("balances"));
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/papers/*");
    assertThat(page.textContent("#balance")).contains("in step");
  }

  @Test
  void sums_that_agree_are_not_in_step_while_accounts_are_apart() {
    desk.sql()
        .sql(
            "insert into account (code, name, kind, role) values ('1490', 'Stock elsewhere', 'ASSET', 'STOCK')")
        .update();
    Draft between =
        byHand(Map.of("account", "1490", "debit", "85"), Map.of("account", "1400", "credit", "85"));
    Proof proof = desk.get(Proving.class).prove(between, 0, "owner");
    assertThat(proof.work().orElseThrow().after().inStep()).isFalse();
    apartUntilVoid(between, "apart by account");
  }

  @Test
  void an_account_that_agrees_is_not_in_step_while_its_items_are_apart() {
    apartUntilVoid(
        byHand(
            Map.of("account", "1400", "item", "HTL-01", "debit", "85"),
            Map.of("account", "1400", "item", "QEX-01", "credit", "85")),
        "apart by item");
  }

  private static Draft byHand(Map<String, String> debit, Map<String, String> credit) {
    return new Draft(
        PaperKind.JOURNAL,
        Map.of("date", "2026-11-20", "override", "Moved by mistake"),
        List.of(debit, credit));
  }

  private void apartUntilVoid(Draft byHand, String beam) {
    long journal =
        desk.get(Posting.class).post(desk.get(DraftStore.class).begin(byHand, "owner"), "owner");
    page.navigate(desk.address + "/prove?date=2026-11-20");
    assertThat(page.textContent(".facts")).contains("0.00").doesNotContain("in step");
    assertThat(page.textContent("#balance")).contains(beam);
    desk.get(Voiding.class).voidPaper(journal, LocalDate.of(2026, 11, 20), "", "owner");
    page.navigate(desk.address + "/prove?date=2026-11-20");
    assertThat(page.textContent(".facts")).contains("in step");
    assertThat(page.textContent("#balance")).contains("in step");
  }

  private void fill(String cell, String text) {
    page.fill("[data-cell='" + cell + "']", text);
  }

  @Test
  void rows_pasted_from_a_spreadsheet_fill_the_line_table() {
    page.navigate(desk.address + "/");
    page.keyboard().press("n");
    page.keyboard().press("a");
    page.waitForURL("**/drafts/*");
    page.focus("[data-cell='rows.0.item']");
    page.evaluate(
        """
        const data = new DataTransfer();
        data.setData("text/plain", Array.from({length: 40}, (_, i) => "HTL-01\\t1\\tFound").join("\\n"));
        document.activeElement.dispatchEvent(
          new ClipboardEvent("paste", {clipboardData: data, bubbles: true, cancelable: true}))""");
    page.waitForCondition(() -> page.textContent("#proof h2").contains("balances"));
    assertThat(page.inputValue("[data-cell='rows.39.reason']")).isEqualTo("Found");
    assertThat(page.locator("tr[data-row='40']").count()).isOne();
  }

  @Test
  void a_session_that_ends_in_mid_typing_loses_nothing() {
    Page one = desk.signedIn("owner");
    one.keyboard().press("n");
    one.keyboard().press("b");
    one.waitForURL("**/drafts/*");
    desk.sql().sql("delete from SPRING_SESSION where PRINCIPAL_NAME = 'owner'").update();
    one.fill("#their_number", "KEPT-1");
    one.waitForCondition(() -> one.textContent("#kept").contains("you are signed out"));
    Page two = one.context().newPage();
    two.navigate(desk.address + "/sign-in");
    two.fill("#username", "owner");
    two.fill("#password", "wickmere");
    two.keyboard().press("Enter");
    two.waitForSelector("nav.index");
    one.waitForTimeout(2100);
    one.fill("#their_number", "KEPT-2");
    one.waitForCondition(() -> one.textContent("#kept").startsWith("draft, kept"));
    one.reload();
    assertThat(one.inputValue("#their_number")).isEqualTo("KEPT-2");
  }

  @Test
  void a_date_that_is_none_gets_a_sentence_and_today_s_figures() {
    page.navigate(desk.address + "/prove?date=yesterday");
    assertThat(page.textContent("main"))
        .contains("\"yesterday\" is not a date")
        .contains("in step");
  }

  @Test
  void a_reader_reads_and_writes_nothing() {
    Page reader = desk.signedIn("reader");
    String token = (String) reader.evaluate("document.body.dataset.csrf");
    APIResponse refused =
        reader
            .request()
            .post(
                desk.address + "/papers/new/bill",
                RequestOptions.create().setForm(FormData.create().set("_csrf", token)));
    assertThat(refused.status()).isEqualTo(403);
    reader.navigate(desk.address + "/drafts/565");
    assertThat(reader.locator("[data-post]").count()).isZero();
    APIResponse forged = reader.request().post(desk.address + "/papers/new/bill");
    assertThat(forged.status()).isEqualTo(403);
    APIResponse setUp = desk.signedIn("counter").request().get(desk.address + "/setup/people");
    assertThat(setUp.status()).isEqualTo(403);
  }

  @Test
  void pages_carry_strict_headers_and_escape_what_was_typed() {
    APIResponse day = page.request().get(desk.address + "/");
    assertThat(day.headers().get("content-security-policy"))
        .contains("script-src 'self'")
        .doesNotContain("unsafe");
    assertThat(day.headers()).containsEntry("x-content-type-options", "nosniff");
    page.navigate(desk.address + "/goods?filter=%3Cb%20id%3Dbad%3E");
    assertThat(page.locator("#bad").count()).isZero();
  }

  @Test
  void lists_filter_sort_and_export_what_they_show() {
    page.navigate(desk.address + "/goods?sort=-worth");
    page.focus("input[name=filter]");
    page.keyboard().type("extractor");
    page.waitForCondition(() -> page.locator("#rows tr").count() < 9);
    String csv =
        page.request().get(desk.address + "/goods?as=csv&filter=extractor&sort=code").text();
    assertThat(csv.lines().findFirst())
        .contains("Code,Name,Group,On hand,Free,Worth,Sells at,Usual supplier,State");
    List<String> lines = csv.lines().skip(1).toList();
    assertThat(lines.subList(0, lines.size() - 2))
        .hasSizeGreaterThan(2)
        .allMatch(l -> l.toLowerCase().contains("extractor"));
    assertThat(lines.get(lines.size() - 2)).startsWith("In all " + (lines.size() - 2));
    assertThat(lines.get(lines.size() - 1))
        .contains("Only what holds \u201cextractor\u201d")
        .contains("Wickmere Bee Yard");
    byte[] xlsx = page.request().get(desk.address + "/goods?as=xlsx&filter=extractor").body();
    assertThat(new String(xlsx, 0, 2)).isEqualTo("PK");
  }

  @Test
  void the_order_and_the_columns_a_person_chose_of_a_list_stay_chosen() {
    page.navigate(desk.address + "/sell/payments");
    page.click("#heads a:has-text('Customer')");
    page.waitForCondition(() -> !page.url().contains("keep"));
    page.click(".cols summary");
    page.uncheck(".cols label:has-text('Posted by') input");
    page.click(".cols button");
    page.waitForCondition(() -> !page.url().contains("keep"));
    page.navigate(desk.address + "/sell/payments");
    assertThat(page.getAttribute("#heads th:has-text('Customer')", "aria-sort"))
        .isEqualTo("ascending");
    assertThat(page.textContent("#heads")).doesNotContain("Posted by").contains("Number");
    assertThat(
            page.request().get(desk.address + "/sell/payments?as=csv").text().lines().findFirst())
        .hasValueSatisfying(heads -> assertThat(heads).doesNotContain("Posted by"));
    page.navigate(desk.address + "/sell/payments?in.who=bookkeeper");
    assertThat(page.textContent("#heads")).as("what is narrowed is seen").contains("Posted by");
    page.click(".cols summary");
    page.check(".cols label:has-text('Posted by') input");
    page.click(".cols button");
    page.navigate(desk.address + "/sell/payments");
    assertThat(page.textContent("#heads")).contains("Posted by");
  }

  @Test
  void thirty_files_at_once_all_arrive_and_keep_nobody_out() throws Exception {
    String cookies =
        page.context().cookies().stream()
            .map(c -> c.name + "=" + c.value)
            .collect(Collectors.joining("; "));
    HttpClient client = HttpClient.newHttpClient();
    List<CompletableFuture<byte[]>> files =
        IntStream.range(0, 30)
            .mapToObj(n -> "/goods?as=" + List.of("csv", "xlsx", "pdf").get(n % 3))
            .map(path -> file(client, cookies, path))
            .toList();
    HttpRequest door = HttpRequest.newBuilder(URI.create(desk.address + "/sign-in")).build();
    assertThat(client.send(door, HttpResponse.BodyHandlers.discarding()).statusCode())
        .isEqualTo(200);
    for (CompletableFuture<byte[]> file : files)
      assertThat(new String(file.get(), UTF_8))
          .hasSizeGreaterThan(1000)
          .doesNotStartWith("<!doctype");
  }

  /** Asks as often as it is told to wait, as a browser does. */
  private CompletableFuture<byte[]> file(HttpClient client, String cookies, String path) {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(desk.address + path)).header("Cookie", cookies).build();
    return client
        .sendAsync(request, HttpResponse.BodyHandlers.ofByteArray())
        .thenComposeAsync(
            answer -> {
              if (answer.statusCode() != 202)
                return CompletableFuture.completedFuture(
                    answer.statusCode() == 200 ? answer.body() : new byte[0]);
              Matcher again =
                  Pattern.compile("data-hx-get=\"([^\"]+)\" data-hx-trigger=\"load")
                      .matcher(new String(answer.body(), UTF_8));
              assertThat(again.find()).isTrue();
              return file(client, cookies, again.group(1).replace("&amp;", "&"));
            },
            CompletableFuture.delayedExecutor(300, TimeUnit.MILLISECONDS));
  }

  @Test
  void a_file_that_waits_says_how_many_are_before_it_and_comes_by_itself() throws Exception {
    Turns turns = desk.get(Turns.class);
    for (int i = 0; i < Turns.AT_ONCE; i++) assertThat(turns.take(null, 60_000).now()).isTrue();
    try {
      page.navigate(desk.address + "/goods?filter=wax");
      page.click("#exports a:first-of-type");
      page.waitForSelector("#turn:has-text('1 file is made before it')");
      assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    } finally {
      page.waitForDownload(
          () -> {
            for (int i = 0; i < Turns.AT_ONCE; i++) turns.done();
          });
    }
    page.waitForSelector("#turn:has-text('comes to your downloads by itself')");
    page.click(".over a");
    page.waitForURL("**/goods?filter=wax");
  }

  @Test
  void a_spreadsheet_has_real_dates_figures_and_sums_that_live() throws Exception {
    byte[] file =
        page.request()
            .get(desk.address + "/sell?as=xlsx&in.date.from=2026-10&in.total.to=x")
            .body();
    try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(file))) {
      List<Row> rows = book.getFirstSheet().read();
      assertThat(rows.get(0).getCellText(0)).isEqualTo("Invoices");
      assertThat(rows.get(1).getCellText(0))
          .contains("Date: from 2026-10")
          .contains("Total is not narrowed: \"x\" is not a figure");
      Row first = rows.stream().filter(r -> r.getRowNum() == 5).findFirst().orElseThrow();
      assertThat(first.getCellAsDate(0).orElseThrow().getYear()).isEqualTo(2026);
      assertThat(first.getCellAsNumber(5)).isPresent();
      Row last = rows.get(rows.size() - 1);
      assertThat(last.getCellText(0)).isEqualTo("In all " + (rows.size() - 4));
      assertThat(last.getCell(5).getFormula()).startsWith("SUBTOTAL(9,F5:F");
    }
  }

  /** What is written on a sheet, or by the check, begins elsewhere. */
  @Test
  void every_kind_of_paper_has_a_form_and_a_place_where_it_is_begun() {
    Forms forms = desk.get(Forms.class);
    assertThat(PaperKind.values()).allMatch(k -> forms.has(k) || k.is(Trait.SHEET), "has a form");
    String pages =
        desk.get(Areas.class)
            .places()
            .map(p -> page.request().get(desk.address + p.page().address()).text())
            .collect(Collectors.joining());
    assertThat(PaperKind.values())
        .allMatch(
            k -> pages.contains("/papers/new/" + k.slug() + "\"") || ELSEWHERE.contains(k),
            "can be begun from a list");
  }

  private static final Set<PaperKind> ELSEWHERE =
      Set.of(
          PaperKind.OPENING_STOCK,
          PaperKind.START_TRACKING,
          PaperKind.COUNTER_SALE,
          PaperKind.RECOSTING);

  @Test
  void a_list_narrowed_by_columns_says_what_that_comes_to_and_keeps_it_in_its_address() {
    page.navigate(desk.address + "/sell");
    page.press("[data-narrow]", "Enter");
    page.fill("[name='in.party']", "fenwick, thornby");
    page.waitForURL("**in.party=fenwick*");
    page.fill("[name='in.date.from']", "2026-10");
    page.waitForURL("**in.date.from=2026-10*");
    page.fill("[name='in.total.from']", "plenty");
    page.waitForSelector("text=\"plenty\" is not a figure, like 12.50.");
    page.fill("[name='in.total.from']", "100");
    page.waitForURL("**in.total.from=100*");
    String shown = page.url();
    String foot = page.textContent("tfoot");
    page.reload();
    assertThat(page.url()).isEqualTo(shown);
    assertThat(page.textContent("tfoot")).isEqualTo(foot);
    long[] all =
        desk.sql()
            .sql(
                """
                select count(*), sum(p.total) from paper p join party w on w.id = p.party_id
                where p.kind = 'INVOICE' and (w.name like '%fenwick%' or w.name like '%thornby%')
                  and p.date >= '2026-10-01' and p.total >= 10000
                """)
            .query((row, n) -> new long[] {row.getLong(1), row.getLong(2)})
            .single();
    assertThat(all[0]).isPositive();
    assertThat(foot)
        .contains("In all " + all[0])
        .contains(zinctally.core.number.Coin.of("EUR").say(all[1]));
    String csv = page.locator("#exports a").first().getAttribute("href");
    assertThat(page.request().get(desk.address + csv).text().lines()).hasSize((int) all[0] + 3);
  }

  @ParameterizedTest
  @CsvSource({
    "refund,New customer return",
    "statement,Trial balance",
    "margin,Sales",
    "close,Periods",
    "freight,New charges on goods"
  })
  void find_knows_the_words_people_use(String word, String found) {
    page.navigate(desk.address + "/");
    page.press("body", "/");
    page.keyboard().type(word);
    page.waitForSelector("#found :text('" + found + "')");
  }

  @Test
  void an_invoice_is_a_pdf_that_says_what_the_screen_says() throws Exception {
    long invoice =
        desk.sql()
            .sql("select max(id) from paper where kind = 'INVOICE'")
            .query(Long.class)
            .single();
    page.navigate(desk.address + "/papers/" + invoice);
    String number = page.textContent("h1 span");
    assertThat(PdfText.at(page, desk.address + "/papers/" + invoice + "/pdf"))
        .contains(number)
        .contains("Wickmere Bee Yard");
  }

  @ParameterizedTest
  @CsvSource({"CUSTOMER_PAYMENT,Receipt of payment", "SUPPLIER_PAYMENT,Remittance advice"})
  void a_payment_is_a_pdf_that_says_what_it_settles(String kind, String heading) throws Exception {
    String settling =
        "from settlement s join paper p on p.id = s.paper_id and p.kind = ? and p.state = 'POSTED'"
            + " join open_item o on o.id = s.open_item_id and o.paper_id <> p.id"
            + " join paper b on b.id = o.paper_id left join party w on w.id = p.party_id";
    long payment =
        desk.sql()
            .sql("select max(p.id) " + settling + " where coalesce(w.language, 'en') = 'en'")
            .param(kind)
            .query(Long.class)
            .single();
    String paid =
        desk.sql()
            .sql("select max(b.number) " + settling + " where p.id = ?")
            .params(kind, payment)
            .query(String.class)
            .single();
    assertThat(PdfText.at(page, desk.address + "/papers/" + payment + "/pdf"))
        .contains(heading)
        .contains(paid);
  }

  @Test
  void once_goods_have_moved_their_method_and_unit_stay() {
    page.navigate(desk.address + "/goods/item/1/change");
    page.click("summary:has-text('kept and costed')");
    page.click("summary:has-text('Packs and barcode')");
    page.selectOption("#method", "AVERAGE");
    page.fill("#gtin", "4006381333932");
    page.keyboard().press("Control+Enter");
    page.waitForSelector(".wrong");
    assertThat(page.textContent("form.grid-form"))
        .contains("The costing method stays")
        .contains("it should be 1");
  }
}
