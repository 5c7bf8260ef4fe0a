package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zinctally.core.ledger.AccountKind;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.papers.PaperKind;
import zinctally.core.statement.Activity;
import zinctally.core.statement.Balances;
import zinctally.core.statement.Beside;
import zinctally.core.statement.BookYear;
import zinctally.core.statement.Column;
import zinctally.core.statement.Part;
import zinctally.core.statement.Section;
import zinctally.core.statement.Statement;
import zinctally.core.statement.Statements;
import zinctally.store.ledger.AccountStore;
import zinctally.store.listing.Ask;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.Page;
import zinctally.store.listing.StatementListings;
import zinctally.store.listing.Sums;
import zinctally.store.listing.ValuationListings;
import zinctally.store.prove.BridgeStore;
import zinctally.store.prove.TieOutStore;
import zinctally.store.statement.BalancesStore;
import zinctally.store.statement.LayoutStore;

/** Statements are made of what papers wrote, at any date and as of any moment. */
class StatementsTest extends OneBookTest {
  private static final BookYear YEAR = new BookYear(Month.JANUARY);

  private static Statements statements() {
    return new Statements(
        book.get(LayoutStore.class).layout(), book.get(BalancesStore.class).balances(), YEAR);
  }

  private static List<Column> column(String from, String to) {
    return Beside.NOTHING.columns(LocalDate.parse(from), LocalDate.parse(to), YEAR);
  }

  private static void journal(String date, String debit, String credit, String amount) {
    book.post(
        PaperKind.JOURNAL,
        Map.of("date", date),
        List.of(
            Map.of("account", debit, "debit", amount),
            Map.of("account", credit, "credit", amount)));
  }

  /**
   * A service firm's first month, ten transactions: Weygandt, Kimmel and Kieso, Accounting
   * Principles, chapter 1 (from memory): net income 2,750; capital after drawings 16,450; assets
   * 18,050; cash flow 1,350, -7,000 and 13,700. What is on account goes in as bill and invoice.
   */
  @Test
  void a_textbooks_month_goes_in_through_the_papers_and_comes_out_to_the_cent() {
    try (FreshBook firm = new FreshBook()) {
      FreshBook before = book;
      book = firm;
      firm.get(AccountStore.class).add("1430", "Supplies", AccountKind.ASSET, Role.NONE);
      firm.get(AccountStore.class).add("6110", "Advertising", AccountKind.EXPENSE, Role.NONE);
      journal("2026-05-01", "1000", "3000", "15000");
      journal("2026-05-01", "1600", "1000", "7000");
      bought("supplies", "1430", "1600.00");
      journal("2026-05-05", "1000", "4000", "1200");
      bought("advertising", "6110", "250.00");
      sold("3500.00");
      received("2026-05-10", "1500.00");
      journal("2026-05-15", "6000", "1000", "600");
      journal("2026-05-15", "6100", "1000", "900");
      journal("2026-05-15", "6300", "1000", "200");
      firm.paper(
          PaperKind.SUPPLIER_PAYMENT,
          "2026-05-20",
          Map.of("money", "1000", "amount", "250.00"),
          "paper amount",
          "advertising",
          "250.00");
      received("2026-05-25", "600.00");
      journal("2026-05-31", "3000", "1000", "1300");
      List<Column> may = column("2026-05-01", "2026-05-31");
      Statement result = statements().profitAndLoss(may);
      assertThat(result.amount("Revenue, in all", 0)).isEqualTo(new Money(4_700_00));
      assertThat(result.amount("Other costs, in all", 0)).isEqualTo(new Money(-1_950_00));
      assertThat(result.amount("Profit", 0)).isEqualTo(new Money(2_750_00));
      Statement position = statements().balanceSheet(may);
      assertThat(position.amount("Assets, in all", 0)).isEqualTo(new Money(18_050_00));
      assertThat(position.amount("Equity, in all", 0)).isEqualTo(new Money(16_450_00));
      assertThat(position.amount("Cash, in all", 0)).isEqualTo(new Money(8_050_00));
      assertThat(position.amount("Current liabilities, in all", 0)).isEqualTo(new Money(1_600_00));
      Statement cash = statements().cashFlow(may);
      assertThat(cash.amount("Operating activities, in all", 0)).isEqualTo(new Money(1_350_00));
      assertThat(cash.amount("Investing activities, in all", 0)).isEqualTo(new Money(-7_000_00));
      assertThat(cash.amount("Financing activities, in all", 0)).isEqualTo(new Money(13_700_00));
      assertThat(cash.amount("Cash at the end", 0)).isEqualTo(new Money(8_050_00));
      book = before;
    }
  }

  private static void bought(String number, String account, String amount) {
    book.paper(
        PaperKind.BILL,
        "2026-05-04",
        Map.of("their_number", number),
        "item quantity price",
        account,
        "1",
        amount);
  }

  private static void sold(String amount) {
    book.paper(
        PaperKind.INVOICE, "2026-05-08", Map.of(), "item quantity price", "4000", "1", amount);
  }

  private static void received(String date, String amount) {
    book.paper(
        PaperKind.CUSTOMER_PAYMENT,
        date,
        Map.of("money", "1000", "amount", amount),
        "paper amount",
        "INV-2026-0001",
        amount);
  }

  /** Random trade with amendments and voids, held against sums of all lines by plain SQL. */
  @Test
  void balances_at_any_day_and_moment_are_those_of_a_book_that_was_stopped_then() {
    long seed = 20_260_630;
    Random random = new Random(seed);
    book.item("TWO", "FIFO");
    book.item("TIMES", "AVERAGE");
    Map<LocalDateTime, Map<String, Long>> stopped = new HashMap<>();
    LocalDateTime moment = LocalDateTime.of(2026, 6, 1, 8, 0);
    List<Long> bills = new java.util.ArrayList<>();
    for (int step = 0; step < 25; step++) {
      String code = random.nextBoolean() ? "TWO" : "TIMES";
      String day = "2026-0" + (1 + random.nextInt(5)) + "-1" + random.nextInt(10);
      try {
        switch (random.nextInt(4)) {
          case 0, 1 ->
              bills.add(
                  book.bill(
                      day,
                      code,
                      String.valueOf(5 + random.nextInt(20)),
                      (1 + random.nextInt(9)) + ".37"));
          case 2 -> book.invoice("2026-05-2" + random.nextInt(9), code, "1", "9.99");
          default -> {
            if (!bills.isEmpty())
              book.voidOn("2026-06-0" + (1 + random.nextInt(9)), bills.remove(0));
          }
        }
      } catch (Refused notThere) {
        // goods that are not here yet, or gone; the book is as it was
      }
      moment = moment.plusMinutes(1 + random.nextInt(600));
      for (String table : List.of("journal", "cost_entry"))
        book.sql()
            .sql("update " + table + " set entered_at = ? where entered_at > '2026-06-20'")
            .param(moment)
            .update();
      stopped.put(moment, allLines());
    }
    int looked = 0;
    for (Map.Entry<LocalDateTime, Map<String, Long>> at : stopped.entrySet()) {
      Balances balances = book.get(BalancesStore.class).balances();
      for (int n = 0; n < 2; n++, looked++) {
        LocalDate day = LocalDate.of(2026, 1, 1).plusDays(random.nextInt(181));
        Map<Long, Money> known = balances.at(day, Optional.of(at.getKey()));
        Map<Long, Money> then = new HashMap<>();
        at.getValue()
            .forEach(
                (key, amount) -> {
                  String[] parts = key.split("/");
                  if (!LocalDate.parse(parts[1]).isAfter(day))
                    then.merge(Long.valueOf(parts[0]), new Money(amount), Money::plus);
                });
        known.values().removeIf(m -> m.signum() == 0);
        then.values().removeIf(m -> m.signum() == 0);
        assertThat(known).as("seed %d, %s as of %s", seed, day, at.getKey()).isEqualTo(then);
        List<Column> column =
            Beside.NOTHING.columns(day.withDayOfMonth(1), day, YEAR).stream()
                .map(c -> c.knownAt(at.getKey()))
                .toList();
        Statement position = statements().balanceSheet(column);
        assertThat(position.amount("Assets, in all", 0))
            .isEqualTo(position.amount("Equity and liabilities, in all", 0));
        stockAgrees(day, at.getKey(), then);
      }
    }
    assertThat(looked).isEqualTo(50);
  }

  /** Tie-out and valuation as of a moment say what stood on the stock account then. */
  private static void stockAgrees(LocalDate day, LocalDateTime moment, Map<Long, Money> then) {
    long stock =
        book.get(AccountStore.class).all().stream()
            .filter(a -> a.role() == Role.STOCK)
            .mapToLong(a -> then.getOrDefault(a.id(), Money.ZERO).minor())
            .sum();
    List<TieOutStore.GroupLine> lines =
        book.get(TieOutStore.class).byGroup(day, Optional.of(moment));
    assertThat(lines.stream().mapToLong(TieOutStore.GroupLine::ledger).sum()).isEqualTo(stock);
    assertThat(lines.stream().mapToLong(TieOutStore.GroupLine::book).sum()).isEqualTo(stock);
    for (boolean recent : List.of(true, false)) {
      Sums sums = new Sums(ValuationListings.valuation(day, recent, Optional.of(moment)));
      book.get(ListingStore.class)
          .all(ValuationListings.valuation(day, recent, Optional.of(moment)), Ask.ALL, sums::add);
      assertThat(sums.totals().sums().get("value").longValue()).isEqualTo(stock);
    }
  }

  private static Map<String, Long> allLines() {
    Map<String, Long> lines = new HashMap<>();
    book.sql()
        .sql("select account_id, date, sum(amount) from journal_line group by account_id, date")
        .query((row, n) -> lines.put(row.getLong(1) + "/" + row.getString(2), row.getLong(3)))
        .list();
    return lines;
  }

  /** By hand: 10 at 2.00 in, 4 sold, 1 broken: 20.00 - 8.00 - 2.00 = 10.00. */
  @Test
  void the_bridge_says_where_value_came_from_and_went() {
    try (FreshBook other = new FreshBook()) {
      other.item("BRG", "FIFO");
      other.bill("2026-01-10", "BRG", "10", "2.00");
      other.invoice("2026-02-10", "BRG", "4", "9");
      other.paper(
          PaperKind.ADJUSTMENT,
          "2026-02-11",
          Map.of(),
          "item quantity reason",
          "BRG",
          "-1",
          "Breakage");
      List<BridgeStore.Step> year =
          other.get(BridgeStore.class).bridge(LocalDate.of(2026, 1, 1), LocalDate.of(2026, 6, 30));
      assertThat(year)
          .extracting(BridgeStore.Step::amount)
          .containsExactly(0L, 0L, 2000L, 0L, -800L, -200L, 1000L);
      List<BridgeStore.Step> february =
          other.get(BridgeStore.class).bridge(LocalDate.of(2026, 2, 11), LocalDate.of(2026, 2, 28));
      assertThat(february)
          .extracting(BridgeStore.Step::amount)
          .containsExactly(1200L, 0L, 0L, 0L, 0L, -200L, 1000L);
    }
  }

  @Test
  void an_account_made_later_stands_where_the_one_before_it_stands() {
    book.get(AccountStore.class).add("6150", "Insurance", AccountKind.EXPENSE, Role.NONE);
    assertThat(
            book.sql()
                .sql(
                    "select s.name from account a join section s on s.id = a.section_id where a.code = '6150'")
                .query(String.class)
                .single())
        .isEqualTo("Other costs");
  }

  @Test
  void balances_added_up_page_by_page_are_those_added_up_from_the_first_line() {
    for (int i = 0; i < 130; i++)
      journal(
          LocalDate.of(2026, 4, 12).plusDays(i / 2).toString(),
          "1000",
          "6300",
          String.valueOf(1 + i % 7));
    long account =
        book.get(AccountStore.class).all().stream()
            .filter(a -> a.code().equals("6300"))
            .findFirst()
            .orElseThrow()
            .id();
    ListingStore lists = book.get(ListingStore.class);
    for (LocalDate from : List.of(LocalDate.of(2026, 4, 15), LocalDate.of(2026, 4, 1)))
      for (Optional<LocalDateTime> known : List.of(Optional.<LocalDateTime>empty(), NOW))
        balancesAgree(lists, lines(account, from, known));
  }

  private static final Optional<LocalDateTime> NOW =
      Optional.of(LocalDateTime.of(2030, 1, 1, 0, 0));

  private static Listing lines(long account, LocalDate from, Optional<LocalDateTime> known) {
    return StatementListings.account(
        account, from, LocalDate.of(2026, 6, 30), -5_00, known, Optional.empty(), false);
  }

  private static void balancesAgree(ListingStore lists, Listing listing) {
    List<String> whole = new ArrayList<>();
    lists.all(listing, Ask.ALL, row -> whole.add(row.get("_id") + " " + row.get("balance")));
    assertThat(balances(lists, listing, "")).isEqualTo(whole).hasSizeGreaterThanOrEqualTo(124);
    for (String sort : List.of("date", "-debit", "memo", "balance"))
      assertThat(balances(lists, listing, sort)).containsExactlyInAnyOrderElementsOf(whole);
    Page first = lists.page(listing, Ask.ALL);
    assertThat(lists.totals(listing, Ask.ALL, first).rows()).isEqualTo(whole.size());
    assertThat(lists.page(listing, Ask.of("no such word")).rows()).isEmpty();
  }

  /** Each line with its balance, page by page. */
  private static List<String> balances(ListingStore lists, Listing listing, String sort) {
    List<String> paged = new ArrayList<>();
    String after = "";
    while (after != null) {
      Page page = lists.page(listing, new Ask("", List.of(), sort, after));
      page.rows().forEach(row -> paged.add(row.get("_id") + " " + row.get("balance")));
      after = page.next();
    }
    return paged;
  }

  @Test
  void headings_are_refused_that_would_lose_accounts_or_stand_under_themselves() throws Exception {
    LayoutStore layouts = book.get(LayoutStore.class);
    Section current =
        layouts.sections().stream()
            .filter(s -> s.name().equals("Current assets"))
            .findFirst()
            .orElseThrow();
    Section stock =
        layouts.sections().stream().filter(s -> s.name().equals("Stock")).findFirst().orElseThrow();
    Section turned =
        new Section(current.id(), Part.ASSETS, stock.id(), current.name(), Activity.OPERATING, "");
    assertThatThrownBy(() -> layouts.save(turned, 1)).hasMessageContaining("under itself");
    assertThatThrownBy(
            () ->
                layouts.save(
                    new Section(stock.id(), Part.CLAIMS, 0, "Stock", Activity.OPERATING, ""), 1))
        .hasMessageContaining("stays there");
    assertThatThrownBy(() -> layouts.remove(stock)).hasMessageContaining("put them elsewhere");
    assertThatThrownBy(
            () -> layouts.save(new Section(0, Part.ASSETS, 0, "stock", Activity.OPERATING, ""), 1))
        .hasMessageContaining("already");
    assertThatThrownBy(
            () ->
                layouts.place(
                    layouts.layout().accounts().stream()
                        .filter(a -> a.code().equals("4000"))
                        .findFirst()
                        .orElseThrow(),
                    Optional.of(stock)))
        .hasMessageContaining("cannot stand in Assets");
    long made = layouts.save(new Section(0, Part.RESULT, 0, "Rare", Activity.OPERATING, ""), 9);
    layouts.remove(new Section(made, Part.RESULT, 0, "Rare", Activity.OPERATING, ""));
    assertThat(layouts.sections()).noneMatch(s -> s.name().equals("Rare"));
  }
}
