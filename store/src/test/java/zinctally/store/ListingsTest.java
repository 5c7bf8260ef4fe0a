package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zinctally.core.number.Coin;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Repetition;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.statement.Borne;
import zinctally.store.buy.RepeatStore;
import zinctally.store.listing.AgeListings;
import zinctally.store.listing.Ask;
import zinctally.store.listing.BuyListings;
import zinctally.store.listing.CounterListings;
import zinctally.store.listing.DayListings;
import zinctally.store.listing.GoodsListings;
import zinctally.store.listing.HandleListings;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.Narrow;
import zinctally.store.listing.OrderListings;
import zinctally.store.listing.Page;
import zinctally.store.listing.PartyListings;
import zinctally.store.listing.PriceListings;
import zinctally.store.listing.ProveListings;
import zinctally.store.listing.SalesListings;
import zinctally.store.listing.SealListings;
import zinctally.store.listing.SellListings;
import zinctally.store.listing.StatementListings;
import zinctally.store.listing.TaxListings;
import zinctally.store.listing.Totals;
import zinctally.store.listing.ValuationListings;
import zinctally.store.seal.Sealer;
import zinctally.store.sell.ReminderStore;
import zinctally.store.sell.TillStore;
import zinctally.store.statement.HandedOutStore;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ListingsTest {
  private static final LocalDate DATE = LocalDate.of(2026, 6, 30);
  private FreshBook book;
  private ListingStore store;

  @BeforeAll
  void open() {
    book = new FreshBook();
    store = book.get(ListingStore.class);
    for (int i = 0; i < 150; i++) book.item(String.format("IT-%03d", i * 37 % 150), "FIFO");
    for (int i = 1; i <= 9; i++) {
      book.bill("2026-02-0" + i, "IT-00" + i, "10", "2.00", "IT-01" + i, "5", "3.00");
      book.invoice("2026-03-0" + i, "IT-00" + i, "4", "5.00");
    }
    book.sql().sql("update item set reorder_point = 7000000 where code like 'IT-00%'").update();
    buying();
    book.get(Sealer.class).seal();
    book.get(HandedOutStore.class)
        .add("tester", "Balance sheet", "pdf", "/prove/balance?to=2026-05-31");
  }

  @AfterAll
  void close() {
    book.close();
  }

  static Stream<Listing> listings() {
    return Stream.of(
        GoodsListings.items(),
        BuyListings.bills(),
        BuyListings.charges(),
        BuyListings.returns(),
        BuyListings.payments(),
        SellListings.invoices(),
        SellListings.returns(),
        SellListings.payments(),
        CounterListings.sales(),
        HandleListings.adjustments(),
        HandleListings.writeDowns(),
        ProveListings.byHand(),
        ProveListings.journalLines(true),
        ProveListings.month(LocalDate.of(2026, 3, 1), false),
        ProveListings.month(LocalDate.of(2026, 3, 1), true),
        DayListings.dayBook(LocalDate.of(2026, 1, 1)),
        StatementListings.trialBalance(DATE.minusDays(40), DATE, Optional.empty()),
        SalesListings.map(DATE.minusDays(40), DATE),
        StatementListings.account(
            5, DATE.minusDays(40), DATE, 0, Optional.empty(), Optional.empty(), false),
        StatementListings.account(
            1,
            LocalDate.of(2026, 1, 1),
            DATE,
            0,
            Optional.empty(),
            Optional.of(new Borne("0", "No cost centre", Set.of(0L))),
            true),
        StatementListings.since(DATE.atStartOfDay(), DATE.minusDays(40), DATE),
        StatementListings.handedOut(),
        SealListings.seals(),
        ProveListings.journal(),
        ValuationListings.valuation(DATE, false),
        ValuationListings.valuation(DATE, true),
        GoodsListings.placeStock(List.of(new Place(1, "Store"))),
        GoodsListings.reorder(),
        PartyListings.open(Party.Kind.SUPPLIER),
        PartyListings.open(Party.Kind.CUSTOMER),
        ProveListings.audit(),
        OrderListings.orders(PaperKind.PURCHASE_ORDER),
        BuyListings.receipts(),
        BuyListings.suppliers(),
        PartyListings.ofParty(1),
        BuyListings.supplierItems(1, Coin.of("EUR")),
        OrderListings.toOrder(Coin.of("EUR")),
        BuyListings.returned(),
        BuyListings.returnSums(),
        AgeListings.ageing(Party.Kind.SUPPLIER, DATE),
        AgeListings.ageing(Party.Kind.CUSTOMER, DATE),
        SellListings.deliveries(),
        SellListings.toDeliver(),
        SellListings.picking(),
        SellListings.customers(),
        CounterListings.tills(),
        SellListings.reminders(),
        PriceListings.prices(java.math.BigDecimal.valueOf(100)),
        SalesListings.commission(LocalDate.of(2026, 1, 1), DATE),
        SalesListings.sales(SalesListings.By.ITEM, LocalDate.of(2026, 1, 1), DATE),
        SalesListings.sales(SalesListings.By.GROUP, LocalDate.of(2026, 1, 1), DATE),
        SalesListings.sales(SalesListings.By.CUSTOMER, LocalDate.of(2026, 1, 1), DATE),
        SalesListings.sales(SalesListings.By.STAFF, LocalDate.of(2026, 1, 1), DATE),
        SalesListings.sales(SalesListings.By.PLACE, LocalDate.of(2026, 1, 1), DATE),
        SalesListings.sales(SalesListings.By.MONTH, LocalDate.of(2026, 1, 1), DATE),
        SalesListings.sales(SalesListings.By.PAPER, LocalDate.of(2026, 1, 1), DATE),
        TaxListings.byRate(LocalDate.of(2026, 1, 1), DATE),
        TaxListings.papers(LocalDate.of(2026, 1, 1), DATE),
        ProveListings.awaited(Awaits.SENT_INVOICE, DATE),
        ProveListings.awaited(Awaits.RECEIVED_BILL, DATE),
        ProveListings.awaited(Awaits.BILLED_GOODS, DATE),
        GoodsListings.lots(),
        BuyListings.repeating());
  }

  /** Something in every list of buying. */
  private void buying() {
    Map<String, String> head =
        Map.of("date", "2026-05-10", "supplier", "Orrin Joinery", "place", "Store");
    Map<String, String> later = new java.util.HashMap<>(head);
    later.put("goods", "later");
    Map<String, String> row = Map.of("item", "IT-002", "quantity", "3", "price", "2");
    book.post(PaperKind.PURCHASE_ORDER, head, List.of(row));
    book.post(PaperKind.RECEIPT, head, List.of(row));
    book.post(
        PaperKind.BILL, later, List.of(Map.of("item", "IT-003", "quantity", "4", "price", "2")));
    long bill =
        book.post(
            PaperKind.BILL, head, List.of(Map.of("item", "IT-004", "quantity", "4", "price", "2")));
    String number =
        book.sql()
            .sql("select number from paper where id = ?")
            .param(bill)
            .query(String.class)
            .single();
    book.post(
        PaperKind.SUPPLIER_RETURN,
        head,
        List.of(Map.of("paper", number, "quantity", "1", "reason", "Faulty")));
    Map<String, String> out =
        Map.of("date", "2026-05-12", "customer", "Fenwick Garden", "place", "Store");
    book.post(
        PaperKind.SALES_ORDER,
        out,
        List.of(Map.of("item", "IT-005", "quantity", "3", "price", "2")));
    book.post(PaperKind.DELIVERY, out, List.of(Map.of("item", "IT-006", "quantity", "1")));
    book.post(
        PaperKind.INVOICE,
        out,
        List.of(Map.of("item", "IT-007", "quantity", "1", "price", "3", "tax", "S")));
    book.invoice("2026-05-20", "IT-007", "1", "3.00");
    book.sql().sql("update open_item set due = '2026-05-25' where due > '2026-05-25'").update();
    book.get(ReminderStore.class).draft("tester");
    book.get(TillStore.class).open("Store", 10000, "tester");
    counterSale();
    book.sql()
        .sql("insert into item_price (item_id, list_id, price) select id, 1, 5 from item")
        .update();
    otherPapers(number);
    book.item("LOTS", "FIFO");
    book.sql()
        .sql("update item set tracking = 'LOT', reorder_point = 9000000 where code = 'LOTS'")
        .update();
    book.post(
        PaperKind.RECEIPT,
        head,
        List.of(Map.of("item", "LOTS", "quantity", "4", "price", "2", "numbers", "L-1")));
    book.get(RepeatStore.class)
        .add(
            1,
            "Rent",
            new Draft(PaperKind.BILL, head, List.of(row)),
            new Repetition(Repetition.Every.MONTH, DATE, null, null),
            "tester");
  }

  /** One of each kind that has a list, and is not there yet. */
  private void otherPapers(String bill) {
    book.paper(
        PaperKind.CHARGE,
        "2026-05-21",
        Map.of("supplier", "Brenn Carriers", "amount", "9", "spread", "value", "tax", "S"),
        "bill",
        bill);
    book.paper(
        PaperKind.SUPPLIER_PAYMENT,
        "2026-05-22",
        Map.of("supplier", "Orrin Joinery", "money", "1000", "amount", "5.00"),
        "paper amount",
        bill,
        "5.00");
    long sale =
        book.paper(
            PaperKind.INVOICE,
            "2026-05-22",
            Map.of("customer", "Fenwick Garden", "place", "Store"),
            "item quantity price",
            "IT-008",
            "2",
            "9.00");
    Map<String, String> customer = Map.of("customer", "Fenwick Garden", "place", "Store");
    book.paper(
        PaperKind.CUSTOMER_PAYMENT,
        "2026-05-23",
        Map.of("customer", "Fenwick Garden", "money", "1000", "amount", "1.00"),
        "paper amount",
        book.number(sale),
        "1.00");
    book.paper(
        PaperKind.CUSTOMER_RETURN,
        "2026-05-24",
        customer,
        "paper item quantity",
        book.number(sale),
        "IT-008",
        "1");
    book.paper(
        PaperKind.ADJUSTMENT,
        "2026-05-24",
        Map.of("place", "Store"),
        "item quantity reason",
        "IT-008",
        "-1",
        "Breakage");
    book.paper(
        PaperKind.WRITE_DOWN, "2026-05-24", Map.of(), "item price to_sell", "IT-009", "1", "0.50");
    book.paper(
        PaperKind.JOURNAL,
        "2026-05-24",
        Map.of(),
        "account debit credit",
        "6300",
        "3",
        "",
        "6310",
        "",
        "3");
  }

  private void counterSale() {
    book.paper(
        PaperKind.COUNTER_SALE,
        "2026-05-26",
        Map.of("customer", "", "cash", "9.00"),
        "item quantity price",
        "IT-009",
        "1",
        "9.00");
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("listings")
  void every_list_sorts_by_every_column_and_pages_through_each_row_once(Listing listing) {
    int all = everything(listing, Ask.ALL).size();
    assertThat(all).isPositive();
    for (Listing.Column column : listing.shown())
      for (String turn : List.of("", "-")) {
        assertThat(ids(listing, turn + column.key()))
            .as(turn + column.key())
            .hasSize(all)
            .doesNotHaveDuplicates();
      }
  }

  @Test
  void an_order_that_is_not_the_lists_own_can_be_made_of_its_latest_rows() {
    Listing journal = ProveListings.journal();
    List<String> latest = ids(journal, "");
    Listing few = journal.orderedUpTo(20);
    assertThat(ids(few, "-number"))
        .containsExactlyInAnyOrderElementsOf(latest.subList(0, 20))
        .isNotEqualTo(latest.subList(0, 20));
    assertThat(ids(few, "sum")).containsExactlyInAnyOrderElementsOf(latest.subList(0, 2));
    assertThat(ids(few, "-date")).isEqualTo(latest);
    assertThat(ids(few, "date")).hasSameSizeAs(latest).doesNotHaveDuplicates();
    assertThat(few.orderedAmong("sum")).isEqualTo(2);
    assertThat(few.orderedAmong("date")).isEqualTo(Integer.MAX_VALUE);
  }

  private List<String> ids(Listing listing, String sort) {
    List<String> ids = new ArrayList<>();
    for (String after = ""; after != null; ) {
      Page page = store.page(listing, new Ask("", List.of(), sort, after));
      page.rows().forEach(row -> ids.add((String) row.get("_id")));
      after = page.next();
    }
    return ids;
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("listings")
  void every_list_can_be_filtered_and_gone_on_with(Listing listing) {
    assertThat(everything(listing, Ask.of("no such words"))).isEmpty();
    List<Map<String, Object>> all = everything(listing, Ask.ALL);
    String after = all.get(0).get("_key") + "\u001f" + all.get(0).get("_id");
    assertThat(store.page(listing, new Ask("", List.of(), "", after)).rows())
        .hasSize(Math.min(ListingStore.PAGE, all.size() - 1));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("listings")
  void every_list_says_what_all_its_rows_come_to(Listing listing) {
    List<Map<String, Object>> all = everything(listing, Ask.ALL);
    Page first = store.page(listing, Ask.ALL);
    for (Page known : List.of(first, new Page(List.of(), "goes on", null))) {
      Totals totals = store.totals(listing, Ask.ALL, known);
      assertThat(totals.rows()).isEqualTo(all.size());
      for (Listing.Column column : listing.summed())
        assertThat(totals.sums().get(column.key()).longValueExact())
            .as(column.key())
            .isEqualTo(all.stream().mapToLong(r -> number(r.get(column.key()))).sum());
    }
    Totals few =
        store.totals(
            listing.addedUpTo(all.size() - 1), Ask.ALL, new Page(List.of(), "goes on", null));
    assertThat(few.whole()).isFalse();
    assertThat(few.sums()).isEmpty();
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("listings")
  void every_column_narrows_a_list_to_what_it_holds(Listing listing) {
    List<Map<String, Object>> all = everything(listing, Ask.ALL);
    for (Listing.Column column : listing.shown()) {
      Object held =
          all.stream()
              .map(r -> r.get(column.key()))
              .filter(v -> v != null && !v.toString().isBlank())
              .findFirst()
              .orElse(null);
      if (held == null || column.drawn()) continue;
      boolean text = column.type() == Listing.Type.TEXT;
      Object end = held instanceof LocalDateTime at ? at.toLocalDate() : held;
      Narrow narrow =
          text
              ? new Narrow.Words(
                  column.key(), List.of(List.of("nowhere"), List.of(held.toString().split("\\s+"))))
              : new Narrow.Between(column.key(), end, end);
      List<Map<String, Object>> narrowed =
          everything(listing, new Ask("", List.of(narrow), "", ""));
      assertThat(narrowed).as(column.key()).isNotEmpty();
      assertThat(narrowed)
          .as(column.key())
          .hasSize(
              (int)
                  all.stream()
                      .map(r -> r.get(column.key()))
                      .filter(v -> v != null && (text ? holds(v, held) : same(v, end)))
                      .count());
    }
  }

  @Test
  void a_paper_is_found_by_the_goods_its_present_version_speaks_of() {
    long paper = book.bill("2026-04-01", "IT-140", "1", "2.00");
    Map<String, String> head =
        Map.of("date", "2026-04-01", "supplier", "Orrin Joinery", "place", "Store");
    book.amend(paper, PaperKind.BILL, head, FreshBook.rows("IT-141", "1", "2.00"));
    assertThat(bills(new Ask("it-140", List.of(), "", ""))).isEmpty();
    assertThat(bills(new Ask("it-141", List.of(), "", ""))).containsExactly(book.number(paper));
    for (String copied : List.of("141", "IT-141;")) {
      Narrow what = new Narrow.Words("what", List.of(List.of("item", copied)));
      assertThat(bills(new Ask("", List.of(what), "", ""))).containsExactly(book.number(paper));
    }
    book.voidOn("2026-04-01", paper);
  }

  private List<Object> bills(Ask ask) {
    return everything(BuyListings.bills(), ask).stream().map(row -> row.get("number")).toList();
  }

  @Test
  void a_drawn_column_neither_narrows_a_list_nor_gives_it_an_order() {
    Listing items = GoodsListings.items();
    List<Map<String, Object>> all = everything(items, Ask.ALL);
    assertThat(items.column("trend").drawn()).isTrue();
    assertThat(everything(items, new Ask("", List.of(), "-trend", ""))).isEqualTo(all);
    Narrow none = new Narrow.Between("trend", "zzz", "zzz");
    assertThat(everything(items, new Ask("", List.of(none), "", ""))).isEqualTo(all);
    assertThat(items.written().shown()).isNotEmpty().noneMatch(Listing.Column::drawn);
  }

  private static boolean holds(Object value, Object words) {
    return List.of(words.toString().toLowerCase(Locale.ROOT).split("\\s+")).stream()
        .allMatch(w -> value.toString().toLowerCase(Locale.ROOT).contains(w));
  }

  private static boolean same(Object value, Object end) {
    if (value instanceof LocalDateTime at) return at.toLocalDate().equals(end);
    if (value instanceof Number number)
      return new BigDecimal(number.toString()).compareTo(new BigDecimal(end.toString())) == 0;
    return value.toString().equals(end.toString());
  }

  private List<Map<String, Object>> everything(Listing listing, Ask ask) {
    List<Map<String, Object>> rows = new ArrayList<>();
    store.all(listing, ask, rows::add);
    return rows;
  }

  @Test
  void a_filter_wants_every_word_and_takes_signs_as_they_are() {
    assertThat(everything(GoodsListings.items(), Ask.of("it-01 item"))).hasSize(10);
    assertThat(everything(GoodsListings.items(), Ask.of("it-01 nothing"))).isEmpty();
    assertThat(everything(GoodsListings.items(), Ask.of("%"))).isEmpty();
    assertThat(everything(GoodsListings.items(), Ask.of("' or 1=1 --"))).isEmpty();
  }

  @Test
  void an_unknown_sort_is_as_none() {
    assertThat(
            store
                .page(GoodsListings.items(), new Ask("", List.of(), "code; drop table item", ""))
                .rows()
                .get(0))
        .containsEntry("code", "IT-000");
  }

  @Test
  void the_valuation_at_a_past_date_knows_nothing_of_what_came_later() {
    List<Map<String, Object>> then =
        everything(ValuationListings.valuation(LocalDate.of(2026, 2, 3), false), Ask.ALL);
    assertThat(then).hasSize(6);
    assertThat(then.stream().mapToLong(r -> ((Number) r.get("value")).longValue()).sum())
        .isEqualTo(3 * (2000 + 1500));
  }

  @Test
  void the_trial_balance_sums_to_zero_at_every_month_end() {
    for (int month = 1; month <= 6; month++) {
      LocalDate end = LocalDate.of(2026, month, 1).plusMonths(1).minusDays(1);
      long sum =
          everything(
                  StatementListings.trialBalance(end.minusDays(20), end, Optional.empty()), Ask.ALL)
              .stream()
              .mapToLong(r -> number(r.get("closing")))
              .sum();
      assertThat(sum).isZero();
    }
  }

  private static long number(Object value) {
    return value == null ? 0 : ((Number) value).longValue();
  }
}
