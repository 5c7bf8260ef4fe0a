package zinctally.core.papers.consign;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.BARN;
import static zinctally.core.papers.SmallBook.COST;
import static zinctally.core.papers.SmallBook.EXTRACTOR;
import static zinctally.core.papers.SmallBook.FENWICK;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.HONEY;
import static zinctally.core.papers.SmallBook.ORRIN;
import static zinctally.core.papers.SmallBook.RENT;
import static zinctally.core.papers.SmallBook.VAN;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.goods.Item;
import zinctally.core.goods.Lot;
import zinctally.core.ledger.Role;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Allowed;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.Standing;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.plan.Plan;

/** Goods of suppliers here, ours at customers', customers' that stay. */
class ConsignReadersTest {
  private static final LocalDate SOLD = LocalDate.of(2026, 11, 10);
  private static final Place THEIRS = of(8, BARN, ORRIN);
  private final SmallBook book = new SmallBook();

  private static Place of(long id, Place at, Party owner) {
    Place fresh = at.fresh(Standing.GOOD, owner);
    return new Place(
        id, fresh.name(), at.kind(), at.at(), at.site(), Standing.GOOD, owner, at.host());
  }

  @BeforeEach
  void orrin_has_five_here_at_ten_each() {
    book.places.add(THEIRS);
    book.consigned.add(new Catalogue.Consigned(THEIRS, 5 * Quantity.ONE, 0));
    book.onHand = Quantity.ONE;
    book.terms = terms("10", null);
  }

  private static Terms terms(String each, String percent) {
    return new Terms(
        each == null ? null : new BigDecimal(each),
        percent == null ? null : new BigDecimal(percent),
        null,
        Terms.Discounts.BOTH,
        true);
  }

  private void owed(long id, String number, Item item, long many, long value, long event) {
    long micros = many * Quantity.ONE;
    book.awaited.add(
        new Awaited(
            id,
            Awaits.CONSIGNED_SOLD,
            PaperKind.INVOICE,
            70,
            number,
            SOLD,
            ORRIN.id(),
            0,
            item,
            micros,
            value,
            micros,
            value,
            0,
            null,
            null,
            Awaited.Order.NONE,
            event == 0 ? List.of() : List.of(new Awaited.Arrival(event, SOLD, micros))));
  }

  private static List<String> events(Plan plan) {
    return plan.events().stream()
        .map(e -> e.kind() + " " + e.quantity() + " " + e.value().minor() + " " + e.contra())
        .toList();
  }

  private static List<String> moves(Plan plan) {
    return plan.moves().stream().map(m -> m.place() + ": " + m.quantity()).toList();
  }

  private static Written sale(String... cells) {
    return Written.of(PaperKind.INVOICE).line(cells);
  }

  @Test
  void ours_goes_first_then_theirs_comes_in_at_what_is_owed_and_leaves_at_that() {
    Written sale = sale("item", "HIVE", "quantity", "3", "price", "15");
    Plan plan = book.plan(sale);
    assertThat(events(plan)).containsExactly("OUT 1 0 " + COST, "IN 2 2000 0", "OUT 2 0 " + COST);
    assertThat(plan.events().get(2).target())
        .isEqualTo(new Plan.Within(plan.events().get(1).spot()));
    assertThat(moves(plan)).containsExactly("1: -1", "8: -2", "1: 2", "1: -2");
    assertThat(SmallBook.on(plan, Role.OWED_FOR_CONSIGNED)).isEqualTo(-2000);
    assertThat(SmallBook.apart(plan)).isZero();
    assertThat(plan.awaits())
        .singleElement()
        .satisfies(
            w -> {
              assertThat(w.what()).isEqualTo(Awaits.CONSIGNED_SOLD);
              assertThat(w.party()).isEqualTo(ORRIN.id());
              assertThat(w.value().orElseThrow().minor()).isEqualTo(2000);
            });
    assertThat(book.notes(sale))
        .contains("2 of The hive are Orrin Joinery's; owed for it: 20.00 (10.00 each).");
  }

  @Test
  void two_lines_do_not_take_the_last_of_ours_twice() {
    Plan plan =
        book.plan(
            sale("item", "HIVE", "quantity", "1", "price", "15")
                .line("item", "HIVE", "quantity", "1", "price", "15"));
    assertThat(moves(plan)).containsExactly("1: -1", "8: -1", "1: 1", "1: -1");
  }

  @Test
  void a_share_is_of_the_price_without_tax_and_with_its_discount() {
    book.onHand = 0;
    book.terms = terms(null, "40");
    Plan plan =
        book.plan(
            sale("item", "HIVE", "quantity", "2", "price", "24", "discount", "10", "tax", "S")
                .with("prices", "included"));
    assertThat(SmallBook.on(plan, Role.OWED_FOR_CONSIGNED)).isEqualTo(-1440);
  }

  @Test
  void a_version_keeps_what_the_one_before_took_of_theirs() {
    book.consigned.set(0, new Catalogue.Consigned(THEIRS, 5 * Quantity.ONE, 2 * Quantity.ONE));
    book.onHand = 9 * Quantity.ONE;
    assertThat(moves(book.plan(sale("item", "HIVE", "quantity", "3", "price", "15"))))
        .containsExactly("1: -1", "8: -2", "1: 2", "1: -2");
    assertThat(moves(book.plan(sale("item", "HIVE", "quantity", "1", "price", "15"))))
        .containsExactly("8: -1", "1: 1", "1: -1");
  }

  @Test
  void what_nobody_has_is_taken_from_ours_where_it_is_found_missing() {
    assertThat(moves(book.plan(sale("item", "HIVE", "quantity", "8", "price", "15"))))
        .containsExactly("1: -3", "8: -5", "1: 5", "1: -5");
  }

  @Test
  void a_line_that_names_their_place_takes_theirs_and_another_standing_is_not_sold() {
    book.onHand = 9 * Quantity.ONE;
    Plan plan =
        book.plan(sale("item", "HIVE", "quantity", "1", "price", "15", "place", THEIRS.name()));
    assertThat(moves(plan)).containsExactly("8: -1", "1: 1", "1: -1");
    Place broken = BARN.fresh(SmallBook.SECONDS, ORRIN);
    book.places.add(broken);
    assertThat(
            book.faults(
                sale("item", "HIVE", "quantity", "1", "price", "15", "place", broken.name())))
        .anyMatch(f -> f.contains("is not sold; a transfer puts it in the standing Good"));
  }

  @Test
  void serial_numbers_and_lots_say_whose_they_are() {
    book.kept.add(kept(5, EXTRACTOR, "EX-1", THEIRS, 1));
    book.kept.add(kept(6, EXTRACTOR, "EX-2", BARN, 1));
    Plan plan =
        book.plan(sale("item", "EX", "quantity", "2", "price", "15", "numbers", "EX-1, EX-2"));
    assertThat(events(plan)).containsExactly("OUT 1 0 " + COST, "IN 1 1000 0", "OUT 1 0 " + COST);
    assertThat(plan.events().get(1).lot().code()).isEqualTo("EX-1");
    book.kept.add(
        new Catalogue.Kept(
            new Lot(7, HONEY.id(), "L", null),
            Map.of(BARN.id(), 2 * Quantity.ONE, THEIRS.id(), 2 * Quantity.ONE),
            0,
            SOLD,
            "it is here"));
    assertThat(
            moves(
                book.plan(sale("item", "HONEY", "quantity", "3", "price", "9", "numbers", "L: 3"))))
        .containsExactly("1: -2", "8: -1", "1: 1", "1: -1");
    assertThat(book.faults(sale("item", "HONEY", "quantity", "5", "price", "9", "numbers", "L: 5")))
        .anyMatch(f -> f.contains("of lot L"));
  }

  private static Catalogue.Kept kept(long id, Item item, String code, Place at, long many) {
    return new Catalogue.Kept(
        new Lot(id, item.id(), code, null),
        Map.of(at.id(), many * Quantity.ONE),
        900 + id,
        SOLD,
        "it is at " + at.name());
  }

  @Test
  void without_an_agreement_nothing_is_sold_or_comes() {
    book.terms = null;
    String missing = "Nothing is agreed with Orrin Joinery about The hive on 2026-11-20";
    assertThat(book.faults(sale("item", "HIVE", "quantity", "2", "price", "15")))
        .anyMatch(f -> f.contains(missing));
    Written in = Written.of(PaperKind.CONSIGNMENT_IN).line("item", "HIVE", "quantity", "2");
    assertThat(book.faults(in)).anyMatch(f -> f.contains(missing));
    assertThat(book.faults(in.with("supplier", "Nobody")))
        .anyMatch(f -> f.contains("Nothing is agreed with \"Nobody\""));
  }

  @Test
  void a_delivery_is_owed_at_the_price_expected_and_its_invoice_puts_that_right() {
    book.onHand = 0;
    book.terms = terms(null, "50");
    Written goes = Written.of(PaperKind.DELIVERY).line("item", "HIVE", "quantity", "2");
    assertThat(book.faults(goes)).anyMatch(f -> f.contains("give it one under Prices first"));
    book.listed.put(HIVE.id(), new Allowed.ListPrice(new BigDecimal("30"), BigDecimal.ZERO));
    assertThat(SmallBook.on(book.plan(goes), Role.OWED_FOR_CONSIGNED)).isEqualTo(-3000);
    owed(3, "D-1", HIVE, 2, 3000, 905);
    book.awaited.add(sent());
    Plan plan = book.plan(sale("item", "HIVE", "quantity", "2", "price", "25", "of", "D-1"));
    assertThat(events(plan)).containsExactly("CHARGE 0 -500 0");
    assertThat(plan.events().get(0).target()).isEqualTo(new Plan.Earlier(905));
    assertThat(SmallBook.on(plan, Role.OWED_FOR_CONSIGNED)).isEqualTo(500);
    assertThat(plan.awaits())
        .singleElement()
        .satisfies(w -> assertThat(w.quantity()).isEqualTo(Quantity.ZERO));
  }

  private static Awaited sent() {
    long micros = 2 * Quantity.ONE;
    return new Awaited(
        4,
        Awaits.SENT_INVOICE,
        PaperKind.DELIVERY,
        70,
        "D-1",
        SOLD,
        FENWICK.id(),
        0,
        HIVE,
        micros,
        3000,
        micros,
        3000,
        0,
        null,
        null,
        Awaited.Order.NONE,
        List.of());
  }

  private static Written settles(String... cells) {
    return Written.of(PaperKind.SETTLEMENT).line(cells);
  }

  @Test
  void a_settlement_takes_the_oldest_first_and_what_is_apart_goes_into_the_cost() {
    owed(3, "INV-1", HIVE, 2, 2000, 905);
    owed(4, "INV-2", HIVE, 3, 3000, 906);
    Paper paper = book.paper(settles("item", "HIVE", "quantity", "4", "amount", "38", "tax", "S"));
    assertThat(paper.total()).isEqualTo(3800 + 760);
    Plan plan = paper.plan(book);
    assertThat(plan.fills())
        .extracting(f -> f.awaited() + ": " + f.quantity() + " " + f.value().minor())
        .containsExactly("3: 2 2000", "4: 2 2000");
    assertThat(events(plan)).containsExactly("CHARGE 0 -100 0", "CHARGE 0 -100 0");
    assertThat(SmallBook.on(plan, Role.OWED_FOR_CONSIGNED)).isEqualTo(4000);
    assertThat(SmallBook.on(plan, Role.PAYABLES)).isEqualTo(-4560);
    assertThat(SmallBook.apart(plan)).isZero();
    assertThat(plan.dues())
        .singleElement()
        .satisfies(d -> assertThat(d.amount().minor()).isEqualTo(-4560));
    assertThat(book.plan(settles("of", "INV-2", "item", "HIVE", "quantity", "1")).fills())
        .extracting(Plan.Fill::awaited)
        .containsExactly(4L);
  }

  @Test
  void an_amount_alone_is_put_right_with_none() {
    owed(3, "INV-1", HIVE, 0, -80, 905);
    Plan plan = book.plan(settles("item", "HIVE", "quantity", "0"));
    assertThat(plan.fills())
        .singleElement()
        .satisfies(f -> assertThat(f.value().minor()).isEqualTo(-80));
    assertThat(SmallBook.on(plan, Role.PAYABLES)).isEqualTo(80);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          HIVE | 6 | | 2 of The hive of Orrin Joinery were sold by 2026-11-20 and are not settled.
          FRAME | 1 | | 0 of The frame of Orrin Joinery
          HIVE | -1 | | Write 0 where only an amount is put right.
          HIVE | 0 | | and no amount is left to be put right.
          EX | 1 | 5 | Nothing is owed for what of The ex was lost
          HIVE | 1 | -5 | What was sold is settled at 0 or more
          """)
  void what_is_wrong_with_a_settlement(String item, String many, String amount, String says) {
    owed(3, "INV-1", HIVE, 2, 2000, 905);
    owed(5, "A-1", EXTRACTOR, 1, 0, 0);
    assertThat(
            book.faults(
                settles("item", item, "quantity", many, "amount", amount == null ? "" : amount)))
        .anyMatch(f -> f.contains(says));
  }

  @Test
  void nothing_is_settled_before_it_was_sold() {
    owed(3, "INV-1", HIVE, 2, 2000, 905);
    assertThat(book.faults(settles("item", "HIVE", "quantity", "1").with("date", "2026-11-09")))
        .anyMatch(f -> f.contains("0 of The hive"));
    assertThat(book.faults(settles("item", "HIVE", "quantity", "1").with("date", "someday")))
        .anyMatch(f -> f.contains("someday"))
        .noneMatch(f -> f.contains("null") || f.contains("were sold by"));
  }

  @Test
  void an_agreement_is_about_an_item_a_group_or_everything() {
    Paper paper =
        book.paper(
            Written.of(PaperKind.AGREEMENT)
                .with("discounts", "theirs")
                .with("losses", "theirs")
                .with("shares", "ours")
                .line("item", "HIVE", "cost", "4.50")
                .line("item", "Jars", "share", "40 %", "least", "2")
                .line("share", "30"));
    assertThat(((Agreement) paper).lines())
        .extracting(l -> l.terms().lossOurs() + " " + l.terms().discounts() + " " + l.says())
        .containsExactly(
            "false THEIRS 4.50 each; losses borne by them",
            "false THEIRS 60 % of the price, at least 2.00 each; discounts borne by them; losses borne by them",
            "false THEIRS 70 % of the price; discounts borne by them; losses borne by them");
    assertThat(paper.rows())
        .extracting(r -> r.wording())
        .containsExactly(
            "4.50 each; losses borne by them",
            "All of Jars: 60 % of the price, at least 2.00 each; discounts borne by them; losses borne by them",
            "Everything: 70 % of the price; discounts borne by them; losses borne by them");
    assertThat(paper.plan(book)).isEqualTo(Plan.NOTHING);
  }

  @ParameterizedTest
  @CsvSource(
      nullValues = "-",
      delimiter = '|',
      textBlock =
          """
          HIVE | 4 | 40 | - | fill in one of the two
          HIVE | - | - | - | fill in one of the two
          HIVE | - | 101 | - | between 0 and 100 percent
          HIVE | -1 | - | - | not below zero
          HIVE | 4 | - | 2 | a least cost goes with a share
          Nectar | 4 | - | - | No item and no group is called
          ADVICE | 4 | - | - | is not kept in stock
          """)
  void what_is_wrong_with_an_agreement(
      String item, String cost, String share, String least, String says) {
    Written agreement =
        Written.of(PaperKind.AGREEMENT)
            .line(
                "item",
                item,
                "cost",
                cost == null ? "" : cost,
                "share",
                share == null ? "" : share,
                "least",
                least == null ? "" : least);
    assertThat(book.faults(agreement)).anyMatch(f -> f.contains(says));
    assertThat(book.faults(Written.of(PaperKind.AGREEMENT)))
        .anyMatch(f -> f.contains("what is owed for each?"));
  }

  @Test
  void the_same_goods_have_one_line_of_an_agreement() {
    assertThat(
            book.faults(
                Written.of(PaperKind.AGREEMENT)
                    .line("item", "HIVE", "cost", "4")
                    .line("item", "The hive", "cost", "5")))
        .anyMatch(f -> f.contains("has a line already"));
  }

  @Test
  void what_comes_and_goes_back_moves_and_books_nothing() {
    Plan in = book.plan(Written.of(PaperKind.CONSIGNMENT_IN).line("item", "HIVE", "quantity", "4"));
    assertThat(moves(in)).containsExactly("8: 4");
    assertThat(in.events()).isEmpty();
    assertThat(in.lines()).isEmpty();
    assertThat(
            moves(
                book.plan(
                    Written.of(PaperKind.CONSIGNMENT_BACK).line("item", "HIVE", "quantity", "4"))))
        .containsExactly("8: -4");
  }

  @Test
  void what_is_gone_at_their_place_is_owed_and_what_is_found_is_theirs() {
    Written gone = Written.of(PaperKind.ADJUSTMENT).with("place", THEIRS.name());
    book.listed.put(HIVE.id(), new Allowed.ListPrice(new BigDecimal("30"), BigDecimal.ZERO));
    Plan plan = book.plan(gone.line("item", "HIVE", "quantity", "-2", "reason", "Broken"));
    assertThat(events(plan)).containsExactly("IN 2 2000 0", "OUT 2 0 " + RENT);
    Plan found =
        book.plan(
            Written.of(PaperKind.ADJUSTMENT)
                .with("place", THEIRS.name())
                .line("item", "HIVE", "quantity", "3", "reason", "Broken"));
    assertThat(found.events()).isEmpty();
    assertThat(moves(found)).containsExactly("8: 3");
    book.terms = new Terms(null, BigDecimal.TEN, null, Terms.Discounts.BOTH, false);
    Plan theirs = book.plan(gone);
    assertThat(theirs.events()).isEmpty();
    assertThat(moves(theirs)).containsExactly("8: -2");
    assertThat(theirs.awaits().get(0).value().orElseThrow().minor()).isZero();
  }

  @Test
  void what_stays_is_the_customers_and_waits_to_be_handed_over() {
    Paper paper =
        book.paper(sale("item", "HIVE", "quantity", "1", "price", "15").with("stay", "here"));
    Place kept = paper.carried().get(0).into();
    assertThat(kept.name()).isEqualTo("Barn store, of Fenwick Garden");
    Plan plan = paper.plan(book);
    assertThat(moves(plan)).containsExactly("1: -1", kept.id() + ": 1");
    assertThat(plan.awaits()).extracting(Plan.Wait::what).containsExactly(Awaits.KEPT_HERE);
    Plan goes =
        book.plan(
            Written.of(PaperKind.DELIVERY)
                .with("stay", "here")
                .line("item", "HIVE", "quantity", "2"));
    assertThat(moves(goes)).containsExactly("1: -1", "8: -1", "1: 1", "1: -1", "0: 2");
  }

  @Test
  void ours_at_a_customers_is_sold_to_that_customer_only() {
    Place there =
        new Place(
            11,
            "At Fenwick Garden",
            Place.Kind.CUSTOMER,
            11,
            "At Fenwick Garden",
            Standing.GOOD,
            null,
            FENWICK);
    book.places.add(there);
    book.parties.add(new Party(5, Party.Kind.CUSTOMER, "Marlow Shop", 30, true));
    Written sale = sale("item", "HIVE", "quantity", "1", "price", "15").with("place", there.name());
    assertThat(book.faults(sale)).isEmpty();
    assertThat(book.faults(sale.with("stay", "here")))
        .anyMatch(f -> f.contains("so they do not stay here"));
    assertThat(book.faults(sale.with("stay", "").with("customer", "Marlow Shop")))
        .anyMatch(f -> f.contains("These goods are at Fenwick Garden's; sell them to Fenwick"));
  }

  @Test
  void only_good_goods_that_are_here_go_on_consignment() {
    ConsignmentOut out =
        (ConsignmentOut)
            book.paper(Written.of(PaperKind.CONSIGNMENT_OUT).line("item", "HIVE", "quantity", "2"));
    assertThat(out.into().name()).isEqualTo("At Fenwick Garden");
    assertThat(out.into().host()).isEqualTo(FENWICK);
    assertThat(moves(out.plan(book))).containsExactly("1: -2", "0: 2");
    book.places.add(BARN.fresh(SmallBook.SECONDS, null));
    assertThat(
            book.faults(
                Written.of(PaperKind.CONSIGNMENT_OUT)
                    .with("place", "Barn store, seconds")
                    .line("item", "HIVE", "quantity", "2")))
        .anyMatch(f -> f.contains("Only good goods"));
    assertThat(VAN.isPlain()).isTrue();
  }

  @Test
  void a_numbered_piece_has_a_price_of_its_own() {
    book.kept.add(kept(5, EXTRACTOR, "EX-1", THEIRS, 1));
    Written sale = sale("item", "EX", "quantity", "1", "numbers", "EX-1");
    assertThat(book.faults(sale)).anyMatch(f -> f.contains("At what price?"));
    book.piecePrice = new BigDecimal("45.00");
    assertThat(book.paper(sale).total()).isEqualTo(4500);
    assertThat(book.notes(sale)).contains("They have a price of their own: 45.00.");
    Written comes =
        Written.of(PaperKind.CONSIGNMENT_IN)
            .line("item", "EX", "quantity", "1", "numbers", "EX-9", "price", "50");
    assertThat(book.paper(comes).rows().get(0).price()).isEqualTo("50");
    assertThat(book.faults(comes.line("item", "HIVE", "quantity", "1", "price", "5")))
        .anyMatch(f -> f.contains("Only pieces with serial numbers have prices of their own"));
  }

  @Test
  void a_wrong_date_is_all_that_is_said() {
    assertThat(
            book.faults(
                sale("item", "HIVE", "quantity", "3", "price", "15").with("date", "yesterweek")))
        .hasSize(1)
        .allMatch(f -> f.startsWith("date: "));
    assertThat(
            book.faults(
                Written.of(PaperKind.ADJUSTMENT)
                    .with("place", THEIRS.name())
                    .with("date", "yesterweek")
                    .line("item", "HIVE", "quantity", "-1", "reason", "Broken")))
        .allMatch(f -> f.startsWith("date: "));
  }

  private void ordered(long id, String number, long many, boolean approved) {
    long micros = many * Quantity.ONE;
    book.awaited.add(
        new Awaited(
            id,
            Awaits.TO_BE_CONSIGNED,
            PaperKind.PURCHASE_ORDER,
            60,
            number,
            SOLD,
            ORRIN.id(),
            0,
            HIVE,
            micros,
            0,
            micros,
            0,
            0,
            null,
            null,
            new Awaited.Order(60, number, 0, id, 0, 0, 0, approved),
            List.of()));
  }

  private static Written comesOf(String order, String many) {
    return Written.of(PaperKind.CONSIGNMENT_IN).line("item", "HIVE", "quantity", many, "of", order);
  }

  @Test
  void what_comes_fills_its_order_and_what_is_more_is_asked_about() {
    ordered(31, "PO-1", 4, true);
    ordered(32, "PO-2", 9, true);
    Plan plan = book.plan(comesOf("PO-1", "3").line("item", "HIVE", "quantity", "1", "of", "po-1"));
    assertThat(plan.fills())
        .extracting(f -> f.awaited() + ": " + f.quantity())
        .containsExactly("31: 3", "31: 1");
    assertThat(book.faults(comesOf("PO-1", "5")))
        .containsExactly("rows.0.quantity: 1 more than PO-1 ordered.");
    assertThat(
            book.faults(comesOf("PO-1", "4").line("item", "HIVE", "quantity", "1", "of", "PO-1")))
        .containsExactly("rows.1.of: No The hive is to come with \"PO-1\".");
    assertThat(book.faults(comesOf("PO-3", "1")))
        .containsExactly("rows.0.of: No The hive is to come with \"PO-3\".");
    assertThat(book.faults(comesOf("PO-1", "1").with("date", "2026-11-09")))
        .containsExactly("rows.0.of: PO-1 is of 2026-11-10; its goods cannot come before.");
    assertThat(book.faults(comesOf("PO-1", "1").with("date", "2026-11-10"))).isEmpty();
    assertThat(book.plan(comesOf("", "1")).fills()).isEmpty();
  }

  @Test
  void what_comes_of_an_order_that_waits_for_approval_is_refused_and_the_terms_stand_beside() {
    ordered(31, "PO-1", 4, false);
    assertThat(book.faults(comesOf("PO-1", "1")))
        .containsExactly("rows.0.of: PO-1 is not approved yet.");
    assertThat(book.read(comesOf("", "1")).rows().get(0).beside().get("owed"))
        .isEqualTo(book.terms.says(book.rules().coin()));
    assertThat(book.faults(Written.of(PaperKind.CONSIGNMENT_IN)))
        .containsExactly("rows.0.item: There is no line yet: what came?");
    assertThat(book.faults(Written.of(PaperKind.CONSIGNMENT_BACK)))
        .containsExactly("rows.0.item: There is no line yet: what goes back?");
    assertThat(book.faults(comesOf("", "-1")).get(0))
        .endsWith("; what goes back is a paper of its own.");
  }

  @Test
  void what_is_settled_shows_what_is_owed_and_says_how_its_cost_changes() {
    owed(3, "INV-1", HIVE, 2, 2000, 905);
    owed(4, "INV-2", HIVE, 3, 3100, 906);
    var reading = book.read(settles("item", "HIVE", "quantity", "2", "amount", "18"));
    assertThat(reading.rows().get(0).beside()).containsEntry("owed", "20.00");
    assertThat(reading.rows().get(0).amount()).isEqualTo(1800);
    assertThat(reading.rows().get(0).name()).isEqualTo("The hive");
    assertThat(book.notes(settles("item", "HIVE", "quantity", "2", "amount", "18")))
        .containsExactly(
            "The hive is settled at 2.00 less than is owed; its cost changes by that.");
    assertThat(book.notes(settles("item", "HIVE", "quantity", "2", "amount", "21")))
        .containsExactly(
            "The hive is settled at 1.00 more than is owed; its cost changes by that.");
    assertThat(book.notes(settles("item", "HIVE", "quantity", "2"))).isEmpty();
    assertThat(book.faults(settles("item", "HIVE", "quantity", "2", "amount", "0"))).isEmpty();
    Written twice = settles("item", "HIVE", "quantity", "1");
    assertThat(book.plan(twice.line("item", "HIVE", "quantity", "2")).fills())
        .extracting(f -> f.awaited() + ": " + f.quantity() + " " + f.value().minor())
        .containsExactly("3: 1 1000", "3: 1 1000", "4: 1 1033");
    assertThat(book.faults(settles("item", "HIVE", "quantity", "6", "of", "INV-2")).get(0))
        .isEqualTo(
            "rows.0.quantity: 3 of The hive of Orrin Joinery with INV-2 were sold by 2026-11-20"
                + " and are not settled.");
    assertThat(book.faults(twice.line("item", "HIVE", "quantity", "3")).get(0))
        .startsWith("rows.2.quantity: 2 of The hive of Orrin Joinery were sold by");
  }

  @Test
  void a_settlement_is_with_somebody_and_has_lines_and_a_number_of_its_own() {
    assertThat(book.faults(Written.of(PaperKind.SETTLEMENT)))
        .containsExactly("rows.0.item: There is no line yet: what that was sold is settled?");
    assertThat(book.faults(Written.of(PaperKind.SETTLEMENT).with("supplier", "")))
        .contains("supplier: With whom? A name is enough.");
    assertThat(book.faults(Written.of(PaperKind.SETTLEMENT).with("supplier", "Nobody")))
        .contains("supplier: Nothing of \"Nobody\" was sold here.");
    owed(3, "INV-1", HIVE, 2, 2000, 905);
    book.numbersOfTheirs.put("S-7", "SE-2026-0001 of 2026-11-01, 20.00");
    assertThat(book.faults(settles("item", "HIVE", "quantity", "1").with("their_number", "S-7")))
        .singleElement()
        .asString()
        .contains("SE-2026-0001 of 2026-11-01, 20.00");
    owed(6, "INV-3", HIVE, 2, Long.MAX_VALUE, 907);
    assertThat(book.faults(settles("item", "HIVE", "quantity", "4"))).isNotEmpty();
  }

  @Test
  void of_what_is_taken_the_first_go_first_with_their_share_of_what_is_owed() {
    List<Taken> from =
        new java.util.ArrayList<>(
            List.of(
                new Taken(THEIRS, ORRIN, BARN, 2_000_000, 1000, true, List.of()),
                new Taken(THEIRS, ORRIN, BARN, 3_000_000, 1000, true, List.of())));
    assertThat(Taken.take(from, 3_000_000))
        .extracting(t -> t.micros() + " " + t.value())
        .containsExactly("2000000 1000", "1000000 333");
    assertThat(from).extracting(t -> t.micros() + " " + t.value()).containsExactly("2000000 667");
    assertThat(Taken.take(from, 5_000_000))
        .extracting(t -> t.micros() + " " + t.value())
        .containsExactly("2000000 667");
    assertThat(from).isEmpty();
    assertThat(Taken.take(from, 1)).isEmpty();
  }
}
