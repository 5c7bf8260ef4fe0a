package zinctally.core.papers.mend;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.BARN;
import static zinctally.core.papers.SmallBook.DAMAGED;
import static zinctally.core.papers.SmallBook.EXTRACTOR;
import static zinctally.core.papers.SmallBook.FENWICK;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.ORRIN;
import static zinctally.core.papers.SmallBook.RENT;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.cost.EventKind;
import zinctally.core.goods.Item;
import zinctally.core.goods.Lot;
import zinctally.core.number.Quantity;
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

/** Goods that go out to be mended and come back, and customers' own. */
class RepairReadersTest {
  private static final LocalDate WENT = LocalDate.of(2026, 11, 20);
  private static final Place BENCH =
      new Place(
          7, "Orrin Joinery", Place.Kind.REPAIRER, 7, "Orrin Joinery", Standing.GOOD, null, ORRIN);
  private static final Place THEIRS = theirs(8, BARN);
  private final SmallBook book = new SmallBook();

  private static Place theirs(long id, Place at) {
    Place fresh = at.fresh(Standing.GOOD, FENWICK);
    return new Place(
        id, fresh.name(), at.kind(), at.at(), at.site(), Standing.GOOD, FENWICK, at.host());
  }

  @BeforeEach
  void four_hives_and_an_extractor_are_out() {
    book.went.put("RO-1", BENCH);
    book.awaited.add(waiting(7, Awaits.IN_REPAIR, "RO-1", 0, HIVE, 4));
    book.awaited.add(waiting(8, Awaits.IN_REPAIR, "RO-1", 0, EXTRACTOR, 1));
    book.kept.add(
        new Catalogue.Kept(
            new Lot(5, EXTRACTOR.id(), "EX-1", null),
            Map.of(BENCH.id(), Quantity.ONE),
            905,
            WENT,
            "it is at Orrin Joinery"));
  }

  private static Awaited waiting(
      long id, Awaits what, String number, long party, Item item, long many) {
    long micros = many * Quantity.ONE;
    return new Awaited(
        id,
        what,
        PaperKind.REPAIR_OUT,
        70,
        number,
        WENT,
        party,
        0,
        item,
        micros,
        0,
        micros,
        0,
        0,
        null,
        null,
        Awaited.Order.NONE,
        List.of());
  }

  private static Written back(String... cells) {
    return Written.of(PaperKind.REPAIR_BACK)
        .with("repair", "RO-1")
        .with("into", "Barn store")
        .line(cells);
  }

  private static List<String> moves(Plan plan) {
    return plan.moves().stream().map(m -> m.place() + ": " + m.quantity()).toList();
  }

  @Test
  void what_goes_out_moves_and_is_awaited_and_costs_nothing() {
    Paper paper =
        book.paper(
            Written.of(PaperKind.REPAIR_OUT)
                .with("repairer", "Orrin Joinery")
                .with("back_by", "2026-12-10")
                .with("expected", "25")
                .line("item", "HIVE", "quantity", "2", "memo", "split"));
    assertThat(paper.head().due()).isEqualTo(LocalDate.of(2026, 12, 10));
    assertThat(paper.head().net()).isEqualTo(2500);
    assertThat(paper.total()).isZero();
    Plan plan = paper.withPlaces(at(7)).plan(book);
    assertThat(moves(plan)).containsExactly("1: -2", "7: 2");
    assertThat(plan.events()).isEmpty();
    assertThat(plan.awaits())
        .singleElement()
        .satisfies(
            w -> {
              assertThat(w.what()).isEqualTo(Awaits.IN_REPAIR);
              assertThat(w.party()).isEqualTo(ORRIN.id());
            });
  }

  private static UnaryOperator<Place> at(long id) {
    return p ->
        p.id() != 0
            ? p
            : new Place(id, p.name(), p.kind(), id, p.site(), p.standing(), p.owner(), p.host());
  }

  @Test
  void a_repairer_and_a_customer_can_be_named_for_the_first_time() {
    UnaryOperator<Party> made = p -> p.id() == 0 ? new Party(44, p.kind(), p.name(), 30, true) : p;
    RepairOut out =
        (RepairOut)
            book.paper(
                    Written.of(PaperKind.REPAIR_OUT)
                        .with("repairer", "Ferris Motors")
                        .line("item", "HIVE", "quantity", "1"))
                .withParties(made);
    assertThat(out.repairer().id()).isEqualTo(44);
    assertThat(out.bench().host().id()).isEqualTo(44);
    TakenIn in =
        (TakenIn)
            book.paper(
                    Written.of(PaperKind.TAKEN_IN)
                        .with("customer", "Alder Farm")
                        .line("item", "HIVE", "quantity", "1"))
                .withParties(made);
    assertThat(in.place().owner().id()).isEqualTo(44);
    assertThat(in.place().name()).isEqualTo("Barn store, of Alder Farm");
    assertThat(in.plan(book).awaits().get(0).party()).isEqualTo(44);
  }

  @Test
  void what_mending_costs_is_an_arrival_of_the_day_they_are_back() {
    Plan plan =
        book.plan(
            back("item", "HIVE", "quantity", "3", "charge", "6")
                .line("item", "EX", "quantity", "1", "numbers", "EX-1", "charge", "40")
                .with("cost", "goods")
                .with("account", "7000"));
    assertThat(plan.events())
        .extracting(e -> e.kind() + " " + e.quantity() + " " + e.value().minor() + " " + e.contra())
        .containsExactly(
            "OUT 3 0 0",
            "BACK 3 0 0",
            "CHARGE 0 600 " + RENT,
            "OUT 1 0 0",
            "BACK 1 0 0",
            "CHARGE 0 4000 " + RENT);
    assertThat(plan.events().get(3).target()).isEqualTo(new Plan.Earlier(905));
    assertThat(plan.events().get(4).lot().code()).isEqualTo("EX-1");
    assertThat(plan.fills())
        .extracting(f -> f.awaited() + ": " + f.quantity())
        .containsExactly("7: 3", "8: 1");
  }

  @Test
  void what_is_an_expense_touches_no_cost_and_what_is_scrap_leaves_for_its_reason() {
    Plan plan =
        book.plan(
            back("item", "HIVE", "quantity", "1", "standing", "Damaged")
                .line("item", "HIVE", "quantity", "2", "reason", "Broken"));
    assertThat(plan.events())
        .singleElement()
        .satisfies(
            e -> {
              assertThat(e.kind()).isEqualTo(EventKind.OUT);
              assertThat(e.quantity()).hasToString("2");
              assertThat(e.contra()).isEqualTo(RENT);
            });
    assertThat(moves(plan)).containsExactly("7: -1", "0: 1", "7: -2");
    RepairBack paper =
        (RepairBack) book.paper(back("item", "HIVE", "quantity", "1", "standing", "Damaged"));
    assertThat(paper.lines().get(0).into()).isEqualTo(BARN.fresh(DAMAGED, null));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "quantity=5 | rows.0.quantity: 4 are still out with RO-1; what was there besides is an adjustment.",
        "quantity=-1 | rows.0.quantity: The quantity must be above zero; what is still out is left out.",
        "item=FRAME | rows.0.item: The frame was not sent out with RO-1.",
        "standing=Rusty | rows.0.standing: There is no standing \"Rusty\"; Set up, Standings lists them.",
        "charge=5 | rows.0.charge: Mending is an expense here and stands on its bill; choose that it belongs to the goods, or leave this empty.",
        "reason=Rust | rows.0.reason: There is no reason \"Rust\"; Set up lists them.",
      })
  void what_is_wrong_with_what_comes_back_is_said_at_its_cell(String cell, String fault) {
    String[] typed = cell.split("=");
    Map<String, String> row = new java.util.HashMap<>(Map.of("item", "HIVE", "quantity", "1"));
    row.put(typed[0], typed[1]);
    String[] cells =
        row.entrySet().stream()
            .flatMap(e -> java.util.stream.Stream.of(e.getKey(), e.getValue()))
            .toArray(String[]::new);
    assertThat(book.faults(back(cells))).contains(fault);
  }

  @Test
  void a_charge_names_its_account_and_scrap_bears_none() {
    Written charged = back("item", "HIVE", "quantity", "1", "charge", "5").with("cost", "goods");
    assertThat(book.faults(charged))
        .containsExactly(
            "account: From which account is what mending costs taken? The repairer's bill goes there.");
    assertThat(book.faults(charged.with("account", "1400")))
        .singleElement()
        .asString()
        .startsWith("account: ")
        .contains("is kept by its papers");
    assertThat(
            book.faults(
                back("item", "HIVE", "quantity", "1", "charge", "5", "reason", "Broken")
                    .with("cost", "goods")
                    .with("account", "7000")))
        .containsExactly("rows.0.charge: Scrap bears no cost of mending.");
  }

  @Test
  void nothing_comes_back_before_it_went_or_of_what_never_went() {
    assertThat(book.faults(back("item", "HIVE", "quantity", "1").with("date", "2026-11-19")))
        .contains("date: They were sent out on 2026-11-20; they cannot come before.");
    assertThat(book.faults(back("item", "HIVE", "quantity", "1").with("repair", "")))
        .contains("repair: With which paper did they go out for repair? Its number.");
  }

  @Test
  void a_customers_goods_are_given_back_the_oldest_first_and_never_more_than_came() {
    book.places.add(THEIRS);
    book.awaited.add(waiting(21, Awaits.TO_GIVE_BACK, "TI-1", FENWICK.id(), HIVE, 1));
    book.awaited.add(waiting(22, Awaits.TO_GIVE_BACK, "TI-2", FENWICK.id(), HIVE, 2));
    Written two =
        Written.of(PaperKind.GIVEN_BACK)
            .with("customer", "Fenwick Garden")
            .line("item", "HIVE", "quantity", "2");
    Plan plan = book.plan(two);
    assertThat(plan.fills())
        .extracting(f -> f.awaited() + ": " + f.quantity())
        .containsExactly("21: 1", "22: 1");
    assertThat(moves(plan)).containsExactly("8: -2");
    assertThat(plan.events()).isEmpty();
    assertThat(book.faults(two.line("item", "HIVE", "quantity", "2")))
        .containsExactly(
            "rows.1.quantity: 1 of Fenwick Garden's The hive are here to be handed over.");
    assertThat(book.faults(two.with("customer", "Nobody")))
        .contains("customer: Nothing of \"Nobody\" is here.");
  }
}
