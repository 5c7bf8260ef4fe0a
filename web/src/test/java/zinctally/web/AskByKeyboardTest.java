package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.options.RequestOptions;
import java.io.ByteArrayInputStream;
import java.time.LocalDateTime;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.DateUtil;
import org.apache.poi.ss.usermodel.FormulaEvaluator;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.store.question.ScheduleStore;
import zinctally.web.ask.Sending;

/** Questions are built, kept and sent by keyboard; statements come out as page, PDF and sheet. */
class AskByKeyboardTest extends OwnBookTest {
  @BeforeAll
  static void trade() {
    item("ASK", "FIFO", "NONE");
    item("FEW", "FIFO", "NONE");
    bill("2026-03-01", "ASK", "30", "4.00");
    bill("2026-03-02", "FEW", "5", "9.00");
  }

  private static void bill(String date, String item, String quantity, String price) {
    begin("b");
    page.fill("#supplier", "Orrin Joinery");
    page.fill("#date", date);
    page.focus("[data-cell='rows.0.item']");
    type(item, quantity, price);
    post("balances");
  }

  private static void accessible() {
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
  }

  private static void next(String typed) {
    page.keyboard().press("Tab");
    page.keyboard().type(typed);
  }

  /** Stock value by group and place, more than 20 pieces, largest first, as PDF every Monday. */
  @Test
  void a_question_is_built_kept_pinned_and_sent_by_keyboard() {
    page.navigate(desk.address + "/ask/questions");
    accessible();
    page.focus("select[name=about]");
    page.keyboard().type("Stock");
    page.keyboard().press("Tab");
    page.keyboard().press("Enter");
    page.waitForURL("**/ask/build?about=stock");
    page.focus("[name='see.1']");
    page.keyboard().type("Value");
    page.focus("[name='if.1']");
    page.keyboard().type("Quantity");
    next("more");
    next("20");
    page.focus("[name='by.1']");
    page.keyboard().type("Group");
    next("Place");
    page.focus("[name=summary]");
    page.keyboard().press("Space");
    page.focus("[name='order.1']");
    page.keyboard().type("Value");
    next("");
    page.keyboard().press("Space");
    page.waitForSelector("#rows:has-text('120.00')");
    page.waitForURL(url -> url.contains("order.1.down=on"));
    page.waitForSelector("#rows tr:only-child");
    assertThat(page.textContent("#rows")).contains("Goods").doesNotContain("45.00");
    assertThat(page.textContent("#foot")).contains("In all 1", "120.00");
    accessible();
    page.focus("[name='save.name']");
    page.keyboard().type("Much on the shelf");
    page.focus("text='Keep'");
    page.keyboard().press("Enter");
    page.waitForURL("**/ask/question/*");
    accessible();
    page.focus("[name=to]");
    page.keyboard().press("Enter");
    page.waitForSelector("text=To whom?");
    page.fill("[name=to]", "office");
    page.keyboard().press("Enter");
    page.waitForSelector("text=\"office\" is no address");
    page.waitForCondition(() -> page.inputValue("[name=to]").equals("office"));
    page.fill("[name=to]", "office@wickmere.example");
    page.keyboard().press("Enter");
    page.waitForSelector("text=every Monday 07:00");
    page.click("text=Pin it to the Day page");
    page.waitForSelector("text=Take it off the Day page");
    page.navigate(desk.address + "/");
    page.waitForSelector("h2:has-text('Much on the shelf')");
    accessible();
    desk.sql()
        .sql("update question_schedule set next_at = ?")
        .param(LocalDateTime.of(2020, 1, 6, 7, 0))
        .update();
    desk.get(Sending.class).send();
    page.navigate(desk.address + "/ask/outbox");
    page.waitForSelector("text=much-on-the-shelf.pdf");
    page.click("text=Much on the shelf");
    assertThat(page.textContent("main")).contains("office@wickmere.example");
    assertThat(desk.get(ScheduleStore.class).take()).isEmpty();
  }

  @Test
  void a_column_is_dragged_to_another_place() {
    page.navigate(
        desk.address
            + "/ask/build?about=stock&see.1=item&see.2=quantity&see.3=place&see.3.as=Where");
    page.locator(".grip").nth(2).dragTo(page.locator("[data-rows] [data-row]").first());
    page.waitForCondition(
        () -> page.inputValue("form[data-question] [name='see.1.as']").equals("Where"));
    assertThat(page.inputValue("form[data-question] [name='see.2']")).isEqualTo("Item");
    assertThat(page.inputValue("form[data-question] [name='see.3']")).isEqualTo("Quantity");
  }

  @Test
  void a_sum_leads_to_the_rows_it_is_of() {
    page.navigate(
        desk.address
            + "/ask/build?about=purchases&see.1=net&by.1=item&by.2=calc.1&calc.1=MONTH&calc.1.a=date&summary=on");
    page.press("#rows tr:has-text('Item ASK') >> nth=0 >> a:has-text('.')", "Enter");
    page.waitForURL("**if.18.a=2026-*");
    assertThat(page.textContent("#rows")).contains("Item ASK").doesNotContain("Item FEW");
    assertThat(page.querySelectorAll("#rows a[href^='/papers/']")).isNotEmpty();
    accessible();
    page.navigate(
        desk.address
            + "/ask/build?about=purchases&see.1=net&by.1=item&across=calc.1&calc.1=MONTH&calc.1.a=date&summary=on");
    page.press("#rows tr:has-text('Item ASK') >> nth=0 >> a:has-text('.') >> nth=0", "Enter");
    page.waitForURL("**if.18=calc.1&if.18.test=IS&if.18.a=2026-*");
    assertThat(page.textContent("#rows")).contains("Item ASK").doesNotContain("Item FEW");
  }

  @Test
  void a_value_left_open_is_asked_when_the_question_is_run() {
    page.navigate(
        desk.address
            + "/ask/build?about=stock&see.1=item&see.2=quantity&if.1=quantity&if.1.test=MORE&if.1.a=%3F");
    page.fill("[name='save.name']", "More than so many");
    page.click("text='Keep'");
    page.waitForURL("**/ask/question/*");
    assertThat(page.textContent("#rows")).contains("Item ASK", "Item FEW");
    page.fill("[name='if.1.a']", "20");
    page.keyboard().press("Enter");
    page.waitForURL("**if.1.a=20");
    assertThat(page.textContent("#rows")).contains("Item ASK").doesNotContain("Item FEW");
    assertThat(page.inputValue("form.at [name='if.1.a']")).isEqualTo("20");
    page.navigate(desk.address + "/ask/questions?filter=so+many");
    assertThat(page.textContent("#rows")).contains("More than so many", "you");
    accessible();
  }

  @Test
  void what_is_worked_out_goes_by_its_name_and_a_kept_question_by_its_paper() throws Exception {
    page.navigate(
        desk.address
            + "/ask/build?about=purchases&see.1=net&by.1=Month&calc.1=MONTH&calc.1.a=date&calc.1.as=Month"
            + "&summary=on&paper.title=Bought%20by%20month");
    assertThat(page.textContent("#rows")).contains("2026-03");
    assertThat(page.inputValue("#question [name='by.1']")).isEqualTo("Month");
    page.fill("[name='save.name']", "By month");
    page.click("text='Keep'");
    page.waitForURL("**/ask/question/*");
    assertThat(page.textContent("#rows")).contains("2026-03");
    assertThat(PdfText.at(page, page.url() + "?as=pdf")).contains("Bought by month", "2026-03");
  }

  @Test
  void what_cannot_be_asked_is_said_beside_what_can() {
    page.navigate(
        desk.address
            + "/ask/build?about=stock&see.1=item&see.2=gone&if.1=quantity&if.1.test=MORE&if.1.a=lots");
    assertThat(page.textContent("#answer"))
        .contains("no column \"gone\"", "\"lots\" is not a figure", "Item ASK");
    assertThat(page.inputValue("[name='see.2']")).isEqualTo("gone");
    page.fill("#question [name='if.1.a']", "20");
    page.keyboard().press("Enter");
    page.waitForURL(url -> url.contains("if.1.a=20"));
    assertThat(page.url()).doesNotContain("_csrf").doesNotContain("as=pdf");
    page.waitForSelector("#rows tr:only-child");
  }

  @Test
  void statements_open_down_to_their_papers() {
    page.navigate(desk.address + "/prove/balance");
    accessible();
    assertThat(page.textContent("main"))
        .contains("Assets, in all", "165.00", "Equity and liabilities, in all");
    page.click("text=1400 Stock on hand");
    page.waitForURL("**/prove/account/**");
    accessible();
    page.click("text=B-2026-0001");
    page.waitForURL("**/papers/**");
    // a figure of another year opens the lines of that year
    page.navigate(desk.address + "/prove/account/1?to=2025-06-30");
    assertThat(page.inputValue("[name=from]")).isEqualTo("2025-01-01");
    assertThat(page.querySelectorAll("[role=alert]")).isEmpty();
    for (String address :
        new String[] {
          "/prove/profit?beside=LAST_YEAR",
          "/prove/cash?beside=MONTHS",
          "/prove/accounts",
          "/setup/sections",
          "/prove/seals"
        }) {
      page.navigate(desk.address + address);
      accessible();
    }
  }

  @Test
  void the_day_of_the_tie_out_follows_the_slider_and_pictures_are_read_by_key() {
    page.navigate(desk.address + "/prove?date=2026-03-02");
    accessible();
    page.focus("[data-slider] input");
    page.keyboard().press("ArrowLeft");
    page.waitForSelector("#tie .facts:has-text('120.00')");
    assertThat(page.inputValue("input[name=date]")).isEqualTo("2026-03-01");
    assertThat(page.url()).contains("date=2026-03-01");
    page.navigate(desk.address + "/prove/bridge?from=2026-03-02&to=2026-03-02");
    accessible();
    page.focus("[data-mark][tabindex='0']");
    page.waitForSelector("[data-value]:has-text('Before: 120.00')");
    page.keyboard().press("ArrowRight");
    page.keyboard().press("ArrowRight");
    page.waitForSelector("[data-value]:has-text('Bought: 45.00')");
    for (String address :
        new String[] {"/buy/experience", "/ask/audit", "/ask/audit/1", "/ask/outbox"}) {
      page.navigate(desk.address + address);
      accessible();
    }
  }

  @Test
  void what_is_handed_out_is_remembered_and_compared_with_what_is_known_since() {
    page.request().get(desk.address + "/prove/balance?to=2026-03-31&as=pdf");
    String before = desk.sql().sql("select max(at) from handed_out").query(String.class).single();
    assertThat(before).isNotNull();
    bill("2026-03-03", "ASK", "1", "7.00");
    page.navigate(desk.address + "/prove/handed-out");
    page.click("text=Balance sheet, At the end of 2026-03-31");
    page.waitForSelector("th:has-text('As known then')");
    page.click("text=What has changed since");
    assertThat(page.textContent("#rows")).contains("Supplier bill", "7.00");
    page.navigate(desk.address + "/prove/balance?known=sometime");
    assertThat(page.textContent("main")).contains("\"sometime\" is no day or moment");
  }

  @Test
  void a_sheet_has_real_days_and_totals_that_reckon_themselves() throws Exception {
    byte[] file =
        page.request()
            .get(
                desk.address + "/ask/build?about=purchases&see.1=date&see.2=net&by.1=item&as=xlsx",
                RequestOptions.create())
            .body();
    try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(file))) {
      Sheet sheet = book.getSheetAt(0);
      FormulaEvaluator reckon = book.getCreationHelper().createFormulaEvaluator();
      double all = 0;
      double sums = 0;
      boolean days = false;
      for (Row row : sheet) {
        Cell net = row.getCell(2);
        if (row.getRowNum() <= 3 || net == null) continue;
        if (net.getCellType() == CellType.FORMULA) sums = reckon.evaluate(net).getNumberValue();
        else {
          all += net.getNumericCellValue();
          days |= DateUtil.isCellDateFormatted(row.getCell(1));
        }
      }
      assertThat(days).isTrue();
      assertThat(sums).isEqualTo(all).isGreaterThan(160);
    }
    byte[] balance =
        page.request().get(desk.address + "/prove/balance?to=2026-03-02&as=xlsx").body();
    try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(balance))) {
      FormulaEvaluator reckon = book.getCreationHelper().createFormulaEvaluator();
      int formulas = 0;
      for (Row row : book.getSheetAt(0))
        if (row.getCell(0) != null && row.getCell(0).getStringCellValue().endsWith(", in all")) {
          formulas++;
          if (row.getCell(0).getStringCellValue().startsWith("Assets"))
            assertThat(reckon.evaluate(row.getCell(1)).getNumberValue()).isEqualTo(165);
        }
      assertThat(formulas).isGreaterThan(3);
    }
  }

  @Test
  void a_statement_on_paper_is_tagged_and_says_its_language_and_title() throws Exception {
    String address =
        desk.address
            + "/prove/balance?to=2026-03-02&as=pdf&paper.language=de&paper.title=Unsere%20Bilanz&paper.head=on&paper.foot=Entwurf&paper.copies=2";
    try (PDDocument pdf = Loader.loadPDF(page.request().get(address).body())) {
      assertThat(pdf.getDocumentCatalog().getLanguage()).startsWith("de");
      assertThat(pdf.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
      assertThat(pdf.getDocumentInformation().getTitle()).isEqualTo("Unsere Bilanz");
      assertThat(pdf.getNumberOfPages()).isEqualTo(2);
    }
    assertThat(PdfText.at(page, address))
        .contains("Unsere Bilanz", "Vermögen, zusammen", "Entwurf", "165.00");
  }
}
