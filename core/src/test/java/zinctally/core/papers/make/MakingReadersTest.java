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
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
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

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "moon | 20 | | sharing: \"moon\" is no way of sharing; choose one of the list.",
        "value | 20 | | rows.0.share: What is one of it worth? Write 0 for what bears nothing.",
        "hand | 20 | | rows.0.share: Which share does it bear? Write 0 for none.",
        "hand | 20 | -1 | rows.0.share: A share is not below zero.",
        "hand | 20 | 0 | rows.0.share: No part bears any of the cost; at least one share must be above zero.",
        "value | 2000000 | 9999999 | rows.0.share: This share is larger than any the book can hold.",
        "price | 20 | | rows.0.item: The frame has no selling price; share by something else, or give it a value.",
        "quantity | 20 | 3 | rows.0.share: Cost is shared by how many they are; a share is typed only by hand.",
        "cost | 20 | 3 | rows.0.share: Cost is shared by what they cost at present; a share is typed only by hand.",
      })
  void parts_that_cannot_share_are_refused_at_their_cell(
      String sharing, String quantity, String share, String fault) {
    book.costs.put(FRAME.id(), new Catalogue.LatestCost(100, 1_000_000));
    Written written =
        of(PaperKind.DISASSEMBLY, "item", "FRAME", "quantity", quantity, "share", typed(share))
            .with("sharing", sharing);
    assertThat(book.faults(written)).containsExactly(fault);
  }

  private static String typed(String cell) {
    return cell == null ? "" : cell;
  }

  @Test
  void what_is_taken_apart_comes_to_something_and_its_own_value_shows_in_its_row() {
    Written nothing = Written.of(PaperKind.DISASSEMBLY).with("item", "HIVE").with("quantity", "2");
    assertThat(book.faults(nothing))
        .containsExactly(
            "rows.0.item: Into what is it taken apart? Name each part and how many there are.");
    Written own = nothing.line("item", "FRAME", "quantity", "2", "amount", "4");
    assertThat(book.read(own).rows().get(0).amount()).isEqualTo(400);
    assertThat(book.read(own).rows().get(0).unit()).isEqualTo("each");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1 | 2 | rows.0.quantity: An account has no quantity; its amount alone is added.",
        "| | rows.0.amount: How much of it is added to the cost?",
        "| 0 | rows.0.amount: Nothing is added by zero; leave the line out.",
      })
  void work_that_cannot_be_added_is_refused_at_its_cell(
      String quantity, String amount, String fault) {
    Written work =
        of(PaperKind.ASSEMBLY, "item", "FRAME", "quantity", "20")
            .line("item", "7000", "quantity", typed(quantity), "amount", typed(amount));
    assertThat(book.faults(work)).containsExactly(fault.replace("rows.0", "rows.1"));
  }

  @Test
  void work_shows_its_account_and_amount_and_parts_that_are_promised_are_asked_about() {
    Written work = of(PaperKind.ASSEMBLY, "item", "FRAME", "quantity", "20");
    work.line("item", "7000", "amount", "3.50");
    assertThat(book.read(work).rows().get(1).amount()).isEqualTo(350);
    assertThat(book.read(work).rows().get(1).account()).isEqualTo(RENT);
    book.promised = new Catalogue.Promised(25_000_000, 10_000_000, "SO-1");
    assertThat(book.faults(work))
        .singleElement()
        .asString()
        .isEqualTo(
            "rows.0.quantity: Of 2 box + 1 at Barn store, 10 are promised before, first to SO-1;"
                + " 1 box + 3 are free, and this takes 1 box + 8.");
  }

  @Test
  void made_goods_with_numbers_come_in_under_them() {
    Plan plan =
        book.plan(
            Written.of(PaperKind.ASSEMBLY)
                .with("item", "HONEY")
                .with("quantity", "3")
                .with("numbers", "L-1: 1, L-2: 2")
                .line("item", "FRAME", "quantity", "1"));
    assertThat(plan.moves().stream().filter(m -> m.item() == HONEY.id()))
        .extracting(m -> m.lot().code() + " " + m.quantity())
        .containsExactly("L-1 1", "L-2 2");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "HIVE | true | WO-9 | work_order: There is no work order \"WO-9\" that stands.",
        "HIVE | false | WO-1 | work_order: WO-1 waits for approval.",
        "EX | true | WO-1 | work_order: WO-1 is to make The hive, not The ex.",
        "HIVE | true | WO-1 | quantity: Of WO-1 1 are left to make; this makes 2.",
      })
  void a_work_order_that_cannot_be_gone_on_with_is_refused_at_its_field(
      String makes, boolean approved, String order, String fault) {
    book.awaited.add(
        new Awaited(
            7,
            Awaits.TO_BE_MADE,
            PaperKind.WORK_ORDER,
            70,
            "WO-1",
            java.time.LocalDate.of(2026, 11, 20),
            0,
            0,
            HIVE,
            1_000_000,
            0,
            1_000_000,
            0,
            0,
            null,
            null,
            new Awaited.Order(70, "WO-1", 0, 0, 0, 0, 0, approved),
            java.util.List.of()));
    Written written =
        of(PaperKind.ASSEMBLY, "item", "FRAME", "quantity", "1")
            .with("item", makes)
            .with("work_order", order);
    if (makes.equals("EX")) written.with("numbers", "E-1, E-2");
    assertThat(book.faults(written)).contains(fault);
  }
}
