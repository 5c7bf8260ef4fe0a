package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.Route;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Each script by itself, on a page with no more than it needs; nothing is served but scripts. */
class ScriptsTest {
  private static final String HERE = "http://zinc.test/";
  private static Playwright playwright;
  private static Browser browser;
  private final List<String> errors = new ArrayList<>();
  private Page page;
  private String body = "";

  @BeforeAll
  static void open() {
    playwright = Playwright.create();
    browser = Desk.browser(playwright);
  }

  @AfterAll
  static void close() {
    browser.close();
    playwright.close();
  }

  @BeforeEach
  void window() {
    page = browser.newContext().newPage();
    page.setDefaultTimeout(120_000);
    page.onPageError(errors::add);
    page.route(
        "**/*",
        route -> {
          try {
            serve(route);
          } catch (PlaywrightException closed) {
            // the test is over while the page still asks
          }
        });
  }

  @AfterEach
  void nothingFailed() {
    page.context().close();
    assertThat(errors).isEmpty();
  }

  private void serve(Route route) {
    String path = route.request().url().replaceFirst(HERE, "/").replaceFirst("\\?.*", "");
    Route.FulfillOptions answer = new Route.FulfillOptions();
    if (path.startsWith("/js/"))
      try (InputStream script = getClass().getResourceAsStream("/static" + path)) {
        route.fulfill(answer.setContentType("text/javascript").setBodyBytes(script.readAllBytes()));
      } catch (IOException gone) {
        throw new AssertionError(gone);
      }
    else if (path.startsWith("/suggest"))
      route.fulfill(
          answer
              .setContentType("text/html")
              .setBody(
                  "<p role=option data-value=HIVE id=o1>a</p><p role=option data-value=HONEY id=o2>b</p>"));
    else
      route.fulfill(
          answer
              .setContentType("text/html")
              .setBody("<!doctype html><body data-csrf=TOKEN>" + body + "</body>"));
  }

  private void page(String html, String... scripts) {
    StringBuilder whole = new StringBuilder(html);
    for (String script : scripts)
      whole.append("<script type=module src=/js/").append(script).append("></script>");
    body = whole.toString();
    page.navigate(HERE);
  }

  /** What a function of a script gives, in the page. */
  private Object of(String script, String expression) {
    return page.evaluate(
        "async () => { const m = await import('/js/" + script + "'); return " + expression + "; }");
  }

  private static String cell(int row, String column, String value) {
    return "<input data-col=%2$s data-cell=rows.%1$d.%2$s name='rows[%1$d].%2$s' value='%3$s' aria-label='%2$s, line %4$d'>"
        .formatted(row, column, value, row + 1);
  }

  /** A paper of two rows, which bear the columns filled, of, item, quantity and price. */
  private static String paper(String kind, String more) {
    StringBuilder rows = new StringBuilder();
    for (int row = 0; row < 2; row++)
      rows.append("<tr data-row=")
          .append(row)
          .append("><td class=n>")
          .append(row + 1)
          .append("</td><td>")
          .append(cell(row, "filled", "").replace("<input", "<input type=hidden"))
          .append(cell(row, "of", ""))
          .append(cell(row, "item", "").replace("<input", "<input data-suggest=items"))
          .append("<small data-shown=name></small><small class=fault hidden data-fault=rows.")
          .append(row)
          .append(".item></small></td><td>")
          .append(cell(row, "quantity", ""))
          .append(cell(row, "price", ""))
          .append("</td></tr>");
    return "<form id=paper method=post action=/post data-hx-post=/save data-kind="
        + kind
        + " data-saved-in=W1><input type=hidden name=_window value=W2>"
        + "<input type=hidden id=revision value=3><input type=hidden name=_from value=0>"
        + "<table class=lines><tbody>"
        + rows
        + "</tbody></table><button data-post>Post</button></form><div id=offers hidden></div>"
        + "<span id=kept></span><div id=proof></div>"
        + more;
  }

  @Test
  void figures_are_read_and_written_in_the_form_of_the_page() {
    page("<i id=decimal>,</i>");
    assertThat(of("paper/figures.js", "[m.figure('1.234,50'), m.figure('-3'), m.figure('')]"))
        .isEqualTo(List.of(1234500, -3000, 0));
    assertThat(of("paper/figures.js", "[m.written(1234500), m.written(5)]"))
        .isEqualTo(List.of("1234,50", "0,005"));
  }

  @Test
  void a_choice_goes_round_and_is_none_while_its_list_is_shut() {
    page("<div id=l><p role=option>a</p><p role=option>b</p></div><input id=i>");
    assertThat(
            of(
                "choice.js",
                "[m.choose(l,1), m.choose(l,1), m.choose(l,1), m.chosen(l)].map(o => o.textContent).join('')"))
        .isEqualTo("abaa");
    assertThat(of("choice.js", "(m.choose(l,-1).textContent)")).isEqualTo("b");
    assertThat(of("choice.js", "(m.shut(l,i), m.chosen(l) || i.getAttribute('aria-expanded'))"))
        .isEqualTo("false");
  }

  @Test
  void light_and_dark_are_switched_and_stay() {
    page("<button data-theme-switch>x</button>", "theme.js");
    page.click("button");
    assertThat(page.getAttribute("html", "data-theme")).isEqualTo("dark");
    page.reload();
    assertThat(page.getAttribute("html", "data-theme")).isEqualTo("dark");
  }

  @Test
  void a_form_is_sent_once_and_requests_carry_the_token() {
    page("<form id=f target=_blank><button>x</button></form>", "requests.js");
    page.evaluate(
        "window.sent = 0; document.addEventListener('submit', e => { if (!e.defaultPrevented) sent++; e.preventDefault(); })");
    page.evaluate("f.requestSubmit(); f.requestSubmit();");
    assertThat(page.evaluate("sent")).isEqualTo(1);
    assertThat(
            page.evaluate(
                "() => { const detail = {headers: {}}; document.dispatchEvent(new CustomEvent('htmx:configRequest', {detail})); return detail.headers['X-CSRF-TOKEN']; }"))
        .isEqualTo("TOKEN");
  }

  @Test
  void keys_work_outside_cells_and_not_within() {
    page(
        "<input id=find><input id=other><form data-new=b></form><dialog id=keys></dialog>",
        "keys.js");
    page.evaluate(
        "window.begun = 0; document.addEventListener('submit', e => { begun++; e.preventDefault(); })");
    page.press("#other", "n");
    page.press("#other", "b");
    assertThat(page.evaluate("begun")).isEqualTo(0);
    page.press("#other", "Escape");
    page.keyboard().press("n");
    page.keyboard().press("b");
    assertThat(page.evaluate("begun")).isEqualTo(1);
    page.keyboard().press("/");
    assertThat(page.evaluate("document.activeElement.id")).isEqualTo("find");
  }

  /** What a search for some letters brings: two options. */
  private static final String ARRIVES =
      "q => { found.innerHTML = '<a role=option id=a href=#a>a</a><a role=option id=b href=#b>b</a>';"
          + " found.dispatchEvent(new CustomEvent('htmx:afterSwap',"
          + " {bubbles: true, detail: {requestConfig: {parameters: {q}}}})); }";

  @Test
  void what_is_found_is_opened_by_enter_once_it_is_for_all_letters_that_were_typed() {
    page("<input id=find><div id=found></div>", "find.js");
    page.focus("#find");
    page.keyboard().type("X-");
    page.evaluate(ARRIVES, "X-");
    page.keyboard().type("2");
    page.keyboard().press("Enter");
    assertThat(page.url()).as("what is shown was found for less").endsWith("/");
    page.evaluate(ARRIVES, "X-2");
    assertThat(page.url()).endsWith("#a");
  }

  @Test
  void another_of_what_is_found_is_chosen_by_arrows() {
    page("<input id=find><div id=found></div>", "find.js");
    page.focus("#find");
    page.keyboard().type("X");
    page.evaluate(ARRIVES, "X");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("Enter");
    assertThat(page.url()).endsWith("#b");
  }

  @Test
  void what_is_done_with_a_list_is_done_with_what_it_shows() {
    page(
        "<form data-list><input name=filter id=f></form>"
            + "<form id=do data-takes-list action=/nowhere><input type=hidden name=filter value=old data-asked></form>",
        "filters.js");
    page.fill("#f", "a&b=c");
    assertThat(
            page.evaluate(
                "document.querySelector('#do').dispatchEvent(new Event('submit', {cancelable: true})),"
                    + " [...new FormData(document.querySelector('#do'))].join('|')"))
        .isEqualTo("filter,a&b=c");
  }

  @Test
  void the_boxes_of_the_columns_open_and_shut() {
    page(
        "<button data-narrow aria-expanded=false>by column</button>"
            + "<table><tr id=narrow hidden><td><input id=first></table>",
        "filters.js");
    page.click("button");
    assertThat(page.evaluate("document.activeElement.id")).isEqualTo("first");
    assertThat(page.getAttribute("button", "aria-expanded")).isEqualTo("true");
    page.click("button");
    assertThat(page.isVisible("#first")).isFalse();
  }

  @Test
  void what_was_filled_in_is_told_apart_from_what_was_typed() {
    page(paper("bill", ""));
    String row = "document.querySelector('tr')";
    assertThat(
            of(
                "paper/filled.js",
                "(m.markFilled(%1$s,'price',true), m.markFilled(%1$s,'tax',true), m.markFilled(%1$s,'price',false), [m.isFilled(%1$s,'price'), m.isFilled(%1$s,'tax')])"
                    .formatted(row)))
        .isEqualTo(List.of(false, true));
  }

  @Test
  void enter_passes_what_a_line_goes_on_from_and_a_new_row_is_empty_and_numbered() {
    page(paper("bill", ""));
    assertThat(
            of(
                "paper/rows.js",
                "(m.go(document.querySelectorAll('[data-col=price]')[0], 1), document.activeElement.dataset.cell)"))
        .isEqualTo("rows.1.item");
    page.fill("[data-cell='rows.1.item']", "HIVE");
    assertThat(of("paper/rows.js", "m.addRow().querySelector('[data-col=item]').dataset.cell"))
        .isEqualTo("rows.2.item");
    assertThat(page.inputValue("[data-cell='rows.2.item']")).isEmpty();
    assertThat(page.getAttribute("[data-cell='rows.2.item']", "name")).isEqualTo("rows[2].item");
    assertThat(page.getAttribute("[data-cell='rows.2.item']", "aria-label"))
        .isEqualTo("item, line 3");
  }

  @Test
  void what_is_asked_for_waits_until_all_that_is_typed_is_proved() {
    page(paper("bill", ""), "paper/main.js");
    page.evaluate(
        "async () => { const m = await import('/js/paper/proving.js'); const paper = document.querySelector('#paper');"
            + " window.ask = n => document.dispatchEvent(new CustomEvent('htmx:' + n, {detail: {elt: paper}}));"
            + " window.proved = m.caughtUp; window.m = m; m.saveNow(); ask('beforeRequest'); m.whenProved(() => window.done = true); }");
    assertThat(page.evaluate("window.done")).isNull();
    page.fill("[data-cell='rows.0.price']", "2"); // typed since
    page.evaluate("proved(m.sent)");
    assertThat(page.evaluate("window.done")).isNull();
    page.evaluate("ask('beforeRequest'), proved(m.sent)");
    assertThat(page.evaluate("window.done")).isEqualTo(true);
  }

  @Test
  void what_the_proof_says_of_a_line_stands_beside_it_unless_its_item_has_changed() {
    page(
        paper("bill", "")
            .replace(
                "<div id=proof></div>",
                "<div id=proof><data hidden data-line=0 data-name='The hive' data-price=6.00></data>"
                    + "<p data-for=rows.0.item><span>no such item</span></p></div>"),
        "paper/main.js");
    assertThat(page.textContent("[data-shown=name] >> nth=0")).isEqualTo("The hive");
    assertThat(page.inputValue("[data-cell='rows.0.price']")).isEqualTo("6.00");
    assertThat(page.inputValue("[data-cell='rows.0.filled']")).isEqualTo("price");
    assertThat(page.isVisible("[data-fault='rows.0.item']")).as("she has not been there").isFalse();
    page.fill("[data-cell='rows.0.item']", "HIVE");
    page.keyboard().press("Tab");
    of("paper/place.js", "m.place()");
    assertThat(page.textContent("[data-fault='rows.0.item']")).isEqualTo("no such item");
    assertThat(page.getAttribute("[data-cell='rows.0.item']", "aria-invalid")).isEqualTo("true");
  }

  @Test
  void typing_a_price_makes_it_her_own_and_emptying_it_keeps_it_empty() {
    page(paper("bill", ""), "paper/main.js");
    page.fill("[data-cell='rows.0.price']", "5");
    assertThat(page.getAttribute("[data-cell='rows.0.price']", "data-own")).isEqualTo("1");
    page.fill("[data-cell='rows.0.price']", "");
    assertThat(page.inputValue("[data-cell='rows.0.filled']")).isEqualTo("-price");
    page.fill("[data-cell='rows.1.quantity']", "1");
    assertThat(page.locator("tbody tr").count()).as("the last row begins another").isEqualTo(3);
  }

  @Test
  void an_offer_is_taken_by_enter_and_escape_shuts_it() {
    page(paper("bill", ""), "paper/main.js");
    page.focus("[data-cell='rows.0.item']");
    page.keyboard().type("h");
    page.waitForSelector("#offers:not([hidden]) [aria-selected=true]");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("Enter");
    assertThat(page.inputValue("[data-cell='rows.0.item']")).isEqualTo("HONEY");
    assertThat(page.evaluate("document.activeElement.dataset.cell")).isEqualTo("rows.0.quantity");
    page.focus("[data-cell='rows.1.item']");
    page.keyboard().type("h");
    page.waitForSelector("#offers:not([hidden]) [aria-selected=true]");
    page.keyboard().press("Escape");
    assertThat(page.isVisible("#offers")).isFalse();
  }

  @Test
  void rows_of_a_spreadsheet_are_pasted_from_the_cell_on() {
    page(paper("bill", ""), "paper/main.js");
    page.focus("[data-cell='rows.0.item']");
    page.evaluate(
        "() => { const d = new DataTransfer(); d.setData('text/plain', 'HIVE\\t2\\t5\\nHONEY\\t3\\t6\\nFRAME\\t1\\t1\\n');"
            + " document.activeElement.dispatchEvent(new ClipboardEvent('paste', {clipboardData: d, bubbles: true, cancelable: true})); }");
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("2");
    assertThat(page.inputValue("[data-cell='rows.2.price']")).isEqualTo("1");
    assertThat(page.inputValue("[data-cell='rows.3.item']")).as("a free row follows").isEmpty();
  }

  @Test
  void a_line_is_struck_out_by_a_key_and_those_below_move_up() {
    page(paper("bill", ""), "paper/main.js");
    page.fill("[data-cell='rows.0.item']", "HIVE");
    page.fill("[data-cell='rows.1.item']", "HONEY");
    page.focus("[data-cell='rows.0.item']");
    page.keyboard().press("Alt+x");
    assertThat(page.inputValue("[data-cell='rows.0.item']")).isEqualTo("HONEY");
  }

  @Test
  void a_key_goes_to_the_first_empty_line_and_a_key_repeats_the_line_above() {
    page(paper("bill", ""), "paper/main.js");
    page.fill("[data-cell='rows.0.item']", "HIVE");
    page.fill("[data-cell='rows.0.price']", "12.50");
    page.fill("[data-cell='rows.0.of']", "PO-1");
    page.focus("[data-cell='rows.0.item']");
    page.keyboard().press("Alt+l");
    assertThat(page.evaluate("document.activeElement.dataset.cell")).isEqualTo("rows.1.item");
    page.keyboard().press("Alt+s");
    assertThat(page.inputValue("[data-cell='rows.1.item']")).isEqualTo("HIVE");
    assertThat(page.inputValue("[data-cell='rows.1.price']")).isEqualTo("12.50");
    assertThat(page.inputValue("[data-cell='rows.1.of']")).isEmpty();
    page.keyboard().press("Alt+l");
    assertThat(page.evaluate("document.activeElement.dataset.cell")).isEqualTo("rows.2.item");
  }

  @Test
  void what_an_open_paper_wants_goes_into_the_first_free_line_and_the_sum() {
    String payment =
        paper(
                "supplier-payment",
                "<input id=amount>"
                    + "<button data-pay=B-1 data-open=10.50>x</button><button data-pay=RS-1 data-open=2.00 data-credit>y</button>")
            .replace("data-col=of", "data-col=paper")
            .replace("data-col=price", "data-col=amount");
    page(payment, "paper/main.js");
    page.click("[data-pay=B-1]");
    page.click("[data-pay=RS-1]");
    assertThat(page.inputValue("[data-col=paper] >> nth=1")).isEqualTo("RS-1");
    assertThat(page.inputValue("#amount")).isEqualTo("8.50");
  }

  @Test
  void a_second_scan_of_one_item_is_one_more_of_it() {
    page(paper("counter-sale", "<input id=cash>"), "paper/main.js");
    page.fill("[data-cell='rows.0.item']", "HIVE");
    page.press("[data-cell='rows.0.item']", "Enter");
    assertThat(page.evaluate("document.activeElement.dataset.cell")).isEqualTo("rows.1.item");
    page.keyboard().type("hive");
    page.keyboard().press("Enter");
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("2");
    assertThat(page.inputValue("[data-cell='rows.1.item']")).isEmpty();
  }

  /** Scans into the cell that has the focus; the offer comes before the scanner's Enter. */
  private void scanAndTake(String barcode) {
    page.keyboard().type(barcode);
    page.waitForSelector("#offers:not([hidden]) [aria-selected=true]");
    page.keyboard().press("Enter");
  }

  @Test
  void goods_scanned_again_are_counted_up_where_an_offer_was_taken_for_the_first_scan() {
    page(paper("transfer", ""), "paper/main.js");
    page.focus("[data-cell='rows.0.item']");
    scanAndTake("2000000000015");
    assertThat(page.inputValue("[data-cell='rows.0.item']")).isEqualTo("HIVE");
    page.keyboard().type("2000000000015");
    page.keyboard().press("Enter");
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("2");
    assertThat(page.inputValue("[data-cell='rows.1.item']")).isEmpty();
  }

  @Test
  void at_the_counter_too_whichever_of_the_scans_took_an_offer() {
    page(paper("counter-sale", "<input id=cash>"), "paper/main.js");
    page.evaluate("document.querySelector('[data-col=item]').value = '2000000000015'");
    page.focus("[data-cell='rows.1.item']");
    scanAndTake("2000000000015");
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("2");
    page.evaluate("document.querySelector('[data-col=item]').value = ''");
    page.focus("[data-cell='rows.0.item']");
    scanAndTake("2000000000015");
    page.evaluate("document.querySelectorAll('[data-col=item]')[1].value = '2000000000015'");
    page.press("[data-cell='rows.1.item']", "Enter");
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("3");
  }

  @Test
  void two_items_found_by_the_same_letters_stay_two() {
    page(paper("counter-sale", "<input id=cash>"), "paper/main.js");
    page.focus("[data-cell='rows.0.item']");
    scanAndTake("h");
    page.keyboard().type("h");
    page.waitForSelector("#offers:not([hidden]) [aria-selected=true]");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("Enter");
    assertThat(page.inputValue("[data-cell='rows.0.item']")).isEqualTo("HIVE");
    assertThat(page.inputValue("[data-cell='rows.1.item']")).isEqualTo("HONEY");
  }

  @Test
  void a_page_goes_on_from_what_was_left_unless_another_has_written() {
    page(paper("bill", ""), "paper/main.js");
    String left =
        "{at: '/save', window: 'W%d', revision: %d, from: '0', cells: [['rows.3.item', 'HIVE']]}";
    assertThat(of("paper/leaving.js", "m.goOn(" + left.formatted(9, 2) + ")")).isEqualTo(false);
    assertThat(page.locator("tbody tr").count()).isEqualTo(2);
    assertThat(of("paper/leaving.js", "m.goOn(" + left.formatted(9, 3) + ")")).isEqualTo(true);
    assertThat(page.inputValue("[data-cell='rows.3.item']")).isEqualTo("HIVE");
    assertThat(page.inputValue("[name=_window]")).isEqualTo("W9");
    assertThat(of("paper/leaving.js", "m.goOn(" + left.formatted(1, 2).replace("HIVE", "EX") + ")"))
        .as("its own save has arrived meanwhile")
        .isEqualTo(true);
  }

  @Test
  void no_answer_of_the_server_is_said_and_nothing_typed_is_lost() {
    page(paper("bill", ""), "paper/main.js");
    page.fill("[data-cell='rows.0.item']", "HIVE");
    page.evaluate("document.dispatchEvent(new CustomEvent('htmx:sendError', {detail: {}}))");
    assertThat(page.textContent("#kept"))
        .startsWith("not kept yet: the server does not answer.")
        .contains("is tried again");
    assertThat(page.inputValue("[data-cell='rows.0.item']")).isEqualTo("HIVE");
  }
}
