package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** Papers that go to customers: what they go on from, in whose words, over how many pages. */
class HandedPapersTest extends OwnBookTest {
  @BeforeAll
  static void goods() {
    item("GLOVE", "FIFO", "NONE");
    desk.sql().sql("update item set base_unit = 'PR' where code = 'GLOVE'").update();
    item("BOX", "FIFO", "NONE");
    receive("GLOVE", "2026-04-01", "100", "4.00");
    receive("BOX", "2026-04-01", "500", "2.00");
  }

  private static long post(PaperKind kind, String customer, List<Map<String, String>> rows) {
    Map<String, String> fields = new HashMap<>();
    fields.put("date", "2026-05-02");
    fields.put("customer", customer);
    fields.put("place", "Store");
    return post(kind, fields, rows);
  }

  private static long post(
      PaperKind kind, Map<String, String> fields, List<Map<String, String>> rows) {
    return desk.get(Posting.class)
        .post(desk.get(DraftStore.class).begin(new Draft(kind, fields, rows), "owner"), "owner");
  }

  private static String number(long paper) {
    return desk.sql()
        .sql("select number from paper where id = ?")
        .param(paper)
        .query(String.class)
        .single();
  }

  private static void language(String customer, String language) {
    desk.sql()
        .sql("update party set language = ? where name = ?")
        .params(language, customer)
        .update();
  }

  private static String pdf(long paper) throws Exception {
    return PdfText.at(page, desk.address + "/papers/" + paper + "/pdf");
  }

  @Test
  void each_paper_names_by_its_kind_what_it_goes_on_from() throws Exception {
    Map<String, String> two = Map.of("item", "GLOVE", "quantity", "2", "price", "9.00");
    long order = post(PaperKind.SALES_ORDER, "Fenwick Garden", List.of(two));
    long delivery =
        post(
            PaperKind.DELIVERY,
            "Fenwick Garden",
            List.of(Map.of("of", number(order), "item", "GLOVE", "quantity", "2")));
    assertThat(pdf(delivery)).contains("Our order").contains(number(order) + ", 2026-05-02");
    long invoice =
        post(
            PaperKind.INVOICE,
            "Fenwick Garden",
            List.of(
                Map.of("of", number(delivery), "item", "GLOVE", "quantity", "2", "price", "9")));
    assertThat(pdf(invoice))
        .contains("Our order")
        .contains(number(order))
        .contains("Delivery note")
        .contains(number(delivery));
    long back =
        post(
            PaperKind.CUSTOMER_RETURN,
            "Fenwick Garden",
            List.of(Map.of("paper", number(invoice), "item", "GLOVE", "quantity", "1")));
    assertThat(pdf(back)).contains("Credit note").contains(number(invoice) + ", 2026-05-02");
  }

  @Test
  void units_are_in_the_language_of_the_paper_and_packs_are_called_as_the_book_calls_them()
      throws Exception {
    post(PaperKind.INVOICE, "Imkerei Tannhof", List.of(line("BOX", "1")));
    language("Imkerei Tannhof", "de");
    desk.sql()
        .sql("update item set pack_name = 'tray', pack_size = 12000000 where code = 'BOX'")
        .update();
    long invoice =
        post(PaperKind.INVOICE, "Imkerei Tannhof", List.of(line("GLOVE", "3"), line("BOX", "13")));
    assertThat(pdf(invoice))
        .contains("3 Paar")
        .contains("9.00 / Paar")
        .contains("1 tray + 1")
        .contains("/ Stück")
        .doesNotContain("pair")
        .doesNotContain("each");
  }

  @Test
  void a_paper_of_many_lines_and_long_names_goes_over_pages_and_loses_nothing() throws Exception {
    desk.sql()
        .sql("update item set name = ? where code = 'GLOVE'")
        .param("Gloves of goatskin with long ventilated cuffs and elastic, washable by hand only")
        .update();
    List<Map<String, String>> rows = new ArrayList<>();
    for (int i = 1; i <= 60; i++)
      rows.add(
          Map.of("item", i % 3 == 0 ? "GLOVE" : "BOX", "quantity", "1", "price", "1." + (i + 10)));
    long invoice = post(PaperKind.INVOICE, "Fenwick Garden", rows);
    String text = pdf(invoice);
    for (int i = 1; i <= 60; i++) assertThat(text).contains(" 1." + (i + 10));
    assertThat(text).containsPattern("3 ?/ ?\\d").contains("washable by hand only");
    assertThat(text.split("Quantity", -1)).as("each page has the heads").hasSizeGreaterThan(2);
  }

  /** 3 at 12.00 with 20 % tax in them: 36.00, of it 6.00. */
  @Test
  void prices_with_tax_multiply_to_amounts_with_tax() throws Exception {
    Map<String, String> fields = new HashMap<>();
    fields.put("date", "2026-05-02");
    fields.put("customer", "Hollin Orchard");
    fields.put("place", "Store");
    fields.put("prices", "included");
    List<Map<String, String>> rows =
        List.of(Map.of("item", "BOX", "quantity", "3", "price", "12.00", "tax", "S"));
    long invoice = post(PaperKind.INVOICE, fields, rows);
    assertThat(pdf(invoice))
        .containsPattern("3 +12.00 / each +S +36.00")
        .contains("EUR, with tax")
        .containsPattern("Without tax +30.00")
        .containsPattern("Total +36.00");
  }

  @Test
  void letters_of_other_scripts_are_all_there() throws Exception {
    post(PaperKind.INVOICE, "Пасека Łąka", List.of(line("GLOVE", "1")));
    desk.sql().sql("update item set name = 'Box, ścianka ♥' where code = 'BOX'").update();
    long invoice = post(PaperKind.INVOICE, "Пасека Łąka", List.of(line("BOX", "1")));
    assertThat(pdf(invoice)).contains("Пасека Łąka").contains("ścianka");
  }

  private static Map<String, String> line(String item, String quantity) {
    return Map.of("item", item, "quantity", quantity, "price", "9.00");
  }
}
