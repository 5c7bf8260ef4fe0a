package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zinctally.core.cost.Booked;
import zinctally.core.cost.Method;
import zinctally.core.cost.Past;
import zinctally.core.cost.Pool;
import zinctally.core.cost.PoolState;
import zinctally.core.cost.Recost;
import zinctally.core.cost.Trace;
import zinctally.core.papers.PaperKind;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.cost.PoolStore;
import zinctally.store.posting.Voiding;
import zinctally.store.prove.TieOutStore;

/**
 * Papers entered in any order, amended and voided: the books must be as if each had been entered on
 * its day.
 */
class LatePapersTest {
  @ParameterizedTest
  @ValueSource(strings = {"FIFO", "AVERAGE"})
  void the_books_agree_with_a_replay_from_scratch_whatever_was_entered_when(String method) {
    Random dice = new Random(method.hashCode());
    try (FreshBook book = new FreshBook()) {
      String[] codes = {"MANY", "SOME", "FEW"};
      for (String code : codes) book.item(code, method);
      int posted = 0;
      int changed = 0;
      List<Long> bills = new ArrayList<>();
      List<Long> sales = new ArrayList<>();
      for (int i = 0; i < 640; i++) {
        LocalDate date =
            LocalDate.of(2026, 1, 2).plusDays(i / 5 + dice.nextInt(4) * dice.nextInt(8));
        String code = codes[Math.max(0, dice.nextInt(12) - 9)];
        String quantity = String.valueOf(1 + dice.nextInt(6));
        try {
          int what = dice.nextInt(12);
          boolean sale = dice.nextInt(5) >= 2;
          List<Long> papers = sale ? sales : bills;
          String price = sale ? "10" : dice.nextInt(900) / 100.0 + "";
          if (what > 9 && !papers.isEmpty()) {
            related(book, dice, papers.get(dice.nextInt(papers.size())), sale);
            changed++;
          } else if (what < 2 && !papers.isEmpty()) {
            long paper = papers.get(dice.nextInt(papers.size()));
            if (what == 0) {
              papers.remove(paper);
              book.get(Voiding.class).voidPaper(paper, dateOf(book, paper), "", "tester");
            } else
              book.amend(
                  paper,
                  sale ? PaperKind.INVOICE : PaperKind.BILL,
                  Map.of(
                      "date",
                      date.toString(),
                      sale ? "customer" : "supplier",
                      sale ? "Fenwick Garden" : "Orrin Joinery",
                      "place",
                      "Store"),
                  FreshBook.rows(code, quantity, price, codes[dice.nextInt(3)], "1", price));
            changed++;
          } else if (sale) sales.add(book.invoice(date.toString(), code, quantity, price));
          else bills.add(book.bill(date.toString(), code, quantity, price));
          posted++;
        } catch (Refused short_) {
          continue;
        }
      }
      assertThat(changed).isGreaterThan(40);
      assertThat(posted).isGreaterThan(250);
      for (long item = 1; item <= codes.length; item++) agreesFromScratch(book, item, method);
      agreesAtEveryDate(book);
      assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
      assertThat(book.sql().sql("select count(*) from cost_checkpoint").query(Long.class).single())
          .isPositive();
    }
  }

  /** A charge on a bill's goods, a return to its supplier, or of what an invoice sold. */
  private static void related(FreshBook book, Random dice, long paper, boolean sale) {
    String number =
        book.sql()
            .sql("select number from paper where id = ?")
            .param(paper)
            .query(String.class)
            .single();
    String item =
        book.sql()
            .sql(
                "select i.code from cost_event e join item i on i.id = e.item_id"
                    + " where e.paper_id = ? and not e.gone limit 1")
            .param(paper)
            .query(String.class)
            .single();
    String date = dateOf(book, paper).plusDays(dice.nextInt(20)).toString();
    if (!sale && dice.nextBoolean())
      book.post(
          PaperKind.CHARGE,
          Map.of(
              "date",
              date,
              "supplier",
              "Brenn Carriers",
              "amount",
              dice.nextInt(500) / 100.0 - 1 + "",
              "spread",
              dice.nextBoolean() ? "value" : "quantity"),
          List.of(Map.of("bill", number)));
    else
      book.post(
          sale ? PaperKind.CUSTOMER_RETURN : PaperKind.SUPPLIER_RETURN,
          Map.of(
              "date",
              date,
              sale ? "customer" : "supplier",
              sale ? "Fenwick Garden" : "Orrin Joinery",
              "place",
              "Store"),
          List.of(Map.of("paper", number, "item", item, "quantity", "1")));
  }

  private static LocalDate dateOf(FreshBook book, long paper) {
    return book.sql()
        .sql("select date from paper where id = ?")
        .param(paper)
        .query(LocalDate.class)
        .single();
  }

  private static void agreesFromScratch(FreshBook book, long item, String method) {
    PoolStore pools = book.get(PoolStore.class);
    List<Booked> events = pools.eventsAfter(item, null);
    Pool pool = new Pool(Method.valueOf(method), PoolState.EMPTY, false, Past.NONE, Trace.SILENT);
    Recost scratch = Recost.of(pool, List.of(), events, 0);
    assertThat(scratch.changes()).isEmpty();
    assertThat(scratch.end()).isEqualTo(pools.heads(List.of(item)).get(item).state());
    assertThat(
            book.sql()
                .sql("select sum(value) from cost_entry where item_id = ?")
                .param(item)
                .query(Long.class)
                .single())
        .isEqualTo(scratch.end().worth());
    assertThat(
            book.sql()
                .sql("select sum(quantity) from place_stock where item_id = ?")
                .param(item)
                .query(Long.class)
                .single())
        .isEqualTo(scratch.end().onHand());
    assertThat(
            book.sql()
                .sql("select sum(value) from item_month where item_id = ?")
                .param(item)
                .query(Long.class)
                .single())
        .isEqualTo(scratch.end().worth());
  }

  private static void agreesAtEveryDate(FreshBook book) {
    for (LocalDate date = LocalDate.of(2026, 1, 1);
        date.isBefore(LocalDate.of(2026, 6, 30));
        date = date.plusDays(1)) {
      assertThat(book.get(TieOutStore.class).byGroup(date)).allMatch(line -> line.apart() == 0);
      assertThat(book.get(TieOutStore.class).byAccount(date)).allMatch(a -> a.book() == a.ledger());
    }
  }

  /**
   * Worked by hand: 10 at 2.00 sold 4; a bill entered later, dated between, brings 4 at 1.00 first.
   */
  @Test
  void the_proof_of_a_late_bill_names_the_sale_whose_cost_moves() {
    try (FreshBook book = new FreshBook()) {
      book.item("LATE", "AVERAGE");
      book.bill("2026-02-01", "LATE", "6", "2.00");
      long sale = book.invoice("2026-02-10", "LATE", "4", "5.00");
      var proof =
          book.get(zinctally.store.posting.Proving.class)
              .prove(
                  new zinctally.core.papers.Draft(
                      zinctally.core.papers.PaperKind.BILL,
                      java.util.Map.of(
                          "date", "2026-02-05", "supplier", "Orrin Joinery", "place", "Store"),
                      FreshBook.rows("LATE", "6", "1.00")),
                  0,
                  "tester");
      var later = proof.work().orElseThrow().later();
      assertThat(later).hasSize(1);
      assertThat(later.get(0).difference()).isEqualTo(200);
      assertThat(later.get(0).postingDate()).isEqualTo(LocalDate.of(2026, 2, 10));
      assertThat(
              book.sql()
                  .sql("select paper_id from cost_event where id = ?")
                  .param(later.get(0).event().id())
                  .query(Long.class)
                  .single())
          .isEqualTo(sale);
    }
  }
}
