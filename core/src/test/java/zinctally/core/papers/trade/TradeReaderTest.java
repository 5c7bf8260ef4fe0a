package zinctally.core.papers.trade;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.COST;
import static zinctally.core.papers.SmallBook.FENWICK;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.ORRIN;
import static zinctally.core.papers.SmallBook.RENT;
import static zinctally.core.papers.SmallBook.SALES;
import static zinctally.core.papers.SmallBook.apart;
import static zinctally.core.papers.SmallBook.on;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Spot;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.money.OpenItem;
import zinctally.core.papers.plan.Plan;

class TradeReaderTest {
  private final SmallBook book = new SmallBook();

  private static Written bill() {
    return Written.of(PaperKind.BILL);
  }

  private static Written invoice() {
    return Written.of(PaperKind.INVOICE);
  }

  private static Written hives(Written paper, String quantity, String price, String... more) {
    String[] cells = new String[6 + more.length];
    System.arraycopy(
        new String[] {"item", "HIVE", "quantity", quantity, "price", price}, 0, cells, 0, 6);
    System.arraycopy(more, 0, cells, 6, more.length);
    return paper.line(cells);
  }

  @Test
  void goods_of_a_bill_come_in_at_their_price_and_are_owed_with_tax() {
    Plan plan = book.plan(hives(bill(), "10", "6.00", "tax", "S"));
    assertThat(plan.events())
        .containsExactly(
            new Plan.Event(
                new Spot(0, 0),
                EventKind.IN,
                HIVE.id(),
                new Quantity(10_000_000),
                new Money(6000),
                Plan.Target.NONE,
                0,
                null,
                null,
                null));
    assertThat(plan.moves())
        .containsExactly(new Plan.Move(new Spot(0, 0), HIVE.id(), 1, new Quantity(10_000_000)));
    assertThat(on(plan, Role.PURCHASE_TAX)).isEqualTo(1200);
    assertThat(on(plan, Role.PAYABLES)).isEqualTo(-7200);
    assertThat(apart(plan)).isZero();
    assertThat(plan.dues().get(0).amount().minor()).isEqualTo(-7200);
    assertThat(plan.dues().get(0).due()).isEqualTo(LocalDate.of(2026, 12, 4));
  }

  @Test
  void goods_of_an_invoice_go_at_the_cost_the_pool_gives_and_earn_their_price() {
    Plan plan = book.plan(hives(invoice(), "2", "10.00", "tax", "S"));
    assertThat(plan.events())
        .containsExactly(
            new Plan.Event(
                new Spot(0, 0),
                EventKind.OUT,
                HIVE.id(),
                new Quantity(2_000_000),
                Money.ZERO,
                Plan.Target.NONE,
                COST,
                null,
                null,
                null));
    assertThat(plan.moves().get(0).quantity().micros()).isEqualTo(-2_000_000);
    assertThat(on(plan, SALES)).isEqualTo(-2000);
    assertThat(on(plan, Role.SALES_TAX)).isEqualTo(-400);
    assertThat(on(plan, Role.RECEIVABLES)).isEqualTo(2400);
    assertThat(apart(plan)).isZero();
  }

  @Test
  void a_price_with_tax_is_divided_into_both() {
    Plan plan = book.plan(hives(invoice(), "1", "12.00", "tax", "S").with("prices", "included"));
    assertThat(on(plan, SALES)).isEqualTo(-1000);
    assertThat(on(plan, Role.SALES_TAX)).isEqualTo(-200);
  }

  @Test
  void the_price_is_for_the_unit_that_is_typed() {
    Plan plan = book.plan(hives(bill(), "2 box", "24.00"));
    assertThat(plan.events().get(0).quantity().micros()).isEqualTo(24_000_000);
    assertThat(plan.events().get(0).value().minor()).isEqualTo(4800);
  }

  @ParameterizedTest
  @CsvSource({
    "discount, 25, 3000",
    "discount, 100, 0",
    "at, 8.00, 3200",
    "at, 10.00, 4000",
  })
  void a_discount_is_percent_or_a_new_price(String column, String typed, long net) {
    Plan plan = book.plan(hives(invoice(), "4", "10.00", column, typed));
    assertThat(on(plan, SALES)).isEqualTo(-net);
  }

  @ParameterizedTest
  @CsvSource({
    "discount, 100.5, 'rows.0.discount: A discount is between 0 and 100 percent.'",
    "discount, -1, 'rows.0.discount: A discount is between 0 and 100 percent.'",
    "at, 10.01, 'rows.0.at: The new price is between 0 and 10.00.'",
    "price, -1, 'rows.0.price: A price is not below zero; write what comes off as its own line or discount.'",
    "price, '', 'rows.0.price: At what price? Write 0 for goods that cost nothing.'",
    "quantity, 0, 'rows.0.quantity: The quantity must be above zero; what comes back is a return.'",
    "tax, Q, 'rows.0.tax: There is no tax rate \"Q\"; Set up lists them.'",
    "place, Moon, 'rows.0.place: There is no place called \"Moon\".'",
  })
  void what_cannot_be_is_said_at_its_cell(String column, String typed, String says) {
    Written sale =
        invoice()
            .line(
                "item",
                "HIVE",
                "quantity",
                column.equals("quantity") ? typed : "1",
                "price",
                column.equals("price") ? typed : "10.00",
                column,
                typed);
    assertThat(book.faults(sale)).containsExactly(says);
  }

  @Test
  void percent_off_and_a_new_price_exclude_each_other() {
    assertThat(book.faults(hives(invoice(), "1", "10", "discount", "5", "at", "9")))
        .containsExactly("rows.0.at: Percent off, or the new price: leave one of the two empty.");
  }

  @Test
  void what_comes_off_the_whole_is_spread_over_the_lines_before_tax() {
    Written sale =
        hives(hives(invoice(), "1", "30.00", "tax", "S"), "1", "10.00").with("off", "10%");
    Plan plan = book.plan(sale);
    assertThat(on(plan, SALES)).isEqualTo(-3600);
    assertThat(on(plan, Role.SALES_TAX)).isEqualTo(-540);
    assertThat(on(book.plan(sale.with("off", "40.00")), SALES)).isZero();
    assertThat(book.faults(sale.with("off", "40.01")))
        .containsExactly("off: Between 0 and 40.00, which is all of it, can come off the whole.");
    assertThat(book.faults(sale.with("off", "101%")))
        .containsExactly("off: Between 0 and 100 % can come off the whole.");
  }

  @Test
  void tax_is_rounded_by_line_or_on_the_sum_of_a_rate_as_the_book_says() {
    Written sale = invoice();
    for (int i = 0; i < 3; i++) hives(sale, "1", "0.12", "tax", "S");
    assertThat(on(book.plan(sale), Role.SALES_TAX)).isEqualTo(-6);
    book.taxOnSums = true;
    assertThat(on(book.plan(sale), Role.SALES_TAX)).isEqualTo(-7);
  }

  @Test
  void lines_on_accounts_are_expenses_or_part_of_what_the_goods_cost() {
    Written bill =
        bill()
            .line("item", "HIVE", "quantity", "3", "price", "10.00")
            .line("item", "FRAME", "quantity", "1", "price", "10.00")
            .line("item", "7000 Carriage", "price", "8.00");
    Plan expense = book.plan(bill);
    assertThat(on(expense, RENT)).isEqualTo(800);
    assertThat(expense.lines()).anyMatch(l -> l.memo().equals("Carriage"));
    Plan byValue = book.plan(bill.with("charges", "value"));
    assertThat(byValue.events()).extracting(e -> e.value().minor()).containsExactly(3600L, 1200L);
    assertThat(on(byValue, RENT)).isZero();
    assertThat(apart(byValue)).isZero();
    assertThat(book.plan(bill.with("charges", "quantity")).events())
        .extracting(e -> e.value().minor())
        .containsExactly(3600L, 1200L);
    assertThat(book.faults(bill.with("charges", "weight")).get(0))
        .startsWith("charges: The weight of The hive, The frame is not known");
  }

  @Test
  void a_control_account_takes_no_line() {
    assertThat(book.faults(bill().line("item", "1400", "price", "8.00")))
        .singleElement()
        .asString()
        .startsWith("rows.0.item: ");
  }

  @Test
  void a_service_moves_no_goods() {
    Plan plan = book.plan(invoice().line("item", "ADVICE", "quantity", "1", "price", "50"));
    assertThat(plan.events()).isEmpty();
    assertThat(plan.moves()).isEmpty();
    assertThat(on(plan, SALES)).isEqualTo(-5000);
  }

  @Test
  void an_empty_paper_says_what_it_wants() {
    assertThat(book.faults(bill()))
        .containsExactly("rows.0.item: There is no line yet: name an item and how many.");
    assertThat(book.faults(hives(bill().with("supplier", ""), "1", "1")))
        .containsExactly("supplier: Which supplier? A name is enough.");
  }

  @Test
  void dates_are_open_days_not_before_the_books_began() {
    book.firstOpenDay = LocalDate.of(2026, 11, 1);
    Written bill = hives(bill(), "1", "1");
    assertThat(book.faults(bill.with("date", "2024-12-31")).get(0))
        .contains("before the cut-over date 2025-01-01");
    assertThat(book.faults(bill.with("date", "2026-10-31")).get(0))
        .contains("in a closed period; the first open day is 2026-11-01");
    assertThat(book.faults(bill.with("date", "2026-11-01"))).isEmpty();
    assertThat(book.faults(bill.with("date", "2027-11-26")).get(0)).contains("more than a year");
    assertThat(book.faults(bill.with("date", "2027-11-25"))).isEmpty();
    assertThat(book.notes(bill.with("date", "2026-11-26")))
        .contains("2026-11-26 is in the future.");
    assertThat(book.notes(bill.with("date", "2026-11-25"))).isEmpty();
    assertThat(book.faults(bill.with("date", "2026-11-20").with("due", "2026-11-19")).get(0))
        .startsWith("due: Due on 2026-11-19, which is before the paper's date");
    assertThat(book.faults(bill.with("due", "2026-11-20"))).isEmpty();
  }

  @Test
  void a_number_of_theirs_that_came_before_is_asked_about_once() {
    book.numbersOfTheirs.put("OJ-1", "B-2026-0007");
    Written bill = hives(bill(), "1", "1").with("their_number", "OJ-1");
    assertThat(book.faults(bill))
        .containsExactly("their_number: B-2026-0007 bears the same number.");
    assertThat(book.faults(bill.agreed(book))).isEmpty();
    assertThat(book.notes(bill)).contains("B-2026-0007 bears the same number.");
  }

  @Test
  void a_customer_may_owe_up_to_the_limit_and_is_asked_about_beyond() {
    book.limits.put(FENWICK.id(), 10_000L);
    book.open.add(
        new OpenItem(
            1, FENWICK.id(), "INV-1", LocalDate.EPOCH, LocalDate.EPOCH, 9000, 8800, "INV-1"));
    assertThat(book.faults(hives(invoice(), "1", "12.00"))).isEmpty();
    assertThat(book.faults(hives(invoice(), "1", "12.01")))
        .containsExactly("customer: Fenwick Garden would owe 100.01; the limit is 100.00.");
  }

  @Test
  void what_is_promised_to_older_orders_is_asked_about() {
    book.promised = new Catalogue.Promised(10_000_000, 4_000_000, "SO-2026-0001");
    assertThat(book.faults(hives(invoice(), "6", "10"))).isEmpty();
    assertThat(book.faults(hives(invoice(), "7", "10")))
        .containsExactly(
            "rows.0.quantity: Of 10 at Barn store, 4 are promised before, first to SO-2026-0001;"
                + " 6 are free, and this takes 7.");
    assertThat(book.faults(hives(hives(invoice(), "6", "10"), "1", "10"))).hasSize(1);
    assertThat(book.faults(hives(invoice(), "11", "10")))
        .as("more than is here is short stock's affair")
        .isEmpty();
  }

  @Test
  void what_is_sold_under_its_cost_is_noted() {
    book.costs.put(HIVE.id(), new Catalogue.LatestCost(1000, 1_000_000));
    assertThat(book.notes(hives(invoice(), "2", "10.00"))).isEmpty();
    assertThat(book.notes(hives(invoice(), "2", "9.99")))
        .containsExactly("The hive is sold at 9.99, under its present cost of 10.00.");
    assertThat(book.read(hives(invoice(), "2", "16.00")).rows().get(0).beside())
        .containsEntry("margin", "38 %");
  }

  @Test
  void who_and_what_is_new_is_made_and_who_is_switched_off_is_refused() {
    Written bill = hives(bill().with("supplier", "Brand New"), "1", "1");
    assertThat(book.notes(bill)).contains("Brand New is new and will be made a supplier.");
    assertThat(book.paper(bill).party().orElseThrow())
        .isEqualTo(new Party(0, Party.Kind.SUPPLIER, "Brand New", 30, true));
    book.parties.add(new Party(9, Party.Kind.SUPPLIER, "Gone Ltd", 0, false));
    assertThat(book.faults(bill.with("supplier", "Gone Ltd")).get(0)).contains("is switched off");
    Written unknown = bill().line("item", "Smoker", "quantity", "1", "price", "5");
    assertThat(book.faults(unknown).get(0)).contains("is no item yet. Shall it be made one");
    assertThat(book.paper(unknown.agreed(book)).items().get(0).id()).isNegative();
    assertThat(book.paper(unknown).withItems(i -> i.withId(77)).items().get(0).id()).isEqualTo(77);
  }

  @Test
  void amounts_too_large_for_the_book_are_refused() {
    assertThat(book.faults(hives(bill(), "1000000000", "1000000000")))
        .singleElement()
        .asString()
        .contains("larger than any amount this book can hold");
    assertThat(book.faults(hives(bill(), "1", "1234567890123")))
        .singleElement()
        .asString()
        .contains("larger than any amount this book can hold");
  }

  @Test
  void a_figure_that_others_read_otherwise_is_asked_about() {
    assertThat(book.faults(hives(bill(), "1,250", "1.00")))
        .singleElement()
        .asString()
        .startsWith("rows.0.quantity: \"1,250\" is taken as thousands, 1250.");
  }

  @Test
  void its_head_rows_and_sums_say_what_is_kept_of_it() {
    Written bill = hives(bill().with("their_number", "OJ-7"), "2", "10.00", "tax", "S");
    var paper = book.paper(bill);
    assertThat(paper.head().reference()).isEqualTo("OJ-7");
    assertThat(paper.head().net()).isEqualTo(2000);
    assertThat(paper.head().tax()).isEqualTo(400);
    assertThat(paper.rows())
        .singleElement()
        .satisfies(
            row -> {
              assertThat(row.net()).isEqualTo(2000);
              assertThat(row.quantity().micros()).isEqualTo(2_000_000);
              assertThat(row.from().isThere()).isFalse();
            });
    assertThat(paper.sums())
        .extracting(s -> s.words() + " " + s.amount())
        .isEqualTo(List.of("Without tax 2000", "VAT 400", "Total 2400"));
    assertThat(
            paper
                .withParties(p -> new Party(5, p.kind(), p.name(), 0, true))
                .party()
                .orElseThrow()
                .id())
        .isEqualTo(5);
    assertThat(paper.party()).contains(ORRIN);
  }
}
