package zinctally.core.papers.make;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.BARN;
import static zinctally.core.papers.SmallBook.FRAME;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.HONEY;
import static zinctally.core.papers.SmallBook.RENT;
import static zinctally.core.papers.SmallBook.VAN;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.cost.Spot;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Money;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.plan.MakingPlan;
import zinctally.core.papers.plan.Plan;

/** Goods that are made, taken apart, or said how to be made. */
class MakingReadersTest {
  private final SmallBook book = new SmallBook();

  private static Written of(PaperKind kind, String... cells) {
    return Written.of(kind).with("item", "HIVE").with("quantity", "2").line(cells);
  }

  @Test
  void what_is_made_shares_nothing_and_the_work_comes_off_its_account() {
    Written makes = of(PaperKind.ASSEMBLY, "item", "FRAME", "quantity", "20");
    Plan plan =
        book.plan(makes.line("item", "7000 Nailing", "amount", "3.50").with("into", "Market van"));
    assertThat(plan.making())
        .isEqualTo(
            new MakingPlan(
                350,
                java.util.List.of(new MakingPlan.Result(HIVE.id(), new Spot(-1, 0), 2_000_000))));
    assertThat(plan.lines())
        .containsExactly(new JournalLine(RENT, 0, 0, new Money(-350), "Nailing").of(1));
    assertThat(plan.moves())
        .extracting(m -> m.item() + " " + m.place() + " " + m.quantity())
        .containsExactly(FRAME.id() + " " + BARN.id() + " -20", HIVE.id() + " " + VAN.id() + " 2");
  }

  @Test
  void parts_weigh_what_they_cost_and_one_with_a_value_of_its_own_does_not_share() {
    book.costs.put(FRAME.id(), new Catalogue.LatestCost(100, 1_000_000));
    Written apart = of(PaperKind.DISASSEMBLY, "item", "FRAME", "quantity", "20");
    Plan plan =
        book.plan(apart.line("item", "HONEY", "quantity", "1", "numbers", "L-9", "amount", "4"));
    assertThat(plan.making())
        .isEqualTo(
            new MakingPlan(
                -400,
                java.util.List.of(new MakingPlan.Result(FRAME.id(), new Spot(0, 0), 20_000_000))));
    assertThat(plan.at(new Spot(1, 0), HONEY.id()).value()).isEqualTo(new Money(400));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "ASSEMBLY | HIVE | 1 | | rows.0.item: The hive cannot be made of itself.",
        "ASSEMBLY | FRAME | -1 | | rows.0.quantity: The quantity must be above zero.",
        "ASSEMBLY | ADVICE | 1 | | rows.0.item: The advice is not kept in stock; name an account for work that is added.",
        "ASSEMBLY | FRAME | 1 | 2 | rows.0.amount: Goods cost what the book says; an amount is for work that is added.",
        "ASSEMBLY | 1400 | | 2 | rows.0.item: 91 Stock on hand is a control account; it is kept by papers and takes no line by hand.",
        "DISASSEMBLY | FRAME | 1 | 2 | rows.0.amount: Every part has a value of its own; leave one empty, which bears what is left.",
        "DISASSEMBLY | FRAME | 1 | | rows.0.item: No cost of The frame is known; share by something else, or give it a value.",
      })
  void what_cannot_be_is_refused_at_its_cell(
      PaperKind kind, String item, String quantity, String amount, String fault) {
    Written written =
        of(
            kind,
            "item",
            item,
            "quantity",
            quantity == null ? "" : quantity,
            "amount",
            amount == null ? "" : amount);
    assertThat(book.faults(written)).contains(fault);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "HIVE | 1 | | | rows.0.item: The hive cannot be made of itself.",
        "FRAME | 1 | -1 | | rows.0.waste: Waste is from 0 to 900 percent of what is in it.",
        "FRAME | 1 | | 2 | rows.0.batch: Goods cost what the book says; an amount is for work that is added.",
        "7000 | 1 | | 2 | rows.0.quantity: An account has amounts only: for a batch, or for each.",
        "7000 | | | | rows.0.batch: How much is added, for a batch or for each that is made?",
      })
  void a_recipe_that_cannot_be_is_refused_at_its_cell(
      String item, String quantity, String waste, String batch, String fault) {
    Written written =
        of(
            PaperKind.RECIPE,
            "item",
            item,
            "quantity",
            quantity == null ? "" : quantity,
            "waste",
            waste == null ? "" : waste,
            "batch",
            batch == null ? "" : batch);
    assertThat(book.faults(written)).contains(fault);
  }

  @Test
  void a_recipe_says_what_a_batch_and_one_of_it_would_cost() {
    book.costs.put(FRAME.id(), new Catalogue.LatestCost(42, 1_000_000));
    Written recipe =
        of(PaperKind.RECIPE, "item", "FRAME", "quantity", "20")
            .line("item", "7000 Nailing", "batch", "1.00", "piece", "0.25");
    assertThat(book.paper(recipe).sums())
        .extracting(s -> s.words() + " " + s.amount())
        .containsExactly(
            "Parts at present cost 840", "Work 150", "A batch of 2 990", "One each 495");
    assertThat(book.plan(recipe)).isEqualTo(Plan.NOTHING);
  }
}
