package zinctally.store.together;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import zinctally.core.cost.Method;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.tax.TaxDays;
import zinctally.store.FreshBook;
import zinctally.store.book.SetUp;
import zinctally.store.count.CountClosing;
import zinctally.store.count.CountSheet;
import zinctally.store.count.CountSheets;
import zinctally.store.count.Counting;
import zinctally.store.count.Scope;
import zinctally.store.goods.ItemCard;
import zinctally.store.goods.ItemStore;
import zinctally.store.goods.ItemWriter;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.SavedDraft;
import zinctally.store.parties.MergeStore;
import zinctally.store.parties.MergeStore.Named;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Voiding;
import zinctally.store.prove.PeriodStore;
import zinctally.store.sell.TillClosing;
import zinctally.store.sell.TillStore;
import zinctally.store.tax.TaxReturnStore;

/**
 * Goods and papers of one round, which nobody else has touched, and what people may do with them at
 * the same moment.
 */
final class World {
  private final FreshBook book;
  private final String n;
  private final long bill;
  private final long sale;
  final long delivered;
  final long receipt;
  private final long payment;
  private final long rent;
  final long ordered;
  final long till;
  private final long draft;
  private final long repair;
  private final long counting;
  private final long counted;
  final String order;
  final String goods;
  final String untracked;
  final String untouched;
  private final Map<String, Callable<?>> deeds = new LinkedHashMap<>();

  World(FreshBook book, int round) {
    this.book = book;
    n = String.valueOf(round);
    goods = "G" + n;
    untracked = "N" + n;
    untouched = "M" + n;
    String method = round % 2 == 0 ? "FIFO" : "AVERAGE";
    for (String item : List.of("G", "M", "N", "K")) book.item(item + n, method);
    book.sql().sql("update item set kind = 'NOT_STOCKED' where code = ?").param("N" + n).update();
    bill = paper(PaperKind.BILL, "2026-02-01", "item quantity price", "G" + n, "24", "2.00");
    make("2026-02-02", "2", "4");
    ordered =
        paper(PaperKind.PURCHASE_ORDER, "2026-02-02", "item quantity price", "G" + n, "5", "3.00");
    order = book.number(ordered);
    receipt =
        paper(PaperKind.RECEIPT, "2026-02-03", "of item quantity price", order, "G" + n, "5", "");
    sale = paper(PaperKind.INVOICE, "2026-03-01", "item quantity price", "G" + n, "4", "5.00");
    long delivery = paper(PaperKind.DELIVERY, "2026-03-02", "item quantity", "G" + n, "3");
    delivered =
        paper(
            PaperKind.INVOICE,
            "2026-03-05",
            "of item quantity price",
            book.number(delivery),
            "G" + n,
            "3",
            "6.00");
    paper(PaperKind.INVOICE, "2026-03-03", "item quantity price", "N" + n, "2", "5.00");
    payment =
        pay(
            paper(PaperKind.INVOICE, "2026-03-01", "item quantity price", "G" + n, "1", "5.00"),
            "5");
    Map<String, String> head = fields("2026-03-01");
    head.put("their_number", "RENT-" + n);
    rent = post(PaperKind.BILL, head, rows("item price", "6000", "30.00"));
    till = book.get(TillStore.class).open("Store", 5000, "tester");
    draft = draft(PaperKind.INVOICE, "2026-03-08", "item quantity price", "G" + n, "1", "5.00");
    book.sql().sql("insert ignore into place (name) values ('Van')").update();
    Map<String, String> mends = fields("2026-03-06");
    mends.put("repairer", "Mill Repairs");
    repair = post(PaperKind.REPAIR_OUT, mends, rows("item quantity", goods, "2"));
    counting = sheet("2026-03-09");
    long done = sheet("2026-03-08");
    count(done);
    counted = book.get(CountClosing.class).close(done, Optional.empty(), "tester").orElseThrow();
    taxed("2026-03-04");
    deeds();
  }

  private long taxed(String date) {
    return paper(PaperKind.INVOICE, date, "item price tax", "4000", "5.00", "S");
  }

  /** Whatever waits to be declared, as it stands when she looks. */
  private Object declare() {
    TaxDays days = new TaxDays(LocalDate.of(2026, 1, 1), LocalDate.of(2026, 3, 31));
    Map<String, String> head = fields("2026-03-31");
    head.put("supplier", "Tax office " + n);
    head.put("from", days.from().toString());
    head.put("to", days.to().toString());
    head.put(
        "pay",
        BigDecimal.valueOf(book.get(TaxReturnStore.class).waiting(days).toPay(), 2).toString());
    return post(PaperKind.TAX_RETURN, head, List.of());
  }

  private long sheet(String date) {
    return book.get(CountSheets.class)
        .begin(
            new CountSheets.Wanted(
                "Store",
                LocalDate.parse(date),
                Scope.ITEMS,
                goods,
                new CountSheet.Rules(false, false, null, null)),
            "tester");
  }

  private Object count() {
    return count(counting);
  }

  private Object count(long sheet) {
    long item =
        book.sql()
            .sql("select id from item where code = ?")
            .param(goods)
            .query(Long.class)
            .single();
    return book.get(Counting.class)
        .enter(sheet, new Counting.Counted(item, 0, Quantity.of("12"), "", null), "tester");
  }

  /** Kits of goods. */
  private Object make(String date, String kits, String of) {
    Map<String, String> head = fields(date);
    head.putAll(Map.of("item", "K" + n, "quantity", kits));
    return post(PaperKind.ASSEMBLY, head, rows("item quantity", goods, of));
  }

  private Object elsewhere() {
    Map<String, String> head = fields("2026-03-08");
    head.put("into", "Van");
    return post(PaperKind.TRANSFER, head, rows("item quantity", goods, "13"));
  }

  private Object damaged() {
    Map<String, String> head = fields("2026-03-08");
    head.putAll(Map.of("into", "Van", "standing", "Damaged"));
    return post(PaperKind.TRANSFER, head, rows("item quantity", goods, "3"));
  }

  /** With what mending cost added to them. */
  private Object mended() {
    Map<String, String> head = fields("2026-03-09");
    head.putAll(
        Map.of("repair", book.number(repair), "into", "Store", "cost", "goods", "account", "6100"));
    return post(PaperKind.REPAIR_BACK, head, rows("item quantity charge", goods, "2", "1.30"));
  }

  private void deeds() {
    does("sells", () -> sell("2"));
    does("sells all", () -> sell("15"));
    does("posts a late bill", () -> buy("2026-02-10", "6", "3.10"));
    does("amends the bill", () -> amendBill());
    does("voids the sale", () -> voids(sale));
    does("voids the receipt", () -> voids(receipt));
    does("voids the invoice of a delivery", () -> voids(delivered));
    does("voids the payment", () -> voids(payment));
    does("bills the order", () -> billOrder());
    does("pays", () -> pay(sale, "15"));
    does("voids the rent", () -> voids(rent));
    does("pays the rent", () -> payRent());
    does("amends the order", () -> amendOrder());
    does("bills the receipt", () -> billReceipt());
    does("charges freight", () -> charge());
    does("takes goods back", () -> back());
    does(
        "writes down", () -> paper(PaperKind.WRITE_DOWN, "2026-03-10", "item price", "G" + n, "1"));
    does("starts tracking", () -> startTracking());
    does("sells the untracked", () -> sellOther("N"));
    does("closes February", () -> close());
    does("sells for cash", () -> cash());
    does("closes the till", () -> book.get(TillClosing.class).close(till, 5000, "tester"));
    does("makes the customer one with another", () -> mergeCustomer());
    does("changes a method", () -> changeMethod());
    does("buys what never moved", () -> buyFirst());
    does("takes goods elsewhere", () -> elsewhere());
    does("finds goods damaged", () -> damaged());
    does("has goods back from repair", () -> mended());
    does(
        "takes a customer's goods in",
        () -> paper(PaperKind.TAKEN_IN, "2026-03-09", "item quantity", goods, "1"));
    does("makes kits of goods", () -> make("2026-03-08", "5", "13"));
    does(
        "sells a kit",
        () -> paper(PaperKind.INVOICE, "2026-03-09", "item quantity price", "K" + n, "1", "9.00"));
    does("counts a piece", () -> count());
    does("posts a count", () -> book.get(Posting.class).post(counted, "tester"));
    deeds.putAll(new Keeper(book, n).deeds());
    does("sells with tax", () -> taxed("2026-03-10"));
    does("declares tax", () -> declare());
    does("saves a draft", () -> save());
    does("posts the draft", () -> book.get(Posting.class).post(draft, "tester"));
  }

  private void does(String name, Callable<?> deed) {
    deeds.put(name, deed);
  }

  List<String> names() {
    return List.copyOf(deeds.keySet());
  }

  Callable<?> deed(String name) {
    return deeds.get(name);
  }

  /** Nothing a round closed stays closed for the next. */
  void open() throws PeriodStore.Wrong {
    PeriodStore periods = book.get(PeriodStore.class);
    if (closed() != null && closed().equals("2026-02-28"))
      periods.reopen(LocalDate.of(2026, 2, 1), "the next round", "tester");
  }

  private String closed() {
    return book.sql().sql("select closed_to from book").query(String.class).optional().orElse(null);
  }

  private Map<String, String> fields(String date) {
    return new HashMap<>(
        Map.of(
            "date",
            date,
            "supplier",
            "Orrin " + n,
            "customer",
            "Fenwick " + n,
            "place",
            "Store",
            "money",
            "1000"));
  }

  private static List<Map<String, String>> rows(String columns, String... cells) {
    String[] names = columns.split(" ");
    List<Map<String, String>> rows = new java.util.ArrayList<>();
    for (int i = 0; i < cells.length; i += names.length) {
      Map<String, String> row = new HashMap<>();
      for (int c = 0; c < names.length; c++) row.put(names[c], cells[i + c]);
      rows.add(row);
    }
    return rows;
  }

  private long draft(PaperKind kind, String date, String columns, String... cells) {
    return book.draft(kind, fields(date), rows(columns, cells));
  }

  private long paper(PaperKind kind, String date, String columns, String... cells) {
    return post(kind, fields(date), rows(columns, cells));
  }

  /** Posts a paper and says yes to what is only asked. */
  private long post(PaperKind kind, Map<String, String> fields, List<Map<String, String>> rows) {
    return book.postAgreed(kind, fields, rows);
  }

  private Object sell(String quantity) {
    return paper(PaperKind.INVOICE, "2026-03-09", "item quantity price", "G" + n, quantity, "5.00");
  }

  private Object sellOther(String item) {
    return paper(PaperKind.INVOICE, "2026-03-09", "item quantity price", item + n, "1", "5.00");
  }

  private Object buy(String date, String quantity, String price) {
    return paper(PaperKind.BILL, date, "item quantity price", "G" + n, quantity, price);
  }

  private Object buyFirst() {
    paper(PaperKind.BILL, "2026-02-11", "item quantity price", "M" + n, "3", "1.00");
    paper(PaperKind.BILL, "2026-02-12", "item quantity price", "M" + n, "3", "2.00");
    return paper(PaperKind.INVOICE, "2026-03-12", "item quantity price", "M" + n, "2", "9.00");
  }

  private Object amendBill() {
    Map<String, String> fields = fields("2026-02-01");
    List<Map<String, String>> rows = rows("item quantity price", "G" + n, "26", "2.60");
    DraftStore drafts = book.get(DraftStore.class);
    long next = drafts.beginAmending(bill, 1, new Draft(PaperKind.BILL, fields, rows), "tester");
    return FreshBook.agreed(
        fields,
        () -> {
          SavedDraft.Seen seen = drafts.find(next).orElseThrow().seen();
          drafts.save(next, new Draft(PaperKind.BILL, fields, rows), seen, "tester");
          return book.get(Posting.class).post(next, "tester");
        });
  }

  private Object voids(long paper) {
    String date =
        book.sql()
            .sql("select date from paper where id = ?")
            .param(paper)
            .query(String.class)
            .single();
    String day = closed() != null && date.compareTo(closed()) <= 0 ? "2026-03-01" : date;
    book.get(Voiding.class).voidPaper(paper, LocalDate.parse(day), "", "tester");
    return paper;
  }

  private Object billOrder() {
    return paper(
        PaperKind.BILL, "2026-03-06", "of item quantity price", order, "G" + n, "5", "3.40");
  }

  private long pay(long of, String amount) {
    Map<String, String> fields = fields("2026-03-07");
    fields.put("amount", amount);
    return post(PaperKind.CUSTOMER_PAYMENT, fields, rows("paper amount", book.number(of), amount));
  }

  private Object mergeCustomer() {
    book.sql()
        .sql("insert ignore into party (kind, name) values ('CUSTOMER', ?)")
        .param("Fenwick Ltd " + n)
        .update();
    MergeStore parties = book.get(MergeStore.class);
    return book.get(SetUp.class)
        .alone(
            () -> {
              Named from = parties.named(Party.Kind.CUSTOMER, "Fenwick " + n).orElseThrow();
              Named into = parties.named(Party.Kind.CUSTOMER, "Fenwick Ltd " + n).orElseThrow();
              if (from.id() != into.id()) parties.merge(from, into, "tester");
              return into;
            });
  }

  /** Their own number names what is open. */
  private Object payRent() {
    Map<String, String> fields = fields("2026-03-07");
    fields.put("amount", "30");
    return post(PaperKind.SUPPLIER_PAYMENT, fields, rows("paper amount", "RENT-" + n, "30"));
  }

  private Object amendOrder() {
    book.amend(
        ordered,
        PaperKind.PURCHASE_ORDER,
        fields("2026-02-02"),
        rows("item quantity price", "G" + n, "6", "3.00"));
    return ordered;
  }

  private Object billReceipt() {
    return paper(
        PaperKind.BILL,
        "2026-03-06",
        "of item quantity price",
        book.number(receipt),
        "G" + n,
        "5",
        "3.10");
  }

  private Object charge() {
    Map<String, String> fields = fields("2026-03-11");
    fields.putAll(Map.of("what", "Freight", "amount", "3.33"));
    return post(PaperKind.CHARGE, fields, rows("bill", book.number(bill)));
  }

  private Object back() {
    return paper(
        PaperKind.CUSTOMER_RETURN,
        "2026-03-12",
        "paper item quantity",
        book.number(sale),
        "G" + n,
        "3");
  }

  private Object startTracking() {
    Map<String, String> fields = fields("2026-03-01");
    fields.put("item", "N" + n);
    return post(
        PaperKind.START_TRACKING, fields, rows("place quantity unit_cost", "Store", "20", "5"));
  }

  private Object close() throws PeriodStore.Wrong {
    PeriodStore periods = book.get(PeriodStore.class);
    if (closed() == null) periods.close(LocalDate.of(2026, 1, 1), "", "tester");
    periods.close(LocalDate.of(2026, 2, 1), "", "tester");
    return null;
  }

  private Object cash() {
    Map<String, String> fields = fields("2026-03-13");
    fields.put("cash", "50");
    fields.remove("customer");
    return post(PaperKind.COUNTER_SALE, fields, rows("item quantity price", "G" + n, "1", "9.00"));
  }

  private Object changeMethod() {
    ItemStore items = book.get(ItemStore.class);
    long id =
        book.sql()
            .sql("select id from item where code = ?")
            .param("M" + n)
            .query(Long.class)
            .single();
    return book.get(SetUp.class)
        .alone(
            () -> {
              if (items.moved(id)) return null;
              ItemCard card = items.find(id).orElseThrow();
              Method other = card.method() == Method.FIFO ? Method.AVERAGE : Method.FIFO;
              return book.get(ItemWriter.class)
                  .save(with(card, other), ItemWriter.Along.NOTHING, "tester");
            });
  }

  private static ItemCard with(ItemCard c, Method method) {
    return new ItemCard(
        c.id(),
        c.code(),
        c.name(),
        c.kind(),
        c.group(),
        method,
        c.units(),
        c.stockAccount(),
        c.salesAccount(),
        c.costAccount(),
        c.saleWording(),
        c.purchaseWording(),
        c.supplier(),
        c.supplierCode(),
        c.gtin(),
        c.shelf(),
        c.reorderPoint(),
        c.reorderQuantity(),
        c.standardCost(),
        c.notes(),
        c.active(),
        c.tracking(),
        c.weight(),
        List.of());
  }

  private Object save() {
    Draft typed =
        new Draft(
            PaperKind.INVOICE,
            fields("2026-03-08"),
            rows("item quantity price", "G" + n, "2", "5.00"));
    DraftStore drafts = book.get(DraftStore.class);
    return drafts.save(draft, typed, drafts.find(draft).orElseThrow().seen(), "tester");
  }
}
