package zinctally.core.papers.back;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.COST;
import static zinctally.core.papers.SmallBook.EXTRACTOR;
import static zinctally.core.papers.SmallBook.FENWICK;
import static zinctally.core.papers.SmallBook.FRAME;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.HONEY;
import static zinctally.core.papers.SmallBook.ORRIN;
import static zinctally.core.papers.SmallBook.RENT;
import static zinctally.core.papers.SmallBook.STANDARD;
import static zinctally.core.papers.SmallBook.apart;
import static zinctally.core.papers.SmallBook.on;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.cost.EventKind;
import zinctally.core.goods.Item;
import zinctally.core.goods.Lot;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.money.OpenItem;
import zinctally.core.papers.plan.Plan;

class ReturnReadersTest {
  private static final LocalDate DAY = LocalDate.of(2026, 11, 10);
  private final SmallBook book = new SmallBook();

  /** Ten of an item for 60.00 and tax, of which so many have gone or come back. */
  private void traded(PaperKind kind, String number, int line, Item item, long returned) {
    long party = kind.side().orElseThrow() == ORRIN.kind() ? ORRIN.id() : FENWICK.id();
    book.traded.add(
        new Traded(
            500 + line,
            kind,
            40,
            number,
            DAY,
            line,
            party,
            item,
            10_000_000,
            returned * 1_000_000,
            5000,
            6000,
            STANDARD,
            0,
            Map.of(),
            "",
            null));
  }

  private static Written back(PaperKind kind, String paper, String quantity) {
    return Written.of(kind).line("paper", paper, "quantity", quantity);
  }

  @Test
  void goods_go_back_out_of_their_own_arrival_for_credit_at_the_bills_price() {
    traded(PaperKind.BILL, "B-1", 0, HIVE, 0);
    Plan plan = book.plan(back(PaperKind.SUPPLIER_RETURN, "B-1", "4"));
    assertThat(plan.events())
        .singleElement()
        .satisfies(
            e -> {
              assertThat(e.kind()).isEqualTo(EventKind.OUT);
              assertThat(e.target()).isEqualTo(new Plan.Earlier(500));
              assertThat(e.contra()).isEqualTo(book.account(Role.PRICE_DIFFERENCES).id());
            });
    assertThat(on(plan, Role.PAYABLES)).isEqualTo(2880);
    assertThat(on(plan, Role.PURCHASE_TAX)).isEqualTo(-480);
    assertThat(on(plan, Role.PRICE_DIFFERENCES)).isEqualTo(-2400);
    assertThat(plan.dues().get(0).amount().minor()).isEqualTo(2880);
    var paper = book.paper(back(PaperKind.SUPPLIER_RETURN, "B-1", "4"));
    assertThat(paper.head().net()).isEqualTo(2400);
    assertThat(paper.rows().get(0).tax()).isEqualTo(480);
    assertThat(paper.rows().get(0).from().paper()).isEqualTo(40);
    assertThat(paper.soldWith()).isEqualTo(40);
  }

  @Test
  void goods_come_back_at_the_cost_at_which_they_left_and_are_credited() {
    traded(PaperKind.INVOICE, "INV-1", 0, HIVE, 3);
    Plan plan = book.plan(back(PaperKind.CUSTOMER_RETURN, "INV-1", "7"));
    assertThat(plan.events())
        .singleElement()
        .satisfies(
            e -> {
              assertThat(e.kind()).isEqualTo(EventKind.BACK);
              assertThat(e.contra()).isEqualTo(COST);
            });
    assertThat(plan.moves().get(0).quantity().micros()).isEqualTo(7_000_000);
    assertThat(on(plan, Role.RECEIVABLES)).isEqualTo(-5040);
    assertThat(on(plan, Role.SALES_TAX)).isEqualTo(840);
    assertThat(on(plan, Role.SALES_RETURNS)).isEqualTo(4200);
    assertThat(apart(plan)).isZero();
    assertThat(book.faults(back(PaperKind.CUSTOMER_RETURN, "INV-1", "8")))
        .containsExactly(
            "rows.0.quantity: 7 of The hive on INV-1 can still go back; of 10 there, 3 have.");
  }

  @Test
  void money_back_takes_the_place_of_credit() {
    traded(PaperKind.INVOICE, "INV-1", 0, HIVE, 0);
    Plan plan = book.plan(back(PaperKind.CUSTOMER_RETURN, "INV-1", "1").with("back", "1200"));
    assertThat(on(plan, Role.MONEY)).isEqualTo(-720);
    assertThat(plan.dues()).isEmpty();
    assertThat(book.faults(back(PaperKind.CUSTOMER_RETURN, "INV-1", "1").with("back", "7000")))
        .singleElement()
        .asString()
        .startsWith("back: Money back is from a bank");
  }

  @Test
  void what_is_thrown_away_comes_back_and_goes_out_at_the_same_cost() {
    traded(PaperKind.INVOICE, "INV-1", 0, HIVE, 0);
    Written broken =
        Written.of(PaperKind.CUSTOMER_RETURN)
            .line("paper", "INV-1", "quantity", "2", "goods", "Broken", "reason", "Wrong size");
    Plan plan = book.plan(broken);
    assertThat(plan.events())
        .extracting(Plan.Event::kind)
        .containsExactly(EventKind.BACK, EventKind.OUT);
    Plan.Event out = plan.events().get(1);
    assertThat(out.contra()).isEqualTo(RENT);
    assertThat(out.target()).isEqualTo(new Plan.Within(plan.events().get(0).spot()));
    assertThat(out.spot()).isGreaterThan(plan.events().get(0).spot());
    assertThat(plan.moves().stream().mapToLong(m -> m.quantity().micros()).sum()).isZero();
    assertThat(book.paper(broken).rows().get(0).reason().name()).isEqualTo("Wrong size");
  }

  @Test
  void one_line_takes_what_another_leaves() {
    traded(PaperKind.INVOICE, "INV-1", 0, HIVE, 0);
    Written twice =
        back(PaperKind.CUSTOMER_RETURN, "INV-1", "6").line("paper", "INV-1", "quantity", "4");
    assertThat(book.faults(twice)).isEmpty();
    assertThat(book.faults(twice.line("paper", "INV-1", "quantity", "1")).get(0))
        .startsWith("rows.2.quantity: 0 of The hive on INV-1 can still go back");
  }

  @Test
  void what_cannot_come_back_is_said_at_its_cell() {
    traded(PaperKind.INVOICE, "INV-1", 0, HIVE, 0);
    traded(PaperKind.INVOICE, "INV-1", 1, FRAME, 0);
    assertThat(book.faults(back(PaperKind.CUSTOMER_RETURN, "INV-1", "1")).get(0))
        .isEqualTo("rows.0.item: INV-1 has several lines; which item comes back?");
    assertThat(book.faults(back(PaperKind.SUPPLIER_RETURN, "INV-1", "1")).get(0))
        .startsWith("rows.0.paper: No bill or receipt \"INV-1\"");
    Written frames =
        Written.of(PaperKind.CUSTOMER_RETURN)
            .line("paper", "INV-1", "item", "FRAME", "quantity", "1");
    assertThat(book.faults(frames)).isEmpty();
    assertThat(book.faults(frames.with("date", "2026-11-09")).get(0))
        .contains("goods cannot come back before");
    assertThat(book.faults(frames.with("date", "2026-11-10").with("customer", "Other")).get(0))
        .contains("is not for Other");
    assertThat(
            book.faults(
                    Written.of(PaperKind.CUSTOMER_RETURN)
                        .line("paper", "INV-1", "item", "HONEY", "quantity", "1"))
                .get(0))
        .contains("does not stand on INV-1");
    assertThat(
            book.faults(
                Written.of(PaperKind.CUSTOMER_RETURN)
                    .line(
                        "paper",
                        "INV-1",
                        "item",
                        "HIVE",
                        "quantity",
                        "1",
                        "goods",
                        "Moon",
                        "reason",
                        "Whim")))
        .hasSize(2);
    assertThat(
            book.faults(
                    Written.of(PaperKind.CUSTOMER_RETURN)
                        .line("paper", "INV-1", "item", "HIVE", "quantity", "-1"))
                .get(0))
        .contains("How many come back?");
  }

  @Test
  void a_charge_of_after_its_day_goes_along_and_is_noted() {
    traded(PaperKind.BILL, "B-1", 0, HIVE, 0);
    book.charged.put(500L, List.of(new Catalogue.LateCharge("CH-1", LocalDate.of(2026, 11, 24))));
    assertThat(book.notes(back(PaperKind.SUPPLIER_RETURN, "B-1", "1")))
        .singleElement()
        .asString()
        .contains("CH-1 of 2026-11-24");
  }

  @Test
  void a_credit_note_takes_the_place_of_the_credit_that_was_due() {
    OpenItem item = new OpenItem(9, ORRIN.id(), "RS-1", DAY, DAY, 2880, 2880, "RS-1");
    book.credits.add(new CreditDue(item, "RS-1", DAY, 2400, 480, STANDARD));
    Written same = Written.of(PaperKind.SUPPLIER_CREDIT).line("paper", "RS-1");
    Plan equal = book.plan(same);
    assertThat(on(equal, Role.PRICE_DIFFERENCES)).isZero();
    assertThat(equal.settlements()).containsExactly(new Plan.Settlement(9, new Money(-2880)));
    assertThat(equal.dues().get(0).amount().minor()).isEqualTo(2880);
    Written less = Written.of(PaperKind.SUPPLIER_CREDIT).line("paper", "RS-1", "net", "20.00");
    Plan plan = book.plan(less);
    assertThat(on(plan, Role.PRICE_DIFFERENCES)).isEqualTo(400);
    assertThat(on(plan, Role.PURCHASE_TAX)).isEqualTo(80);
    assertThat(on(plan, Role.PAYABLES)).isEqualTo(-480);
    assertThat(apart(plan)).isZero();
    assertThat(book.notes(less).get(0)).contains("the 4.00 less is a purchase price difference");
    assertThat(book.faults(same.line("paper", "RS-1")).get(0)).contains("already on a line above");
    assertThat(book.faults(Written.of(PaperKind.SUPPLIER_CREDIT).line("paper", "RS-2")).get(0))
        .contains("No return \"RS-2\" waits");
    assertThat(
            book.faults(
                    Written.of(PaperKind.SUPPLIER_CREDIT)
                        .with("date", "2026-11-09")
                        .line("paper", "RS-1"))
                .get(0))
        .contains("its credit cannot come before");
  }

  @Test
  void a_serial_number_goes_back_with_its_own_arrival() {
    piece(1, 0);
    piece(2, 0);
    Written one =
        Written.of(PaperKind.SUPPLIER_RETURN)
            .line("paper", "B-1", "quantity", "1", "numbers", "EX-2");
    Plan plan = book.plan(one);
    assertThat(plan.events())
        .singleElement()
        .satisfies(e -> assertThat(e.target()).isEqualTo(new Plan.Earlier(602)));
    assertThat(plan.dues().get(0).amount().minor()).isEqualTo(5002);
    assertThat(book.faults(one.line("paper", "B-1", "quantity", "1", "numbers", "EX-2")))
        .anyMatch(f -> f.startsWith("rows.1.numbers: EX-2 "));
    assertThat(
            book.faults(
                Written.of(PaperKind.SUPPLIER_RETURN)
                    .line("paper", "B-1", "quantity", "1", "numbers", "EX-3")))
        .anyMatch(f -> f.contains("EX-3"));
  }

  @Test
  void no_more_of_a_lot_comes_back_than_went() {
    book.kept.add(
        new Catalogue.Kept(
            new Lot(7, HONEY.id(), "M-7", null), Map.of(), 0, DAY, "went with INV-1"));
    book.kept.add(
        new Catalogue.Kept(
            new Lot(8, HONEY.id(), "M-8", null), Map.of(), 0, DAY, "went with INV-1"));
    book.traded.add(
        new Traded(
            500,
            PaperKind.INVOICE,
            40,
            "INV-1",
            DAY,
            0,
            FENWICK.id(),
            HONEY,
            10_000_000,
            0,
            5000,
            6000,
            null,
            0,
            Map.of(7L, 8_000_000L, 8L, 2_000_000L),
            "",
            null));
    Written back =
        Written.of(PaperKind.CUSTOMER_RETURN)
            .line("paper", "INV-1", "quantity", "3", "numbers", "M-7: 1, M-8: 2");
    Plan plan = book.plan(back);
    assertThat(plan.moves())
        .extracting(m -> m.quantity().micros())
        .containsExactly(1_000_000L, 2_000_000L);
    assertThat(book.faults(back.line("paper", "INV-1", "quantity", "1", "numbers", "M-8")))
        .containsExactly("rows.1.numbers: 0 of lot M-8 on INV-1 can still go back, not 1.");
  }

  @Test
  void what_was_not_billed_yet_waits_no_longer_and_needs_no_credit() {
    unbilled(6000);
    Plan plan = book.plan(back(PaperKind.SUPPLIER_RETURN, "R-1", "4"));
    assertThat(plan.dues()).isEmpty();
    assertThat(on(plan, Role.RECEIVED_NOT_BILLED)).isEqualTo(2400);
    assertThat(plan.fills())
        .containsExactly(
            new Plan.Fill(
                0, 9, new Quantity(4_000_000), new Money(2400), LocalDate.of(2026, 11, 20)));
    assertThat(
            book.faults(
                back(PaperKind.SUPPLIER_RETURN, "R-1", "8").line("paper", "R-1", "quantity", "3")))
        .anyMatch(f -> f.startsWith("rows.1.quantity: 2 of The hive on R-1"));
  }

  @Test
  void what_goes_back_to_a_supplier_is_asked_about_when_it_is_promised() {
    traded(PaperKind.BILL, "B-1", 0, HIVE, 0);
    book.promised = new Catalogue.Promised(5_000_000, 4_000_000, "SO-1");
    assertThat(book.faults(back(PaperKind.SUPPLIER_RETURN, "B-1", "2")))
        .singleElement()
        .asString()
        .contains("promised before, first to SO-1");
    assertThat(book.faults(back(PaperKind.SUPPLIER_RETURN, "B-1", "0")))
        .containsExactly(
            "rows.0.paper: There is no line yet: which bill or receipt, which item, how many.");
    assertThat(book.faults(back(PaperKind.CUSTOMER_RETURN, "", "1")))
        .containsExactly("rows.0.paper: With which invoice or delivery did the goods go?");
    assertThat(book.faults(back(PaperKind.SUPPLIER_RETURN, "", "1")))
        .containsExactly("rows.0.paper: With which bill or receipt did the goods come?");
  }

  @Test
  void its_row_shows_the_item_and_what_is_credited() {
    traded(PaperKind.INVOICE, "INV-1", 0, HIVE, 0);
    Written all = back(PaperKind.CUSTOMER_RETURN, "INV-1", "10");
    assertThat(book.read(all).rows().get(0))
        .satisfies(
            f -> {
              assertThat(f.name()).isEqualTo("The hive");
              assertThat(f.unit()).isEqualTo("each");
              assertThat(f.amount()).isEqualTo(6000);
            });
    assertThat(book.paper(all).head().net()).isEqualTo(6000);
  }

  @Test
  void what_comes_back_goes_to_another_place_or_into_another_standing_when_that_is_said() {
    traded(PaperKind.INVOICE, "INV-1", 0, HIVE, 0);
    Written van = Written.of(PaperKind.CUSTOMER_RETURN);
    van.line("paper", "INV-1", "quantity", "2", "goods", "Market van");
    assertThat(book.plan(van).moves()).extracting(Plan.Move::place).containsExactly(2L);
    Written damaged = Written.of(PaperKind.CUSTOMER_RETURN);
    damaged.line("paper", "INV-1", "quantity", "2", "goods", "Damaged");
    assertThat(book.plan(damaged).moves())
        .as("a place that is not made yet")
        .extracting(Plan.Move::place)
        .containsExactly(0L);
    Written whim = Written.of(PaperKind.CUSTOMER_RETURN);
    whim.line("paper", "INV-1", "quantity", "2", "goods", "Moon", "reason", "Whim");
    assertThat(book.faults(whim))
        .containsExactlyInAnyOrder(
            "rows.0.reason: There is no reason \"Whim\" for returns; Set up lists them.",
            "rows.0.goods: \"Moon\" is neither a place for the goods, nor a standing, nor a reason"
                + " to write them off.");
  }

  @Test
  void what_the_customer_left_here_is_handed_over_before_it_comes_back() {
    traded(PaperKind.INVOICE, "INV-1", 0, HIVE, 2);
    book.awaited.add(
        new Awaited(
            11,
            Awaits.KEPT_HERE,
            PaperKind.INVOICE,
            40,
            "INV-1",
            DAY,
            FENWICK.id(),
            0,
            HIVE,
            3_000_000,
            0,
            3_000_000,
            0,
            0,
            null,
            null,
            Awaited.Order.NONE,
            List.of()));
    assertThat(book.faults(back(PaperKind.CUSTOMER_RETURN, "INV-1", "5"))).isEmpty();
    assertThat(book.faults(back(PaperKind.CUSTOMER_RETURN, "INV-1", "6")))
        .containsExactly(
            "rows.0.quantity: 3 of The hive that Fenwick Garden bought are still here as theirs."
                + " What comes back of these is handed over first.");
  }

  @Test
  void goods_that_were_billed_before_they_came_go_back_against_the_bill() {
    traded(PaperKind.BILL, "B-1", 0, HIVE, 0);
    received(5000, "B-1", null);
    traded(PaperKind.BILL, "B-1", 1, FRAME, 0);
    var paper = book.paper(back(PaperKind.SUPPLIER_RETURN, "R-1", "5"));
    assertThat(paper.rows()).singleElement().satisfies(r -> assertThat(r.tax()).isEqualTo(600));
    assertThat(paper.rows().get(0).item()).isEqualTo(HIVE);
  }

  @Test
  void of_goods_of_several_arrivals_the_first_go_first_and_a_line_that_is_all_back_is_passed() {
    traded(PaperKind.INVOICE, "INV-1", 0, HIVE, 10);
    traded(PaperKind.INVOICE, "INV-1", 1, HIVE, 4);
    Plan plan = book.plan(hives("6"));
    assertThat(plan.events())
        .singleElement()
        .satisfies(e -> assertThat(e.target()).isEqualTo(new Plan.Earlier(501)));
    assertThat(book.faults(hives("7")))
        .containsExactly(
            "rows.0.quantity: 6 of The hive on INV-1 can still go back; of 10 there, 4 have.");
  }

  @Test
  void serial_numbers_of_two_lines_of_a_bill_go_back_on_two_lines() {
    piece(1, 1);
    piece(2, 2);
    Written both =
        Written.of(PaperKind.SUPPLIER_RETURN)
            .line("paper", "B-1", "item", "EX", "quantity", "2", "numbers", "EX-1, EX-2");
    assertThat(book.faults(both))
        .containsExactly(
            "rows.0.numbers: EX-2 stands on another line of B-1; write it on a line of its own"
                + " here.");
  }

  /** Ten at 60.01 are here and not billed: of these 3, 4 and 3 go back. */
  @Test
  void what_is_not_billed_goes_back_bit_by_bit_for_all_it_stands_at() {
    unbilled(6001);
    Written bits = back(PaperKind.SUPPLIER_RETURN, "R-1", "3");
    bits.line("paper", "R-1", "quantity", "4").line("paper", "R-1", "quantity", "3");
    assertThat(book.plan(bits).fills())
        .extracting(f -> f.quantity() + " " + f.value().minor())
        .containsExactly("3 1800", "4 2401", "3 1800");
    assertThat(on(book.plan(bits), Role.RECEIVED_NOT_BILLED)).isEqualTo(6001);
    assertThat(book.faults(bits.line("paper", "R-1", "quantity", "1")).get(0))
        .startsWith("rows.3.quantity: 0 of The hive on R-1");
  }

  private void unbilled(long value) {
    Awaited waits =
        new Awaited(
            9,
            Awaits.RECEIVED_BILL,
            PaperKind.RECEIPT,
            41,
            "R-1",
            DAY,
            ORRIN.id(),
            0,
            HIVE,
            10_000_000,
            value,
            10_000_000,
            value,
            value,
            null,
            null,
            Awaited.Order.NONE,
            List.of());
    received(value, "", waits);
  }

  /** Ten hives that came with a receipt. */
  private void received(long value, String billedWith, Awaited unbilled) {
    book.traded.add(
        new Traded(
            500,
            PaperKind.RECEIPT,
            41,
            "R-1",
            DAY,
            0,
            ORRIN.id(),
            HIVE,
            10_000_000,
            0,
            value,
            value,
            null,
            0,
            Map.of(),
            billedWith,
            unbilled));
  }

  /** A numbered piece that is here, for so many pence over fifty, and its line of a bill. */
  private void piece(long id, int line) {
    book.kept.add(
        new Catalogue.Kept(
            new Lot(id, EXTRACTOR.id(), "EX-" + id, null),
            Map.of(1L, Quantity.ONE),
            600 + id,
            DAY,
            "at Barn store"));
    book.traded.add(
        new Traded(
            600 + id,
            PaperKind.BILL,
            40,
            "B-1",
            DAY,
            line,
            ORRIN.id(),
            EXTRACTOR,
            Quantity.ONE,
            0,
            5000 + id,
            5000 + id,
            null,
            id,
            Map.of(),
            "",
            null));
  }

  private static Written hives(String quantity) {
    return Written.of(PaperKind.CUSTOMER_RETURN)
        .line("paper", "INV-1", "item", "HIVE", "quantity", quantity);
  }
}
