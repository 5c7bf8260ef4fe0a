package zinctally.core.papers.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.COST;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.RENT;
import static zinctally.core.papers.SmallBook.on;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Position;
import zinctally.core.cost.Spot;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.plan.Plan;

class StockReadersTest {
  private final SmallBook book = new SmallBook();

  private static Written adjusted(String quantity, String... more) {
    String[] cells = new String[6 + more.length];
    System.arraycopy(
        new String[] {"item", "HIVE", "quantity", quantity, "reason", "Broken"}, 0, cells, 0, 6);
    System.arraycopy(more, 0, cells, 6, more.length);
    return Written.of(PaperKind.ADJUSTMENT).line(cells);
  }

  private static Written brought(String column, String typed, String... more) {
    String[] cells = new String[4 + more.length];
    System.arraycopy(new String[] {"item", "HIVE", column, typed}, 0, cells, 0, 4);
    System.arraycopy(more, 0, cells, 4, more.length);
    return Written.of(PaperKind.WRITE_DOWN).line(cells);
  }

  @Test
  void what_is_gone_leaves_at_the_pools_cost_and_its_reason_bears_it() {
    Plan plan = book.plan(adjusted("-3", "memo", "fell down"));
    assertThat(plan.events())
        .containsExactly(
            new Plan.Event(
                new Spot(0, 0),
                EventKind.OUT,
                HIVE.id(),
                new Quantity(3_000_000),
                Money.ZERO,
                Plan.Target.NONE,
                RENT,
                null,
                null,
                null));
    assertThat(plan.moves().get(0).quantity().micros()).isEqualTo(-3_000_000);
    assertThat(book.paper(adjusted("-3", "memo", "fell down")).rows().get(0).wording())
        .isEqualTo("Broken: fell down");
  }

  @Test
  void what_is_found_is_worth_its_typed_cost_else_the_latest() {
    Plan typed = book.plan(adjusted("2 box", "unit_cost", "24"));
    assertThat(typed.events().get(0).value().minor()).isEqualTo(4800);
    assertThat(book.faults(adjusted("2")))
        .containsExactly("rows.0.unit_cost: No cost of The hive is known yet; at what unit cost?");
    book.costs.put(HIVE.id(), new Catalogue.LatestCost(1000, 3_000_000));
    assertThat(book.plan(adjusted("2")).events().get(0).value().minor()).isEqualTo(667);
    assertThat(book.plan(adjusted("2", "unit_cost", "0")).events().get(0).value().minor()).isZero();
    assertThat(book.faults(adjusted("2", "unit_cost", "-1")).get(0)).contains("not below zero");
  }

  @Test
  void an_adjustment_says_what_it_wants() {
    assertThat(book.faults(adjusted("0")))
        .containsExactly("rows.0.quantity: Up or down by how many? Zero changes nothing.");
    assertThat(book.faults(adjusted("-1", "reason", "Bored")).get(0))
        .contains("There is no reason");
    assertThat(book.faults(Written.of(PaperKind.ADJUSTMENT)))
        .singleElement()
        .asString()
        .contains("no line yet");
    book.promised = new Catalogue.Promised(5_000_000, 5_000_000, "SO-1");
    assertThat(book.faults(adjusted("-1")))
        .singleElement()
        .asString()
        .contains("are promised before");
    assertThat(book.faults(adjusted("1", "unit_cost", "1"))).isEmpty();
  }

  // IAS 2 paragraphs 28 to 34: 10 pieces at cost 120.00 each
  @ParameterizedTest
  @CsvSource({
    "price, 100, '', -20000",
    "price, 100, 10, -30000",
    "price, 5, 10, -120000",
    "change, -0.01, '', -1",
    "change, -1200, '', -120000",
  })
  void goods_come_down_to_what_they_fetch_less_the_cost_to_sell(
      String column, String typed, String toSell, long change) {
    book.worths.put(HIVE.id(), new Catalogue.Worth(10_000_000, 120_000, 0));
    Plan plan = book.plan(brought(column, typed, "to_sell", toSell));
    assertThat(plan.events())
        .singleElement()
        .satisfies(
            e -> {
              assertThat(e.kind()).isEqualTo(EventKind.REVALUE);
              assertThat(e.value().minor()).isEqualTo(change);
              assertThat(e.contra()).isEqualTo(book.account(Role.WRITE_DOWNS).id());
            });
  }

  @Test
  void goods_come_up_again_to_cost_at_most() {
    book.worths.put(HIVE.id(), new Catalogue.Worth(10_000_000, 100_000, 20_000));
    assertThat(book.paper(brought("price", "110")).total()).isEqualTo(10_000);
    assertThat(book.paper(brought("price", "130")).total()).isEqualTo(20_000);
    assertThat(book.paper(brought("change", "200")).total()).isEqualTo(20_000);
    assertThat(book.faults(brought("change", "200.01")).get(0))
        .contains("stands 200.00 under cost; no more can be put back");
    assertThat(book.faults(brought("change", "-1000.01")).get(0)).contains("no more can come off");
    assertThat(book.faults(brought("change", "0")).get(0)).contains("By how much?");
    assertThat(book.faults(brought("price", "-1")).get(0)).contains("not below zero");
    assertThat(book.faults(brought("price", "")).get(0))
        .contains("What is one expected to sell for?");
    assertThat(book.faults(brought("price", "110").line("item", "HIVE", "price", "100")))
        .anyMatch(f -> f.contains("is on a line above already"));
    book.worths.put(HIVE.id(), new Catalogue.Worth(10_000_000, 120_000, 0));
    assertThat(book.faults(brought("price", "120")))
        .containsExactly(": Nothing changes: each of these is worth at least what it stands at.");
    assertThat(book.faults(brought("change", "1")).get(0)).contains("not written up above it");
  }

  private static Written tracked(String quantity, String cost) {
    return Written.of(PaperKind.START_TRACKING)
        .with("item", "ADVICE")
        .line("place", "Barn store", "quantity", quantity, "unit_cost", cost);
  }

  @Test
  void an_item_becomes_stocked_and_what_was_sold_since_gets_its_cost() {
    book.sold.add(
        new StartTracking.Sold(
            55,
            new Position(LocalDate.of(2026, 11, 21), 7, new Spot(2, 0)),
            1,
            "Barn store",
            4_000_000));
    Plan plan = book.plan(tracked("4", "2.50"));
    assertThat(plan.events())
        .extracting(Plan.Event::kind)
        .containsExactly(EventKind.IN, EventKind.OUT);
    assertThat(plan.events().get(0).value().minor()).isEqualTo(1000);
    assertThat(plan.events().get(1).contra()).isEqualTo(COST);
    assertThat(plan.events().get(1).of().paper()).isEqualTo(55);
    assertThat(plan.moves())
        .extracting(m -> m.quantity().micros())
        .containsExactly(4_000_000L, -4_000_000L);
    assertThat(on(plan, Role.OPENING_CLEARING)).isEqualTo(-1000);
    assertThat(book.paper(tracked("4", "2.50")).items().get(0).stocked()).isTrue();
    assertThat(book.faults(tracked("3", "2.50")))
        .containsExactly(
            "rows.0.quantity: 4 were sold out of Barn store since 2026-11-20; at least that many"
                + " must have been there then.");
  }

  @Test
  void start_of_tracking_says_what_it_wants() {
    assertThat(book.notes(tracked("1", "1"))).containsExactly("None was sold since 2026-11-20.");
    assertThat(book.faults(tracked("0", "1")).get(0)).contains("Above zero");
    assertThat(book.faults(tracked("1", "")).get(0)).contains("At what unit cost?");
    assertThat(book.faults(tracked("1", "-1")).get(0)).contains("not below zero");
    assertThat(book.faults(tracked("1", "1").with("item", "HIVE")).get(0))
        .contains("is kept in stock already");
    assertThat(book.faults(tracked("1", "1").with("item", "X")).get(0))
        .contains("No item has the code");
    assertThat(book.faults(tracked("1", "1").with("account", "1400")).get(0))
        .contains("cannot bear it");
    assertThat(on(book.plan(tracked("1", "1").with("account", "7000")), RENT)).isEqualTo(-100);
  }

  @Test
  void items_are_worked_out_again_once_each() {
    Written again = Written.of(PaperKind.RECOSTING).with("why", "found apart").line("item", "HIVE");
    assertThat(book.plan(again).again()).containsExactly(HIVE.id());
    assertThat(book.paper(again).rows().get(0).wording()).isEqualTo("found apart");
    assertThat(book.faults(again.line("item", "ADVICE")).get(0))
        .contains("it has no costs of its own");
    assertThat(book.faults(Written.of(PaperKind.RECOSTING)))
        .singleElement()
        .asString()
        .contains("no line yet");
  }

  @Test
  void numbered_goods_are_found_and_go_with_their_numbers() {
    Plan found =
        book.plan(
            Written.of(PaperKind.ADJUSTMENT)
                .line(
                    "item",
                    "EX",
                    "quantity",
                    "2",
                    "reason",
                    "Broken",
                    "unit_cost",
                    "10",
                    "numbers",
                    "EX-1, EX-2"));
    assertThat(found.moves())
        .extracting(m -> m.lot().code() + " " + m.quantity())
        .containsExactly("EX-1 1", "EX-2 1");
    book.kept.add(
        new Catalogue.Kept(
            new zinctally.core.goods.Lot(1, 3, "EX-1", null),
            java.util.Map.of(1L, 1_000_000L),
            901,
            LocalDate.of(2026, 11, 1),
            "at Barn store"));
    Plan gone =
        book.plan(
            Written.of(PaperKind.ADJUSTMENT)
                .line("item", "EX", "quantity", "-1", "reason", "Broken", "numbers", "EX-1"));
    assertThat(gone.events())
        .singleElement()
        .satisfies(e -> assertThat(e.target()).isEqualTo(new Plan.Earlier(901)));
    assertThat(gone.moves().get(0).quantity()).hasToString("-1");
  }

  @Test
  void a_write_down_that_changes_nothing_is_noted_and_one_too_large_is_said() {
    book.worths.put(HIVE.id(), new Catalogue.Worth(10_000_000, 120_000, 0));
    assertThat(book.notes(brought("price", "200")))
        .contains("The hive stays at 1,200.00, its cost.");
    book.worths.put(HIVE.id(), new Catalogue.Worth(Long.MAX_VALUE, 120_000, 0));
    assertThat(book.faults(brought("price", "999999999999")).get(0))
        .contains("larger than any amount this book can hold");
  }
}
