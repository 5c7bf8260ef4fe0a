package zinctally.core.papers.opening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static zinctally.core.papers.SmallBook.on;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.cost.EventKind;
import zinctally.core.ledger.Role;
import zinctally.core.number.Figures;
import zinctally.core.number.Form;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.plan.Plan;

class OpeningStockReaderTest {
  private final SmallBook book = new SmallBook();

  private static Draft sheet(String headings, String... rows) {
    List<List<String>> cells = Arrays.stream(rows).map(r -> List.of(r.split("\\|", -1))).toList();
    return new Sheet(List.of(headings.split("\\|")), cells).asOpeningStock("Barn store");
  }

  private Reading read(Draft draft) {
    return Figures.in(
        draft.form(),
        () ->
            new OpeningStockReader(
                    book,
                    (id, code, name, group, units) -> book.newItem(id, name, Party.Kind.SUPPLIER))
                .read(draft));
  }

  private List<String> faults(Draft draft) {
    return read(draft).faults().stream().map(f -> f.cell() + ": " + f.says()).toList();
  }

  private static Draft with(Draft draft, String field, String typed) {
    Map<String, String> fields = new HashMap<>(draft.fields());
    fields.put(field, typed);
    return new Draft(draft.kind(), fields, draft.rows());
  }

  @Test
  void a_row_comes_in_at_its_worth_against_opening_clearing_on_the_first_day() {
    OpeningStock paper =
        (OpeningStock)
            read(sheet(
                    "SKU|Qty|Unit cost|Total value",
                    "HIVE|3|33.3333|100.00",
                    "FRAME|2||5",
                    "HONEY|0||"))
                .paper()
                .orElseThrow();
    assertThat(paper.total()).isEqualTo(10_500);
    assertThat(paper.date()).isEqualTo(LocalDate.of(2025, 1, 1));
    Plan plan = paper.plan(book);
    assertThat(plan.events())
        .extracting(Plan.Event::kind)
        .containsExactly(EventKind.IN, EventKind.IN);
    assertThat(plan.events()).extracting(e -> e.value().minor()).containsExactly(10_000L, 500L);
    assertThat(on(plan, Role.OPENING_CLEARING)).isEqualTo(-10_500);
    assertThat(SmallBook.apart(plan)).isZero();
    assertThat(paper.rows()).extracting(r -> r.net()).containsExactly(10_000L, 500L, 0L);
  }

  // what rounding of a unit cost to its own places can explain is right; a cent more is not
  @ParameterizedTest
  @CsvSource({
    "3|33.33|99.99, true",
    "3|33.33|100.01, true",
    "3|33.33|100.02, false",
    "10|1.5|15.06, false",
    "10|1.5|15.05, true"
  })
  void quantity_times_cost_is_held_against_the_value(String row, boolean right) {
    assertThat(faults(sheet("Code|Quantity|Unit cost|Value", "HIVE|" + row)).isEmpty())
        .isEqualTo(right);
  }

  @Test
  void what_does_not_agree_says_what_would() {
    assertThat(faults(sheet("Code|Quantity|Unit cost|Value|Price", "HIVE|10|12|80|12")))
        .containsExactly(
            "rows.0.c3: 10 × 12 is 120.00, but the value column says 80.00; a unit cost of 8 would"
                + " agree. The unit cost is the selling price.");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "|1|1|||; rows.0.c0: Every row needs an item code.",
        "NEW|1|1|||; rows.0.c3: No item has the code NEW yet; to make it, its name is needed.",
        "HIVE|1|1||pint|; rows.0.c4: \"pint\" is no unit known here; use one of",
        "HIVE|1|1||kg|; rows.0.c4: HIVE is counted in each, not in kg.",
        "ADVICE|1|1|||; rows.0.c0: ADVICE is service.",
        "HIVE|1|1|||Moon; rows.0.c5: There is no place called \"Moon\"; Set up lists them.",
        "HIVE||1|||; rows.0.c1: How many are on hand? Write 0 for none.",
        "HIVE|1||||; rows.0.c2: What did they cost? Give the unit cost or the total value.",
        "HIVE|-1|1|||; rows.0.c1: ",
        "HIVE|x|1|||; rows.0.c1: \"x\" is not a number",
      })
  void what_cannot_be_is_said_at_its_cell(String row, String says) {
    assertThat(faults(sheet("Code|Quantity|Unit cost|Name|Unit|Place", row)).get(0))
        .startsWith(says);
  }

  @Test
  void columns_are_matched_once_and_those_needed_are_there() {
    assertThat(faults(sheet("Code|Name", "HIVE|x")))
        .containsExactly(
            "columns: No column is matched to Quantity.",
            "columns: A column for Unit cost or Total value is needed.");
    Draft twice =
        with(sheet("Code|Quantity|Value", "HIVE|1|1"), "columns", "code,quantity,quantity");
    assertThat(faults(twice)).contains("columns: Quantity is matched to two columns.");
    assertThat(faults(sheet("Code|Quantity|Value"))).containsExactly(": There is no row yet.");
    assertThat(sheet("Item no|On hand|Qty|Elsewhere", "HIVE|1|2|3").field("columns"))
        .isEqualTo("code,quantity,,");
  }

  @Test
  void what_looks_like_a_slip_is_looked_at_first() {
    Draft slip = sheet("Code|Quantity|Cost|Price", "HIVE|1|5|5", "FRAME|1|6|5");
    slip = with(slip, "columns", "code,quantity,unit_cost,price");
    assertThat(read(slip).notes())
        .extracting(f -> f.says())
        .containsExactly(
            "The unit cost 5 is the same as the selling price; is it the cost?",
            "The unit cost 6 is above the selling price 5.");
    assertThat(faults(slip).get(0)).startsWith("questions: 2 rows look like a slip");
  }

  @Test
  void one_item_stands_once_at_a_place() {
    assertThat(faults(sheet("Code|Quantity|Value", "HIVE|1|1", "hive|2|2")))
        .containsExactly("rows.1.c0: hive stands already in row 1; put both together in one row.");
  }

  @Test
  void lots_and_serial_numbers_are_as_many_as_the_goods() {
    OpeningStock paper =
        (OpeningStock)
            read(sheet("Code|Quantity|Value|Serials", "EX|2|50.01|EX-1, EX-2"))
                .paper()
                .orElseThrow();
    assertThat(paper.plan(book).events())
        .extracting(e -> e.value().minor())
        .containsExactly(2501L, 2500L);
    assertThat(faults(sheet("Code|Quantity|Value|Serials", "EX|2|50|EX-1")).get(0))
        .contains("1 of 2 are given");
    assertThat(faults(sheet("Code|Quantity|Value|Serials", "HIVE|2|50|EX-1")).get(0))
        .contains("is not told apart");
  }

  @Test
  void a_closed_first_month_takes_no_opening() {
    book.firstOpenDay = LocalDate.of(2025, 2, 1);
    assertThat(faults(sheet("Code|Quantity|Value", "HIVE|1|1")).get(0))
        .contains("that month is closed");
  }

  @Test
  void the_form_of_the_figures_is_found_from_the_whole_sheet() {
    Draft comma = sheet("Code|Quantity|Value", "HIVE|3|0,333", "FRAME|1.000|2,50");
    assertThat(comma.form()).isEqualTo(Form.COMMA);
    assertThat(comma.field(Sheet.FORM_KNOWN)).isEqualTo("yes");
    Sheet told =
        new Sheet(
            List.of("Code", "Quantity"),
            List.of(List.of("HIVE", "1.250")),
            Optional.of(Form.COMMA));
    assertThat(told.asOpeningStock("x").form()).isEqualTo(Form.COMMA);
  }

  @Test
  void balances_are_debit_and_credit_or_one_with_a_sign_and_zero_is_left_out() {
    Draft two =
        new Sheet(
                List.of("Account", "Debit", "Credit"),
                List.of(
                    List.of("1200", "100", ""),
                    List.of("7000", "", "30"),
                    List.of("1", "0", "0.00")))
            .asOpeningBalances();
    assertThat(two.rows()).extracting(r -> r.get("account")).containsExactly("1200", "7000");
    Draft one =
        new Sheet(
                List.of("Code", "Balance"),
                List.of(
                    List.of("1200", "100"),
                    List.of("7000", "-30"),
                    List.of("7000", "−5"),
                    List.of("1", "0")))
            .asOpeningBalances();
    assertThat(one.rows())
        .extracting(r -> r.get("debit") + "/" + r.get("credit"))
        .containsExactly("100/null", "null/30", "null/5");
    assertThatThrownBy(() -> new Sheet(List.of("Code", "Debit"), List.of()).asOpeningBalances())
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("must hold the headings account");
  }

  @Test
  void goods_that_were_opened_before_are_asked_about() {
    book.costs.put(SmallBook.HIVE.id(), new Catalogue.LatestCost(1, 1_000_000));
    book.opened = 4_000_000;
    assertThat(read(sheet("Code|Quantity|Value", "HIVE|1|1")).notes())
        .extracting(f -> f.says())
        .containsExactly("4 of The hive are there on the first day already; these come on top.");
  }

  @Test
  void codes_and_names_have_room_and_no_more() {
    String heads = "Code|Name|Quantity|Value";
    assertThat(faults(sheet(heads, "x".repeat(41) + "|New|1|1")).get(0))
        .isEqualTo("rows.0.c0: A code may be 40 letters long.");
    assertThat(faults(sheet(heads, "x".repeat(40) + "|" + "y".repeat(121) + "|1|1")).get(0))
        .isEqualTo("rows.0.c1: A name may be 120 letters long.");
    assertThat(faults(sheet(heads, "x".repeat(40) + "|" + "y".repeat(120) + "|1|1"))).isEmpty();
  }

  @Test
  void new_items_stand_with_their_group_and_price_and_are_told_apart_by_their_row() {
    OpeningStock paper =
        (OpeningStock)
            read(sheet(
                    "Code|Name|Group|Quantity|Value|Price",
                    "N-1|One|Tools|1|1|2.50",
                    "N-2|Two||0||"))
                .paper()
                .orElseThrow();
    assertThat(paper.newcomers())
        .extracting(n -> n.item().id() + " " + n.group() + " " + n.price())
        .containsExactly("-1 Tools 2.50", "-2  null");
    assertThat(read(sheet("Code|Quantity|Value", "HIVE|1|1")).paper().orElseThrow().newcomers())
        .isEmpty();
  }

  @Test
  void no_goods_have_no_value() {
    String heads = "Code|Quantity|Unit cost|Value";
    assertThat(faults(sheet(heads, "HIVE|0||5.00")).get(0))
        .isEqualTo("rows.0.c3: A value of 5.00 without any goods; give the quantity or write 0.");
    assertThat(faults(sheet(heads, "HIVE|0||0"))).isEmpty();
    assertThat(faults(sheet(heads, "HIVE|0|3|"))).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "rows.0.c1, On hand",
    "rows.0.c2, column 3",
    "rows.0.c8, column 9",
    "rows.0.unit_price, unit price",
    "cut_over, cut over"
  })
  void a_fault_names_the_column_as_the_sheet_does(String cell, String words) {
    Draft draft = with(sheet("Code|On hand| ", "HIVE|1|"), "headings", "Code\tOn hand\t ");
    assertThat(OpeningStockReader.columnWords(draft, cell)).isEqualTo(words);
  }

  @Test
  void a_number_has_its_places_and_is_not_below_zero() {
    String heads = "Code|Quantity|Value";
    assertThat(faults(sheet(heads, "HIVE|1.0000001|1")).get(0))
        .isEqualTo("rows.0.c1: 1.0000001 has more than 6 digits after the point.");
    assertThat(faults(sheet(heads, "HIVE|123456789012|1")).get(0))
        .isEqualTo("rows.0.c1: 123456789012 is larger than this book can hold.");
    assertThat(faults(sheet(heads, "HIVE|12345678901|1"))).isEmpty();
    assertThat(faults(sheet(heads, "HIVE|1|-0.01")).get(0)).contains("is below zero");
    assertThat(faults(sheet(heads, "HIVE|1.10|1"))).isEmpty();
  }
}
