package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.proof.Proof;
import zinctally.store.ledger.ChartOfAccounts;
import zinctally.store.opening.OpeningStore;
import zinctally.store.opening.SheetReader;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Proving;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class OpeningTest {
  private static final String HEAD =
      "Item code,Description,Unit,Qty on hand,Avg cost,Stock value,Selling price\n";
  private FreshBook book;

  @BeforeAll
  void open() {
    book = new FreshBook();
  }

  @AfterAll
  void close() {
    book.close();
  }

  private Proof prove(String rows) throws Exception {
    return book.get(Proving.class)
        .prove(SheetReader.text(HEAD + rows).asOpeningStock("Store"), 0, "tester");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "S-1,Smoker,each,twelve,4.50,54.00,9.00 | rows.0.c3 | \"twelve\" is not a number as this sheet writes them",
        "S-1,Smoker,each,-2,4.50,9.00,9.00 | rows.0.c3 | -2 is below zero; opening stock has nothing below zero.",
        "S-1,Smoker,hogshead,2,4.50,9.00,9.00 | rows.0.c2 | \"hogshead\" is no unit known here",
        "S-1,Smoker,each,12,6.50,54.00,9.00 | rows.0.c5 | 12 \u00d7 6.50 is 78.00, but the value column says 54.00; a unit cost of 4.5 would agree.",
        "S-1,Smoker,each,12,9.00,54.00,9.00 | rows.0.c5 | The unit cost is the selling price.",
        "S-1,,each,12,4.50,54.00,9.00 | rows.0.c1 | No item has the code S-1 yet; to make it, its name is needed.",
        ",Smoker,each,12,4.50,54.00,9.00 | rows.0.c0 | Every row needs an item code.",
        "S-1,Smoker,each,,4.50,,9.00 | rows.0.c3 | How many are on hand? Write 0 for none.",
        "S-1,Smoker,each,0,4.50,7.00,9.00 | rows.0.c5 | A value of 7.00 without any goods",
        "S-1,Smoker,each,3,4.505,13.515,9.00 | rows.0.c5 | 13.515 has more than 2 digits after the point.",
        "S-1,Smoker,each,99999999999999,4.50,9.00,9.00 | rows.0.c3 | larger than this book can hold",
      })
  void a_bad_row_is_named_with_row_column_and_what_would_be_right(
      String row, String cell, String says) throws Exception {
    assertThat(prove(row + "\n").faults())
        .anySatisfy(
            f -> {
              assertThat(f.cell()).isEqualTo(cell.strip());
              assertThat(f.says()).contains(says.strip());
            });
  }

  @Test
  void a_code_that_stands_twice_names_the_first_row() throws Exception {
    assertThat(prove("S-2,Smoker,each,1,4.50,4.50,\nS-2,Smoker,each,1,4.50,4.50,\n").faults())
        .extracting(Fault::says)
        .containsExactly("S-2 stands already in row 1; put both together in one row.");
  }

  @Test
  void a_cost_that_is_the_selling_price_is_asked_about_and_goes_in_once_looked_at()
      throws Exception {
    Draft draft =
        SheetReader.text(HEAD + "Q-1,Cloth,each,2,3.00,6.00,3.00\n").asOpeningStock("Store");
    assertThat(book.get(Proving.class).prove(draft, 0, "tester").sound()).isFalse();
    Map<String, String> fields = new java.util.HashMap<>(draft.fields());
    fields.put("questions", "seen");
    assertThat(
            book.get(Proving.class)
                .prove(new Draft(draft.kind(), fields, draft.rows()), 0, "tester")
                .sound())
        .isTrue();
  }

  @Test
  void ten_thousand_faults_are_all_found_and_nothing_goes_in() throws Exception {
    StringBuilder rows = new StringBuilder();
    for (int i = 0; i < 10_000; i++) rows.append("F-").append(i).append(",Thing,each,x,1,1,\n");
    Draft draft = SheetReader.text(HEAD + rows).asOpeningStock("Store");
    long id = book.get(DraftStore.class).begin(draft, "tester");
    assertThatThrownBy(() -> book.get(Posting.class).post(id, "tester"))
        .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.faults()).hasSize(10_000));
    assertThat(
            book.sql()
                .sql("select count(*) from item where code like 'F-%'")
                .query(Long.class)
                .single())
        .isZero();
  }

  @Test
  void a_whole_list_goes_in_with_new_groups_items_and_prices() throws Exception {
    StringBuilder rows = new StringBuilder("Code;Name;Group;Unit;Quantity;Unit cost;Price\n");
    for (int i = 0; i < 2500; i++)
      rows.append("W-" + i + ";Thing " + i + ";Group " + i % 7 + ";kg;2.5;4.00;9.50\n");
    long before = book.get(OpeningStore.class).clearing();
    Draft draft =
        SheetReader.file("list.csv", rows.toString().getBytes(StandardCharsets.UTF_8))
            .asOpeningStock("Store");
    book.get(Posting.class).post(book.get(DraftStore.class).begin(draft, "tester"), "tester");
    assertThat(book.get(OpeningStore.class).clearing() - before).isEqualTo(-2500 * 1000);
    assertThat(
            book.sql()
                .sql(
                    "select count(*) from item i join item_group g on g.id = i.group_id join item_price p on p.item_id = i.id"
                        + " join cost_pool h on h.item_id = i.id where g.name like 'Group %' and p.price = 9.5 and h.worth = 1000")
                .query(Long.class)
                .single())
        .isEqualTo(2500);
  }

  @Test
  void a_spreadsheet_with_formulas_counts_as_the_values_it_shows() throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    Workbook workbook = new Workbook(out, "test", "1.0");
    Worksheet sheet = workbook.newWorksheet("Stock");
    List<String> heads = List.of("Code", "Name", "Quantity", "Unit cost");
    for (int i = 0; i < heads.size(); i++) sheet.value(0, i, heads.get(i));
    sheet.value(1, 0, "X-1");
    sheet.value(1, 1, "=Not a formula");
    sheet.value(1, 2, 12);
    sheet.value(1, 3, 0.1 + 0.2);
    workbook.finish();
    Proof proof =
        book.get(Proving.class)
            .prove(
                SheetReader.file("s.xlsx", out.toByteArray()).asOpeningStock("Store"), 0, "tester");
    assertThat(proof.faults()).isEmpty();
    assertThat(JournalEntry.turnover(proof.work().orElseThrow().journals().get(0).lines()).minor())
        .isEqualTo(360);
  }

  @Test
  void another_encoding_is_read_as_it_was_written() throws Exception {
    byte[] latin = "Code,Name\nK-1,Löffel\n".getBytes("windows-1252");
    assertThat(SheetReader.file("a.csv", latin).rows().get(0).get(1)).isEqualTo("Löffel");
    byte[] wide = "\uFEFFCode,Name\nK-1,Löffel\n".getBytes(StandardCharsets.UTF_16LE);
    assertThat(SheetReader.file("a.csv", wide).rows().get(0).get(1)).isEqualTo("Löffel");
  }

  @Test
  void balances_come_from_a_trial_balance_and_control_accounts_are_refused_with_the_right_place()
      throws Exception {
    Draft draft =
        SheetReader.text("Account,Balance\n1000,100.00\n3000,-60.00\n1400,-40\n6000,0.00\n")
            .asOpeningBalances();
    assertThat(draft.kind()).isEqualTo(PaperKind.OPENING_BALANCES);
    assertThat(draft.rows()).hasSize(3);
    assertThat(draft.cell(1, "credit")).isEqualTo("60.00");
    assertThat(book.get(Proving.class).prove(draft, 0, "tester").faults())
        .extracting(Fault::says)
        .containsExactly(
            "1400 Stock on hand is a control account; it builds up from the items: enter Opening stock.");
    assertThatThrownBy(() -> SheetReader.text("Name,Sum\na,1\n").asOpeningBalances())
        .hasMessageContaining("headings account, and debit and credit");
  }

  @Test
  void a_chart_of_accounts_is_taken_whole_or_not_at_all() throws Exception {
    ChartOfAccounts chart = book.get(ChartOfAccounts.class);
    assertThatThrownBy(
            () ->
                chart.take(
                    SheetReader.text("code,name,kind\n7000,Bees,expense\n7001,Wasps,animal\n"),
                    false))
        .hasMessageContaining("Row 3: \"animal\" is no kind");
    assertThat(
            book.sql()
                .sql("select count(*) from account where code = '7000'")
                .query(Long.class)
                .single())
        .isZero();
    chart.take(SheetReader.text("code,name,kind\n7000,Bees,expense\n"), false);
    assertThat(
            book.sql()
                .sql("select name from account where code = '7000'")
                .query(String.class)
                .single())
        .isEqualTo("Bees");
  }
}
