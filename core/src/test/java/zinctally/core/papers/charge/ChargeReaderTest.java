package zinctally.core.papers.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.FRAME;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.ORRIN;
import static zinctally.core.papers.SmallBook.apart;
import static zinctally.core.papers.SmallBook.on;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Role;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.plan.Plan;

// goods bear what it costs to bring them in: IAS 2 paragraphs 10 and 11
class ChargeReaderTest {
  private static final LocalDate DAY = LocalDate.of(2026, 11, 10);
  private final SmallBook book = new SmallBook();

  @BeforeEach
  void goodsCame() {
    came(500, HIVE, 3, 9000);
    came(501, FRAME, 9, 3000);
  }

  private void came(long event, Item item, long quantity, long value) {
    book.traded.add(
        new Traded(
            event,
            PaperKind.BILL,
            40,
            "B-1",
            DAY,
            (int) (event - 500),
            ORRIN.id(),
            item,
            quantity * 1_000_000,
            0,
            value,
            value,
            null,
            0,
            Map.of(),
            "",
            null));
  }

  private static Written charge(String amount, String spread) {
    return Written.of(PaperKind.CHARGE)
        .with("amount", amount)
        .with("spread", spread)
        .with("what", "Carriage");
  }

  @ParameterizedTest
  @CsvSource({"12.00, value, 900, 300", "12.00, quantity, 300, 900", "-12.00, value, -900, -300"})
  void it_is_shared_by_value_or_quantity(String amount, String spread, long hive, long frame) {
    Plan plan = book.plan(charge(amount, spread).line("bill", "B-1"));
    assertThat(plan.events()).extracting(e -> e.value().minor()).containsExactly(hive, frame);
    assertThat(plan.events())
        .extracting(Plan.Event::target)
        .containsExactly(new Plan.Earlier(500), new Plan.Earlier(501));
    assertThat(on(plan, Role.PAYABLES)).isEqualTo(-hive - frame);
    assertThat(apart(plan)).isZero();
  }

  @Test
  void tax_that_can_be_reclaimed_is_not_of_the_cost() {
    Written taxed = charge("10.00", "value").with("tax", "S").line("bill", "B-1", "item", "HIVE");
    Plan plan = book.plan(taxed);
    assertThat(plan.events()).extracting(e -> e.value().minor()).containsExactly(1000L);
    assertThat(on(plan, Role.PURCHASE_TAX)).isEqualTo(200);
    assertThat(plan.dues().get(0).amount().minor()).isEqualTo(-1200);
    assertThat(apart(plan)).isZero();
    assertThat(book.paper(taxed).head().tax()).isEqualTo(200);
    assertThat(book.paper(taxed).sums())
        .extracting(s -> s.words() + " " + s.amount())
        .containsExactly("HIVE, B-1 1000", "VAT 200", "Total 1200");
    assertThat(book.faults(charge("1", "value").with("tax", "Q").line("bill", "B-1")).get(0))
        .startsWith("tax: There is no tax rate");
  }

  @Test
  void shares_by_hand_come_to_the_amount() {
    Written shared =
        charge("10.00", "hand")
            .line("bill", "B-1", "item", "HIVE", "share", "7.00")
            .line("bill", "B-1", "item", "FRAME", "share", "3.00");
    assertThat(book.plan(shared).events())
        .extracting(e -> e.value().minor())
        .containsExactly(700L, 300L);
    assertThat(
            book.faults(
                    charge("10.01", "hand")
                        .line("bill", "B-1", "item", "HIVE", "share", "7.00")
                        .line("bill", "B-1", "item", "FRAME", "share", "3.00"))
                .get(0))
        .isEqualTo("amount: The shares come to 10.00, not to the amount of 10.01.");
    assertThat(book.plan(charge("8.00", "hand").line("bill", "B-1", "share", "8.00")).events())
        .as("shared by quantity among what stands on the row")
        .extracting(e -> e.value().minor())
        .containsExactly(200L, 600L);
  }

  @Test
  void goods_still_to_come_bear_their_share_where_they_wait() {
    book.awaited.add(
        new Awaited(
            3,
            Awaits.BILLED_GOODS,
            PaperKind.BILL,
            41,
            "B-2",
            DAY,
            ORRIN.id(),
            0,
            HIVE,
            4_000_000,
            2000,
            4_000_000,
            2000,
            2000,
            BigDecimal.TEN,
            null,
            Awaited.Order.NONE,
            List.of()));
    Plan plan = book.plan(charge("5.00", "value").line("bill", "B-2"));
    assertThat(plan.events()).isEmpty();
    assertThat(on(plan, Role.BILLED_NOT_RECEIVED)).isEqualTo(500);
    assertThat(plan.fills())
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.value().minor()).isEqualTo(-500);
              assertThat(f.quantity().signum()).isZero();
            });
    assertThat(apart(plan)).isZero();
  }

  @Test
  void what_cannot_bear_it_is_said() {
    assertThat(book.faults(charge("", "value").line("bill", "B-1")).get(0))
        .startsWith("amount: How much");
    assertThat(book.faults(charge("0", "value").line("bill", "B-1")).get(0))
        .contains("Zero changes no cost");
    assertThat(book.faults(charge("1", "value").line("bill", "B-9")).get(0))
        .contains("No bill or receipt \"B-9\"");
    assertThat(book.faults(charge("1", "value").line("bill", "B-1", "item", "HONEY")).get(0))
        .contains("did not come with B-1");
    assertThat(book.faults(charge("1", "value").line("bill", "B-1").line("bill", "B-1")).get(0))
        .contains("is on a line above already");
    assertThat(book.faults(charge("1", "weight").line("bill", "B-1")).get(0))
        .contains("The weight of The hive, The frame is not known");
    assertThat(
            book.faults(charge("1", "value").with("date", "2026-11-09").line("bill", "B-1")).get(0))
        .contains("cannot come before its goods");
    assertThat(book.faults(charge("1", "value")).get(0))
        .startsWith("rows.0.bill: Which goods bear it?");
    assertThat(
            book.faults(charge("1", "value").with("due", "2026-11-19").line("bill", "B-1")).get(0))
        .startsWith("due: ");
  }
}
