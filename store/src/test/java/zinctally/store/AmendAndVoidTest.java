package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.check.CheckRuns;
import zinctally.store.opening.SheetReader;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperText;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Voiding;
import zinctally.store.prove.BalanceStore;
import zinctally.store.prove.PeriodStore;
import zinctally.store.prove.TieOutStore;

/** A posted paper gets a next version, or goes; what it wrote stays readable. */
class AmendAndVoidTest extends OneBookTest {
  private static Map<String, String> bill(String date) {
    return Map.of("date", date, "supplier", "Orrin Joinery", "place", "Store");
  }

  private long worth(String code) {
    return book.sql()
        .sql(
            "select coalesce(sum(n.value), 0) from item i left join cost_entry n on n.item_id = i.id"
                + " where i.code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }

  private long cost(long paper) {
    return -book.sql()
        .sql("select sum(booked) from cost_event where paper_id = ? and not gone")
        .param(paper)
        .query(Long.class)
        .single();
  }

  /** Engine property 5, over two methods, with sales between and a payment of another bill. */
  @Test
  void post_then_void_leaves_every_figure_of_every_date_as_it_was() {
    for (String method : List.of("FIFO", "AVERAGE")) {
      String code = "BACK-" + method;
      book.item(code, method);
      book.bill("2026-01-10", code, "10", "2.00");
      book.invoice("2026-02-10", code, "4", "9");
      book.invoice("2026-03-10", code, "3", "9");
      Map<LocalDate, String> before = book.figures();
      long late = book.bill("2026-01-05", code, "5", "7.00");
      assertThat(book.figures()).isNotEqualTo(before);
      book.voidOn("2026-01-05", late);
      assertThat(book.figures()).isEqualTo(before);
    }
  }

  /** By hand: 10 at 2.00, sold 6 for 12.00; the bill is amended to 2.50: 15.00, three more. */
  @Test
  void an_amended_price_reaches_the_goods_here_and_the_goods_sold() {
    book.item("PRICE", "FIFO");
    long bill = book.bill("2026-01-10", "PRICE", "10", "2.00");
    long sale = book.invoice("2026-02-10", "PRICE", "6", "9");
    assertThat(cost(sale)).isEqualTo(1200);
    book.amend(bill, PaperKind.BILL, bill("2026-01-10"), FreshBook.rows("PRICE", "10", "2.50"));
    assertThat(cost(sale)).isEqualTo(1500);
    assertThat(worth("PRICE")).isEqualTo(1000);
    assertThat(
            book.sql()
                .sql(
                    "select sum(l.amount) from journal j join journal_line l on l.journal_id = j.id"
                        + " join account a on a.id = l.account_id"
                        + " where j.paper_id = ? and a.role = 'PAYABLES'")
                .param(bill)
                .query(Long.class)
                .single())
        .isEqualTo(-2500);
    assertThat(
            book.sql()
                .sql("select count(*) from journal where paper_id = ? and reverses")
                .param(bill)
                .query(Long.class)
                .single())
        .isEqualTo(1);
    assertThat(
            book.sql()
                .sql("select count(*) from paper_version where paper_id = ?")
                .param(bill)
                .query(Long.class)
                .single())
        .isEqualTo(2);
  }

  @Test
  void a_bill_whose_goods_have_gone_is_not_voided_and_the_sale_is_named() {
    book.item("GONE", "FIFO");
    long bill = book.bill("2026-01-10", "GONE", "5", "2.00");
    long sale = book.invoice("2026-02-10", "GONE", "4", "9");
    Map<LocalDate, String> before = book.figures();
    assertThatThrownBy(() -> book.voidOn("2026-01-10", bill))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(
            book.sql()
                .sql("select number from paper where id = ?")
                .param(sale)
                .query(String.class)
                .single());
    assertThat(book.figures()).isEqualTo(before);
    book.voidOn("2026-02-10", sale);
    book.voidOn("2026-01-10", bill);
    assertThat(worth("GONE")).isZero();
  }

  @Test
  void a_paid_bill_is_not_voided_until_its_payment_is() {
    book.item("PAID", "FIFO");
    long bill =
        book.post(
            PaperKind.BILL,
            Map.of(
                "date",
                "2026-01-10",
                "supplier",
                "Pell Wax",
                "place",
                "Store",
                "their_number",
                "PW-1"),
            FreshBook.rows("PAID", "5", "2.00"));
    Map<LocalDate, String> unpaid = book.figures();
    long payment =
        book.post(
            PaperKind.SUPPLIER_PAYMENT,
            Map.of("date", "2026-02-01", "supplier", "Pell Wax", "money", "1000", "amount", "6"),
            List.of(Map.of("paper", "PW-1", "amount", "6")));
    assertThatThrownBy(() -> book.voidOn("2026-02-02", bill))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("PS-2026-")
        .hasMessageContaining("6.00");
    assertThatThrownBy(
            () ->
                book.amend(
                    bill,
                    PaperKind.BILL,
                    Map.of("date", "2026-01-10", "supplier", "Pell Wax", "place", "Store"),
                    FreshBook.rows("PAID", "5", "1.00")))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("more than the 5.00");
    book.amend(
        payment,
        PaperKind.SUPPLIER_PAYMENT,
        Map.of("date", "2026-02-01", "supplier", "Pell Wax", "money", "1000", "amount", "10"),
        List.of(Map.of("paper", "PW-1", "amount", "10")));
    assertThat(
            book.sql()
                .sql("select open from open_item where paper_id = ?")
                .param(bill)
                .query(Long.class)
                .single())
        .isZero();
    book.voidOn("2026-02-01", payment);
    assertThat(book.figures()).isEqualTo(unpaid);
    book.voidOn("2026-01-10", bill);
  }

  @Test
  void a_void_on_a_later_day_leaves_the_days_before_it_alone() {
    book.item("LATER", "FIFO");
    long bill = book.bill("2026-01-10", "LATER", "5", "2.00");
    Map<LocalDate, String> before = book.figures();
    book.voidOn("2026-04-01", bill);
    Map<LocalDate, String> after = book.figures();
    LocalDate day = LocalDate.of(2026, 4, 1);
    assertThat(after.entrySet().stream().filter(e -> e.getKey().isBefore(day)).toList())
        .isEqualTo(before.entrySet().stream().filter(e -> e.getKey().isBefore(day)).toList());
    assertThat(after.get(day)).doesNotContain("LATER");
    assertThatThrownBy(() -> book.voidOn("2026-04-02", bill)).hasMessageContaining("void already");
  }

  @Test
  void a_version_begun_before_another_was_posted_is_refused() {
    book.item("TWICE", "FIFO");
    long bill = book.bill("2026-01-10", "TWICE", "5", "2.00");
    long draft =
        book.get(DraftStore.class)
            .beginAmending(
                bill,
                1,
                new Draft(PaperKind.BILL, bill("2026-01-10"), FreshBook.rows("TWICE", "6", "2.00")),
                "tester");
    book.get(Posting.class).post(draft, "tester");
    long second =
        book.get(DraftStore.class)
            .beginAmending(
                bill,
                1,
                new Draft(PaperKind.BILL, bill("2026-01-10"), FreshBook.rows("TWICE", "7", "2.00")),
                "tester");
    assertThatThrownBy(() -> book.get(Posting.class).post(second, "tester"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("another version");
    assertThat(worth("TWICE")).isEqualTo(1200);
  }

  @Test
  void a_paper_in_a_closed_period_is_not_amended_and_its_void_moves_no_closed_day() {
    book.item("SHUT", "AVERAGE");
    long bill = book.bill("2026-02-10", "SHUT", "5", "2.00");
    book.bill("2026-02-11", "SHUT", "5", "4.00");
    book.invoice("2026-02-20", "SHUT", "2", "9");
    Map<LocalDate, String> before = book.figures();
    book.sql().sql("update book set closed_to = '2026-02-28'").update();
    try {
      assertThatThrownBy(
              () ->
                  book.amend(
                      bill,
                      PaperKind.BILL,
                      bill("2026-03-01"),
                      FreshBook.rows("SHUT", "5", "3.00")))
          .hasMessageContaining("closed period");
      assertThatThrownBy(() -> book.voidOn("2026-02-28", bill))
          .hasMessageContaining("closed period");
      book.voidOn("2026-03-01", bill);
    } finally {
      book.sql().sql("update book set closed_to = null").update();
    }
    LocalDate open = LocalDate.of(2026, 3, 1);
    Map<LocalDate, String> after = book.figures();
    before.forEach(
        (date, figures) -> {
          if (date.isBefore(open)) assertThat(after.get(date)).isEqualTo(figures);
        });
    // five at 4.00 came, two are sold: three at 4.00 are left
    assertThat(worth("SHUT")).isEqualTo(1200);
  }

  @Test
  void a_journal_by_hand_on_stock_is_named_until_it_is_voided() {
    long journal =
        book.post(
            PaperKind.JOURNAL,
            Map.of("date", "2026-03-05", "override", "Old report was short"),
            List.of(
                Map.of("account", "1400", "debit", "85"),
                Map.of("account", "6300", "credit", "85")));
    TieOutStore tieOut = book.get(TieOutStore.class);
    LocalDate day = LocalDate.of(2026, 3, 31);
    assertThat(tieOut.byHand(day, "STOCK")).hasSize(1);
    assertThat(tieOut.byAccount(day)).anyMatch(a -> a.ledger() - a.book() == 8500);
    book.voidOn("2026-03-05", journal);
    assertThat(tieOut.byHand(day, "STOCK")).isEmpty();
    assertThat(tieOut.byAccount(day)).allMatch(a -> a.ledger() == a.book());
  }

  @Test
  void the_beam_knows_of_items_put_apart_by_hand_until_a_check_has_seen_them() {
    book.item("FROM", "FIFO");
    book.item("TO", "FIFO");
    long journal =
        book.post(
            PaperKind.JOURNAL,
            Map.of("date", "2026-03-05", "override", "Wrong item"),
            List.of(
                Map.of("account", "1400", "item", "TO", "debit", "85"),
                Map.of("account", "1400", "item", "FROM", "credit", "85")));
    BalanceStore balances = book.get(BalanceStore.class);
    assertThat(balances.now().inStep()).isTrue();
    assertThat(balances.apartByHand()).isTrue();
    assertThat(book.get(CheckRuns.class).run("asked").clean()).isFalse();
    assertThat(balances.apartByHand()).isFalse();
    book.sql()
        .sql(
            "insert into check_run (began_at, ended_at, cause, rules, faults)"
                + " select began_at - interval 1 hour, ended_at, cause, rules, 0 from check_run"
                + " order by id desc limit 1")
        .update();
    assertThat(book.get(CheckRuns.class).latest().orElseThrow().clean()).isFalse();
    book.voidOn("2026-03-05", journal);
    assertThat(balances.apartByHand()).isFalse();
    assertThat(book.get(CheckRuns.class).run("asked").clean()).isTrue();
  }

  @Test
  void items_that_are_apart_are_counted_though_their_sums_agree() {
    book.item("ONE", "FIFO");
    book.item("OTHER", "FIFO");
    book.bill("2026-03-05", "ONE", "1", "2.00", "OTHER", "1", "3.00");
    JdbcClient.StatementSpec swap =
        book.sql()
            .sql(
                "update journal_line l join account a on a.id = l.account_id and a.role = 'STOCK'"
                    + " set l.amount = 500 - l.amount where l.item_id in"
                    + " (select id from item where code in ('ONE', 'OTHER'))");
    swap.update();
    LocalDate day = LocalDate.of(2026, 3, 5);
    List<TieOutStore.GroupLine> groups = book.get(TieOutStore.class).byGroup(day);
    assertThat(groups).allMatch(g -> g.book() == g.ledger());
    assertThat(groups.stream().mapToInt(TieOutStore.GroupLine::apart).sum()).isEqualTo(2);
    assertThat(book.get(PeriodStore.class).unsettled(day.withDayOfMonth(1)))
        .extracting(PeriodStore.Unsettled::what)
        .anyMatch(what -> what.endsWith(": 2 items are apart"));
    swap.update();
  }

  @Test
  void opening_stock_is_amended_and_voided_like_any_paper() throws Exception {
    Map<LocalDate, String> before = book.figures();
    Draft typed =
        SheetReader.text("Code\tName\tQuantity\tUnit cost\nSMK\tSmoker\t4\t2.50\n")
            .asOpeningStock("Store");
    long paper =
        book.get(Posting.class).post(book.get(DraftStore.class).begin(typed, "tester"), "tester");
    assertThat(worth("SMK")).isEqualTo(1000);
    List<Map<String, String>> rows =
        List.of(Map.of("c0", "SMK", "c1", "Smoker", "c2", "5", "c3", "2.50"));
    book.amend(paper, PaperKind.OPENING_STOCK, typed.fields(), rows);
    assertThat(worth("SMK")).isEqualTo(1250);
    book.voidOn("2026-01-01", paper);
    assertThat(book.figures()).isEqualTo(before);
  }

  @Test
  void who_posted_amended_and_voided_a_paper_and_why_stays_written_down() {
    book.item("WHO", "FIFO");
    long paper = book.bill("2026-01-10", "WHO", "10", "2.00");
    book.amend(paper, PaperKind.BILL, bill("2026-01-10"), FreshBook.rows("WHO", "10", "2.50"));
    book.get(Voiding.class).voidPaper(paper, LocalDate.of(2026, 1, 11), "billed twice", "tester");
    String number = book.number(paper);
    assertThat(
            book.sql()
                .sql(
                    "select concat_ws(' | ', login, what, before_text, after_text) from audit"
                        + " where subject = 'paper' and subject_id = ? order by id")
                .param(paper)
                .query(String.class)
                .list())
        .containsExactly(
            "tester | posted " + number + " | version 1",
            "tester | amended " + number + " | version 2",
            "tester | voided " + number + " | on 2026-01-11: billed twice");
    assertThat(book.get(PaperText.class).voiding(paper).orElseThrow().note())
        .isEqualTo("on 2026-01-11: billed twice");
    assertThat(book.get(PaperText.class).versions(paper))
        .extracting(v -> v.version() + " " + v.what() + " " + v.by())
        .containsExactly("1 posted tester", "2 amended tester");
  }
}
