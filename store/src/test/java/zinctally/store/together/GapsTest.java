package zinctally.store.together;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.FreshBook;
import zinctally.store.Refused;
import zinctally.store.book.SetUp;
import zinctally.store.buy.OrderStore;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.SavedDraft;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.posting.Ordering;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Voiding;
import zinctally.store.sell.ReminderStore;
import zinctally.store.sell.TillStore;

/**
 * One reads, another writes, the first decides and writes: each of these gaps is held open at the
 * worst place, and what comes of it must be what came of it had one gone after the other.
 */
class GapsTest {
  private static final String OWN_DUES = "select o.*, (select coalesce";
  private static final String OWN_AWAITED = "select a.*, i.name";
  private static final String STANDING = "select coalesce(sum(quantity), 0), coalesce(sum(value)";
  private static FreshBook book;
  private static LockWaits waits;
  private static int rounds;
  private World world;

  @BeforeAll
  static void open() {
    waits = new LockWaits();
    book = new FreshBook(StoppingDataSource.Wiring.class);
  }

  @AfterAll
  static void close() {
    book.close();
    waits.close();
  }

  @BeforeEach
  void world() {
    world = new World(book, ++rounds);
  }

  @AfterEach
  void holds() throws Exception {
    world.open();
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
  }

  private List<String> gap(String after, String first, String second) {
    return gap(after, 1, world.deed(first), world.deed(second));
  }

  private List<String> gap(String after, int times, String first, String second) {
    return gap(after, times, world.deed(first), world.deed(second));
  }

  /** What the two were told; empty when it is done. */
  private static List<String> gap(String after, int times, Callable<?> first, Callable<?> second) {
    return Turns.inTheGap(after, times, first, second, waits).came().stream()
        .map(c -> c.threw() == null ? "" : String.valueOf(c.threw().getMessage()))
        .toList();
  }

  /** Of two who want the same, one has it and the other is told why not. */
  private static void oneIsTold(List<String> told) {
    assertThat(told.stream().filter(String::isEmpty)).as("who did it: " + told).hasSize(1);
  }

  private static long one(String query, Object... params) {
    return book.sql().sql(query).params(params).query(Long.class).single();
  }

  @Test
  void a_bill_is_voided_or_paid_and_not_both() {
    oneIsTold(gap(OWN_DUES, "voids the rent", "pays the rent"));
  }

  @Test
  void a_bill_of_an_order_takes_nothing_of_a_receipt_that_is_void() {
    assertThat(gap(OWN_AWAITED, "voids the receipt", "bills the order")).contains("");
    assertThat(
            one(
                "select count(*) from fulfilment f join awaited a on a.id = f.awaited_id"
                    + " join paper p on p.id = a.paper_id where a.paper_id = ?"
                    + " and p.state = 'VOID' and f.paper_id <> a.paper_id",
                world.receipt))
        .isZero();
  }

  /**
   * Three of 20 at 2.00 went and were invoiced. Freight of 3.33 on the 20 makes the three cost
   * more; the invoice is void: all of that stands on Sent, not invoiced, nothing on cost of goods
   * sold.
   */
  @Test
  void what_a_void_invoice_had_recognised_is_taken_back_with_what_freight_added() {
    long before = booked("COST_OF_GOODS_SOLD");
    long delivered =
        one(
            "select sum(f.value) from fulfilment f join awaited a on a.id = f.awaited_id"
                + " where f.paper_id = ? and a.what = 'SENT_INVOICE'",
            world.delivered);
    assertThat(
            gap(
                "select f.date, f.account_id",
                "voids the invoice of a delivery",
                "charges freight"))
        .containsOnly("");
    long gone =
        one(
            "select -sum(e.booked) from cost_event e join account c on c.id = e.contra_account"
                + " join item i on i.id = e.item_id"
                + " where i.code = ? and c.role = 'SENT_NOT_INVOICED' and not e.gone",
            world.goods);
    assertThat(gone).isGreaterThan(delivered);
    assertThat(booked("SENT_NOT_INVOICED")).isEqualTo(gone);
    long sold =
        one(
            "select -sum(e.booked) from cost_event e join account c on c.id = e.contra_account"
                + " join item i on i.id = e.item_id"
                + " where i.code = ? and c.role = 'COST_OF_GOODS_SOLD' and not e.gone",
            world.goods);
    assertThat(booked("COST_OF_GOODS_SOLD")).isEqualTo(sold).isNotEqualTo(before);
  }

  private long booked(String role) {
    return book.booked(role, world.goods, "2026-06-30");
  }

  /** To 1.00 a piece of those that were there; two of them are sold after it. */
  @Test
  void a_write_down_is_worked_out_on_the_goods_that_are_there_when_it_is_posted() {
    assertThat(gap(STANDING, "writes down", "sells")).containsOnly("");
    long pieces =
        one(
            "select on_hand div 1000000 from cost_pool h join item i on i.id = h.item_id"
                + " where i.code = ?",
            world.goods);
    long sold =
        one(
            "select -sum(booked) from cost_event where paper_id ="
                + " (select max(id) from paper where kind = 'INVOICE')");
    assertThat(book.worth(world.goods) + sold).isEqualTo((pieces + 2) * 100);
  }

  @Test
  void tracking_of_an_item_starts_once() {
    oneIsTold(gap("select p.id, p.date, p.sequence", "starts tracking", "starts tracking"));
    assertThat(
            one(
                "select on_hand div 1000000 from cost_pool h join item i on i.id = h.item_id"
                    + " where i.code = ?",
                world.untracked))
        .isEqualTo(18);
  }

  @Test
  void what_is_sold_while_tracking_starts_gets_its_cost() {
    assertThat(gap("select i.id, i.code, i.name", "sells the untracked", "starts tracking"))
        .containsOnly("");
    assertThat(
            one(
                "select on_hand div 1000000 from cost_pool h join item i on i.id = h.item_id"
                    + " where i.code = ?",
                world.untracked))
        .isEqualTo(17);
  }

  /**
   * A bill of April is dated back to February, before hundreds of moves of March, while freight is
   * put on it: the moves of March bear their share.
   */
  @Test
  void freight_reaches_an_arrival_that_is_dated_back_meanwhile() {
    String buys = "item quantity price";
    Map<String, String> from = Map.of("supplier", "Orrin " + rounds);
    long late = book.paper(PaperKind.BILL, "2026-04-10", from, buys, world.untouched, "10", "9.00");
    book.paper(PaperKind.BILL, "2026-01-31", from, buys, world.untouched, "500", "2.00");
    String[] cells = new String[3 * 230];
    for (int i = 0; i < cells.length; i += 3) {
      cells[i] = world.untouched;
      cells[i + 1] = "-1";
      cells[i + 2] = "Sample";
    }
    book.paper(PaperKind.ADJUSTMENT, "2026-03-05", Map.of(), "item quantity reason", cells);
    Callable<?> charges =
        () ->
            book.paper(
                PaperKind.CHARGE,
                "2026-04-20",
                Map.of("supplier", "Orrin " + rounds, "what", "Freight", "amount", "30.00"),
                "bill",
                book.number(late));
    Callable<?> datesBack =
        () -> {
          Map<String, String> head =
              Map.of("date", "2026-02-01", "supplier", "Orrin " + rounds, "place", "Store");
          book.amend(late, PaperKind.BILL, head, FreshBook.rows(world.untouched, "10", "9.00"));
          return null;
        };
    gap("select id, item_id, date, sequence, part, line", 1, charges, datesBack);
  }

  @Test
  void cash_that_comes_while_the_till_closes_is_refused_or_counted() {
    oneIsTold(gap("select next value for paper_sequence", "sells for cash", "closes the till"));
    assertThat(one("select count(*) from till where id = ? and closed_at is not null", world.till))
        .isEqualTo(1);
    assertThat(
            one(
                "select count(*) from paper where kind = 'COUNTER_SALE' and till_id is null"
                    + " and state = 'POSTED'"))
        .isZero();
  }

  @Test
  void a_method_is_changed_before_the_first_goods_come_or_not_at_all() {
    assertThat(
            gap(
                "select exists (select 1 from cost_event",
                "changes a method",
                "buys what never moved"))
        .containsOnly("");
  }

  @Test
  void a_till_is_opened_once_by_two_clicks() {
    TillStore tills = book.get(TillStore.class);
    book.sql().sql("insert into place (name) values (?)").param("Stand " + rounds).update();
    Callable<Long> opens = () -> tills.open("Stand " + rounds, 5000, "somebody");
    gap("select t.id from till", 1, opens, opens);
    assertThat(
            one(
                "select count(*) from till t join place p on p.id = t.place_id where p.name = ?",
                "Stand " + rounds))
        .isEqualTo(1);
  }

  private static Callable<?> bill(String their) {
    return () ->
        book.paper(
            PaperKind.BILL,
            "2026-03-01",
            Map.of("supplier", "Pell Wax " + rounds, "their_number", their),
            "item price",
            "6000",
            "7.00");
  }

  @Test
  void a_suppliers_number_that_comes_twice_at_once_is_asked_about() throws Exception {
    bill("first").call();
    oneIsTold(gap("select number, date, total from paper", 1, bill("W-7"), bill("W-7")));
  }

  @Test
  void two_invoices_at_once_do_not_slip_under_one_limit() {
    String customer = "Fenwick " + rounds;
    long owed =
        one(
            "select sum(o.open) from open_item o join party w on w.id = o.party_id where w.name = ?",
            customer);
    book.sql()
        .sql("update party set credit_limit = ? where kind = 'CUSTOMER' and name = ?")
        .params(owed + 600, customer)
        .update();
    Callable<?> sells =
        () ->
            book.paper(
                PaperKind.INVOICE,
                "2026-03-09",
                Map.of("customer", customer),
                "item quantity price",
                world.goods,
                "1",
                "5.00");
    oneIsTold(gap("select o.*, o.open - coalesce", 1, sells, sells));
  }

  @Test
  void an_amended_order_still_knows_what_was_billed_of_it_meanwhile() {
    assertThat(gap(OWN_AWAITED, 2, "amends the order", "bills the receipt")).contains("");
  }

  @Test
  void the_rest_of_an_order_is_cancelled_beside_goods_that_come() {
    long order = one("select id from paper where number = ?", world.order);
    book.voidOn("2026-02-03", world.receipt);
    Callable<?> ends =
        () -> {
          book.get(Ordering.class).end(order, "tester");
          return null;
        };
    Callable<?> comes =
        () ->
            book.paper(
                PaperKind.RECEIPT,
                "2026-02-05",
                Map.of("supplier", "Orrin " + rounds),
                "of item quantity price",
                world.order,
                world.goods,
                "5",
                "");
    oneIsTold(gap(OWN_AWAITED, 1, ends, comes));
    assertThat(one("select min(open_quantity) from awaited where paper_id = ?", order)).isZero();
  }

  @Test
  void reminders_are_drafted_once_by_two_clicks() {
    ReminderStore reminders = book.get(ReminderStore.class);
    Callable<Integer> drafts = () -> reminders.draft("tester");
    gap("insert", 1, drafts, drafts);
    assertThat(one("select max(n) from (select count(*) as n from reminder group by party_id) r"))
        .isEqualTo(1);
  }

  @Test
  void what_is_short_is_ordered_once_by_two_clicks() {
    book.sql()
        .sql("update item set reorder_point = 500000000, reorder_quantity = 1000000 where code = ?")
        .param(world.goods)
        .update();
    Callable<?> orders =
        () ->
            book.get(SetUp.class)
                .alone(
                    () ->
                        book.get(OrderStore.class)
                            .draftOrders(
                                zinctally.store.listing.Ask.ALL,
                                Map.of("date", "2026-03-01"),
                                "tester"));
    gap("select * from draft where paper_id is null", 1, orders, orders);
    assertThat(
            book.get(DraftStore.class).open(PaperKind.PURCHASE_ORDER).stream()
                .flatMap(d -> d.rows().stream())
                .filter(r -> world.goods.equals(r.get("item"))))
        .hasSize(1);
  }

  @Test
  void one_item_is_made_of_one_name_on_two_papers() {
    Callable<?> buys =
        () -> {
          Map<String, String> head = new java.util.HashMap<>();
          for (int asked = 0; ; asked++)
            try {
              return book.paper(
                  PaperKind.BILL,
                  "2026-03-01",
                  head,
                  "item quantity price",
                  "Smoker " + rounds,
                  "1",
                  "7.00");
            } catch (Refused refused) {
              if (asked == 2) throw refused;
              refused
                  .faults()
                  .forEach(f -> head.merge("agreed", f.question(), (a, b) -> a + " " + b));
            }
        };
    assertThat(gap("select next value for item_id", 1, buys, buys)).contains("");
    assertThat(one("select count(*) from item where name = ?", "Smoker " + rounds)).isEqualTo(1);
  }

  @Test
  void two_owners_who_demote_each_other_leave_one() {
    PeopleStore people = book.get(PeopleStore.class);
    String first = "first" + rounds;
    String second = "second" + rounds;
    people.add(first, "First", "{noop}x", Person.Role.OWNER);
    people.add(second, "Second", "{noop}x", Person.Role.OWNER);
    Callable<?> demotesFirst = () -> demoted(people, first);
    Callable<?> demotesSecond = () -> demoted(people, second);
    gap("update app_user", 1, demotesFirst, demotesSecond);
    assertThat(one("select count(*) from app_user where role = 'OWNER' and active")).isEqualTo(1);
    book.sql().sql("update app_user set role = 'READER'").update();
  }

  private static boolean demoted(PeopleStore people, String login) {
    return book.get(SetUp.class)
        .alone(
            () ->
                people.change(
                    people.find(login).orElseThrow().id(), Person.Role.READER, true, false));
  }

  @Test
  void of_two_windows_the_second_is_told_and_overwrites_nothing() {
    DraftStore drafts = book.get(DraftStore.class);
    long id = book.draft(PaperKind.INVOICE, Map.of("date", "2026-03-01"), List.of());
    SavedDraft.Seen first = new SavedDraft.Seen(0, "a window");
    SavedDraft.Seen second = new SavedDraft.Seen(0, "another");
    Draft lines = new Draft(PaperKind.INVOICE, Map.of(), FreshBook.rows(world.goods, "1", "5.00"));
    Draft head = new Draft(PaperKind.INVOICE, Map.of("customer", "Perrin Vale"), List.of());
    assertThat(drafts.save(id, lines, first, "ann")).isPresent();
    assertThat(drafts.save(id, head, second, "ben")).isEmpty();
    assertThat(drafts.discard(id, second)).isFalse();
    // an answer that was lost on its way does not shut a window out of what it saved itself
    assertThat(drafts.save(id, lines, first, "ann")).isPresent();
    assertThat(drafts.find(id).orElseThrow().draft().rows()).isEqualTo(lines.rows());
  }

  @Test
  void a_window_posts_what_it_has_seen_and_nothing_else() {
    DraftStore drafts = book.get(DraftStore.class);
    Posting posting = book.get(Posting.class);
    Map<String, String> head =
        Map.of("date", "2026-03-09", "customer", "Fenwick " + rounds, "place", "Store");
    long id = book.draft(PaperKind.INVOICE, head, FreshBook.rows(world.goods, "1", "5.00"));
    SavedDraft.Seen seen = drafts.find(id).orElseThrow().seen();
    Draft more = new Draft(PaperKind.INVOICE, head, FreshBook.rows(world.goods, "2", "5.00"));
    SavedDraft.Seen other = new SavedDraft.Seen(seen.revision(), "another");
    SavedDraft kept = drafts.save(id, more, other, "ben").orElseThrow();
    assertThatThrownBy(() -> posting.post(id, seen, "ann"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("ben has changed this draft in another window");
    long paper = posting.post(id, kept.seen(), "ben");
    assertThat(posting.post(id, kept.seen(), "ben")).isEqualTo(paper);
    assertThatThrownBy(() -> posting.post(id, seen, "ann"))
        .hasMessageContaining("ben has posted this draft in another window");
  }

  /** A period closes between the reading of a paper of that month and its posting, or after it. */
  @Test
  void a_month_closes_before_or_after_a_posting_into_it() throws Exception {
    List<String> told = gap("select i.id, i.code, i.name", "posts a late bill", "closes February");
    if (!told.get(0).isEmpty()) {
      assertThat(told.get(0)).contains("closed period");
      return;
    }
    assertThat(one("select max(id) from audit where what like 'posted B-%'"))
        .isLessThan(one("select max(id) from audit where what = 'closed 2026-02'"));
  }

  /** What was read before everything was held is looked at again. */
  @Test
  void all_gaps_of_a_void_are_shut_to_a_late_bill() {
    for (String after :
        Stream.of(
                "select * from paper where id",
                "select b.*, exists (select 1 from centre",
                OWN_DUES)
            .toList()) {
      World fresh = new World(book, ++rounds);
      gap(after, 1, fresh.deed("voids the sale"), fresh.deed("posts a late bill"));
    }
  }

  /** Days on which nothing was closed yet. */
  @Test
  void a_void_is_refused_in_a_month_that_has_closed_meanwhile() throws Exception {
    LocalDate day = LocalDate.of(2026, 2, 3);
    Callable<?> voids =
        () -> {
          book.get(Voiding.class).voidPaper(world.receipt, day, "", "tester");
          return null;
        };
    gap("select * from paper where id", 1, voids, world.deed("closes February"));
  }
}
