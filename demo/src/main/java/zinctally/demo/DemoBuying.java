package zinctally.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Repetition;
import zinctally.store.buy.RepeatStore;
import zinctally.store.buy.SupplierStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperText;
import zinctally.store.posting.Ordering;
import zinctally.store.posting.Posting;

/**
 * Buying in the demo's last weeks, in every order in which it happens: orders received in parts and
 * billed dearer, goods without a bill, a bill without goods, freight by weight, returns with credit
 * notes, extractors by serial number, treatments by lot, rent that repeats.
 */
@Component
class DemoBuying {
  private static final String LOGIN = "bookkeeper";
  private final DraftStore drafts;
  private final PaperText texts;
  private final Posting posting;
  private final Ordering ordering;
  private final SupplierStore suppliers;
  private final RepeatStore repeats;
  private final JdbcClient sql;

  DemoBuying(
      DraftStore drafts,
      PaperText texts,
      Posting posting,
      Ordering ordering,
      SupplierStore suppliers,
      RepeatStore repeats,
      JdbcClient sql) {
    this.drafts = drafts;
    this.texts = texts;
    this.posting = posting;
    this.ordering = ordering;
    this.suppliers = suppliers;
    this.repeats = repeats;
    this.sql = sql;
  }

  void write() {
    cards();
    items();
    joinery();
    extractors();
    jars();
    treatments();
    smokers();
    rent();
  }

  /** Posts a paper and returns its number. Cells stand row by row in the order of the columns. */
  private String post(
      PaperKind kind,
      String date,
      String who,
      Map<String, String> more,
      String columns,
      String... cells) {
    Map<String, String> fields = new HashMap<>();
    fields.put("date", date);
    fields.put(kind == PaperKind.INVOICE ? "customer" : "supplier", who);
    fields.put("place", "Barn store");
    fields.putAll(more);
    String[] names = columns.split(" ");
    List<Map<String, String>> rows = new ArrayList<>();
    for (int i = 0; i < cells.length; i += names.length) {
      Map<String, String> row = new HashMap<>();
      for (int c = 0; c < names.length; c++)
        if (!cells[i + c].isEmpty()) row.put(names[c], cells[i + c]);
      rows.add(row);
    }
    long paper = Yes.post(posting, drafts, new Draft(kind, fields, rows), LOGIN);
    return sql.sql("select number from paper where id = ?")
        .param(paper)
        .query(String.class)
        .single();
  }

  private static Map<String, String> theirs(String number) {
    return Map.of("their_number", number);
  }

  private long id(String number) {
    return sql.sql("select id from paper where number = ?")
        .param(number)
        .query(Long.class)
        .single();
  }

  private void card(String name, int terms, String account, String address, String phone) {
    long id =
        sql.sql("select coalesce(max(id), 0) from party where kind = 'SUPPLIER' and name = ?")
            .param(name)
            .query(Long.class)
            .single();
    long usual =
        account.isEmpty()
            ? 0
            : sql.sql("select id from account where code = ?")
                .param(account)
                .query(Long.class)
                .single();
    String post = name.toLowerCase().replace(' ', '.') + "@example.org";
    suppliers.save(
        new SupplierStore.Card(id, name, terms, usual, 0, address, post, phone, "", "", true),
        LOGIN);
  }

  private void cards() {
    card("Orrin Joinery", 30, "", "4 Sawpit Lane, Thornby", "0555 0101");
    card("Calder Glass", 30, "", "Kiln Yard, Calder", "0555 0102");
    card("Brenn Metalwork", 45, "", "Unit 7, Forge Road, Brenn", "0555 0103");
    card("Ansel Apiary Health", 14, "", "12 Mill Street, Anselby", "0555 0104");
    card("Larkin Carriers", 14, "6200", "Depot 2, Ring Road, Thornby", "0555 0105");
    card("Wickmere Estate", 7, "6000", "The Old Barn, Wickmere", "0555 0106");
    theirCode("Orrin Joinery", "BBX-10", "OJ/B10");
    theirCode("Orrin Joinery", "SBX-06", "OJ/S06");
    theirCode("Calder Glass", "JAR-34", "C-340");
  }

  private void theirCode(String supplier, String item, String code) {
    suppliers.theirCode(
        sql.sql("select id from party where kind = 'SUPPLIER' and name = ?")
            .param(supplier)
            .query(Long.class)
            .single(),
        sql.sql("select id from item where code = ?").param(item).query(Long.class).single(),
        code);
  }

  /** What is told apart, and what weighs something. */
  private void items() {
    item("EXS-06", "Extractor, electric, six frames", "Extractors", "SPECIFIC", "SERIAL", "349.00");
    item("MTS-20", "Mite strips, pack of 20", "Treatments", "AVERAGE", "LOT", "31.00");
    sql.sql("update item set supplier = 'Brenn Metalwork', weight = 18.5 where code = 'EXS-06'")
        .update();
    sql.sql(
            "update item set supplier = 'Ansel Apiary Health', reorder_point = 10000000, reorder_quantity = 40000000 where code = 'MTS-20'")
        .update();
    sql.sql(
            "update item set weight = case code when 'BBX-10' then 5.2 when 'SBX-06' then 3.1 else 0.34 end where code in ('BBX-10', 'SBX-06', 'JAR-34')")
        .update();
  }

  private void item(
      String code, String name, String group, String method, String tracking, String price) {
    sql.sql(
            """
            insert into item (id, code, name, kind, group_id, method, base_unit, tracking)
            select next value for item_id, ?, ?, 'STOCKED', id, ?, 'H87', ? from item_group where name = ?
            """)
        .params(code, name, method, tracking, group)
        .update();
    sql.sql(
            "insert into item_price (item_id, list_id, price) select id, 1, ? from item where code = ?")
        .params(price, code)
        .update();
  }

  /**
   * An order in two receipts, billed dearer after some is sold; another of which some is to come.
   */
  private void joinery() {
    String who = "Orrin Joinery";
    String order =
        post(
            PaperKind.PURCHASE_ORDER,
            "2026-10-05",
            who,
            Map.of("expected", "2026-10-14"),
            "item quantity price tax",
            "BBX-10",
            "20",
            "17.00",
            "S",
            "SBX-06",
            "30",
            "12.40",
            "S");
    post(
        PaperKind.RECEIPT,
        "2026-10-12",
        who,
        theirs("LS-4411"),
        "of item quantity",
        order,
        "BBX-10",
        "12",
        order,
        "SBX-06",
        "30");
    post(
        PaperKind.INVOICE,
        "2026-10-15",
        "Hollin Orchard",
        Map.of(),
        "item quantity price tax",
        "SBX-06",
        "18",
        "23.50",
        "S");
    post(
        PaperKind.RECEIPT,
        "2026-10-19",
        who,
        theirs("LS-4437"),
        "of item quantity",
        order,
        "BBX-10",
        "8");
    String bill =
        post(
            PaperKind.BILL,
            "2026-10-26",
            who,
            theirs("OJ-2188"),
            "of item quantity price tax",
            order,
            "BBX-10",
            "20",
            "17.70",
            "S",
            order,
            "SBX-06",
            "30",
            "12.40",
            "S");
    String back =
        post(
            PaperKind.SUPPLIER_RETURN,
            "2026-10-29",
            who,
            Map.of("reason", "joints open"),
            "paper item quantity reason",
            bill,
            "BBX-10",
            "2",
            "Faulty");
    post(PaperKind.SUPPLIER_CREDIT, "2026-11-04", who, theirs("OJ-C17"), "paper", back);
    post(
        PaperKind.SUPPLIER_PAYMENT,
        "2026-11-06",
        who,
        Map.of("money", "1000", "amount", "828.72"),
        "paper amount",
        "OJ-2188",
        "871.20",
        "OJ-C17",
        "42.48");
    String open =
        post(
            PaperKind.PURCHASE_ORDER,
            "2026-11-09",
            who,
            Map.of("expected", "2026-11-27", "notes", "Please ring before you come."),
            "item quantity price tax",
            "HST-02",
            "12",
            "9.25",
            "S",
            "FRD-01",
            "4 cs",
            "41.00",
            "S",
            "NUC-05",
            "6",
            "",
            "S");
    post(
        PaperKind.RECEIPT,
        "2026-11-18",
        who,
        theirs("LS-4502"),
        "of item quantity",
        open,
        "FRD-01",
        "3 cs");
  }

  /** Serial numbers: ordered, part received, billed, one sold, one sent back, freight by weight. */
  private void extractors() {
    String who = "Brenn Metalwork";
    String order =
        post(
            PaperKind.PURCHASE_ORDER,
            "2026-10-20",
            who,
            Map.of("expected", "2026-12-01"),
            "item quantity price tax",
            "EXS-06",
            "6",
            "212.00",
            "S");
    String receipt =
        post(
            PaperKind.RECEIPT,
            "2026-10-28",
            who,
            theirs("BM-0077"),
            "of item quantity numbers",
            order,
            "EXS-06",
            "4",
            "4 from EX-0061");
    String bill =
        post(
            PaperKind.BILL,
            "2026-10-30",
            who,
            theirs("26-1180"),
            "of item quantity price tax",
            receipt,
            "EXS-06",
            "4",
            "215.00",
            "S");
    post(
        PaperKind.CHARGE,
        "2026-11-10",
        "Larkin Carriers",
        Map.of(
            "their_number", "LC-90312",
            "what", "Freight from Brenn and Thornby",
            "amount", "64.00",
            "tax", "S",
            "spread", "weight"),
        "bill item",
        receipt,
        "",
        "R-2026-0002",
        "BBX-10");
    post(
        PaperKind.INVOICE,
        "2026-11-09",
        "Wend Valley Keepers",
        Map.of(),
        "item quantity price tax numbers",
        "EXS-06",
        "1",
        "349.00",
        "S",
        "EX-0062");
    post(
        PaperKind.SUPPLIER_RETURN,
        "2026-11-16",
        who,
        Map.of("reason", "bearing worn on arrival"),
        "paper item quantity numbers reason",
        bill,
        "EXS-06",
        "1",
        "EX-0064",
        "Faulty");
  }

  /** A bill that came before its goods, of which some are still to come. */
  private void jars() {
    String bill =
        post(
            PaperKind.BILL,
            "2026-11-03",
            "Calder Glass",
            Map.of("their_number", "44713", "goods", "later"),
            "item quantity price tax",
            "JAR-34",
            "20 tray",
            "9.84",
            "S");
    post(
        PaperKind.RECEIPT,
        "2026-11-11",
        "Calder Glass",
        theirs("W-1180"),
        "of item quantity",
        bill,
        "JAR-34",
        "12 tray");
  }

  /** Lots with expiry: received, not billed yet, some sold. */
  private void treatments() {
    post(
        PaperKind.RECEIPT,
        "2026-11-12",
        "Ansel Apiary Health",
        theirs("AH-5521"),
        "item quantity price numbers",
        "MTS-20",
        "60",
        "17.20",
        "M-2611 2027-11-30: 40, M-2612 2028-01-31: 20");
    post(
        PaperKind.INVOICE,
        "2026-11-17",
        "Fenwick Garden",
        Map.of(),
        "item quantity price tax numbers",
        "MTS-20",
        "12",
        "31.00",
        "S",
        "M-2611");
  }

  /** An order of which the rest was cancelled. */
  private void smokers() {
    String order =
        post(
            PaperKind.PURCHASE_ORDER,
            "2026-10-08",
            "Brenn Metalwork",
            Map.of(),
            "item quantity price tax",
            "SMK-03",
            "10",
            "14.10",
            "S");
    post(
        PaperKind.RECEIPT,
        "2026-10-21",
        "Brenn Metalwork",
        theirs("BM-0071"),
        "of item quantity",
        order,
        "SMK-03",
        "6");
    ordering.end(id(order), LOGIN);
  }

  private void rent() {
    String bill =
        post(
            PaperKind.BILL,
            "2026-11-01",
            "Wickmere Estate",
            theirs("Barn 11/26"),
            "item price",
            "6000",
            "420.00");
    repeats.add(
        id(bill),
        "Rent of the barn",
        texts.read(id(bill), 1, PaperKind.BILL),
        new Repetition(Repetition.Every.MONTH, LocalDate.of(2026, 12, 1), null, null),
        LOGIN);
  }
}
