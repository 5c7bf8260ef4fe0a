package zinctally.demo;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.HashMap;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;

/**
 * What is on consignment in the demo book: two keepers leave their honey in the shop, each month
 * some of it is sold and settled; a candle stall takes ours; a farm leaves here what it bought.
 */
@Component
class DemoConsigning {
  private static final String KEEPER = "Hana Birch, keeper";
  private static final String OTHER = "Corin Vale, keeper";
  private static final String STALL = "Tallow Lane Candles";
  private static final String FARM = "Hollow Oak Apiary";
  private static final String MARKET = "Market day, Wickmere";
  private static final String SHOP = "Shop";
  private final DemoPapers papers;
  private final JdbcClient sql;
  private YearMonth came = YearMonth.of(2025, 9);
  private YearMonth settled = YearMonth.of(2025, 10);

  DemoConsigning(DemoPapers papers, JdbcClient sql) {
    this.papers = papers;
    this.sql = sql;
  }

  /** Jars of two keepers, and an edition of numbered frames of one. */
  private void agreements() {
    item("HNY-BL", "Honey, Birch lane, 340 g", "NONE", "6.80");
    item("HNY-CV", "Honey, vale heather, 340 g", "NONE", "8.40");
    item("PRT-01", "Print of the old skep, numbered", "SERIAL", "45.00");
    papers.post(
        PaperKind.AGREEMENT,
        head("2025-10-01", "supplier", KEEPER, "losses", "ours"),
        Map.of("item", "HNY-BL", "cost", "4.50"),
        Map.of("item", "PRT-01", "share", "70", "least", "25"));
    papers.post(
        PaperKind.AGREEMENT,
        head("2025-10-01", "supplier", OTHER, "losses", "theirs", "discounts", "both"),
        Map.of("share", "60"));
  }

  private void item(String code, String name, String tracking, String price) {
    sql.sql(
            """
            insert into item (id, code, name, kind, group_id, method, base_unit, tracking, tax_rate_id)
            select next value for item_id, ?, ?, 'STOCKED', g.id, 'FIFO', 'H87', ?, t.id
            from item_group g left join tax_rate t on t.code = 'S' where g.name = 'Honey and wax'
            """)
        .params(code, name, tracking)
        .update();
    sql.sql(
            "insert into item_price (item_id, list_id, price)"
                + " select i.id, min(l.id), ? from item i join price_list l where i.code = ?"
                + " group by i.id")
        .params(price, code)
        .update();
  }

  /** They bring jars on the 4th; ten days later some are sold; the 28th settles. */
  void day(LocalDate day) {
    YearMonth month = YearMonth.from(day);
    if (month.isBefore(YearMonth.of(2025, 10))) return;
    if (day.getDayOfMonth() >= 4 && came.isBefore(month)) {
      if (month.equals(YearMonth.of(2025, 10))) agreements();
      came = month;
      bring(day);
    }
    if (day.getDayOfMonth() >= 28 && !settled.isAfter(month)) {
      settled = month.plusMonths(1);
      sell(day.minusDays(7));
      if (month.getMonthValue() % 2 == 0) settle(day);
    }
  }

  private void bring(LocalDate day) {
    int jars = 8 + day.getMonthValue() % 5;
    papers.post(
        PaperKind.CONSIGNMENT_IN,
        head(day.toString(), "supplier", KEEPER, "place", SHOP),
        Map.of("item", "HNY-BL", "quantity", String.valueOf(jars), "memo", "clear and set"));
    papers.post(
        PaperKind.CONSIGNMENT_IN,
        head(day.toString(), "supplier", OTHER, "place", SHOP),
        Map.of("item", "HNY-CV", "quantity", String.valueOf(jars - 2)));
  }

  /** On a market day, paid at once. */
  private void sell(LocalDate day) {
    int many = 5 + day.getMonthValue() % 4;
    String sale =
        papers.post(
            PaperKind.INVOICE,
            head(day.toString(), "customer", MARKET, "place", SHOP),
            honey("HNY-BL", many, "6.80"),
            honey("HNY-CV", many - 2, "8.40"));
    String paid = BigDecimal.valueOf(many * 680L + (many - 2) * 840L, 2).toPlainString();
    papers.post(
        PaperKind.CUSTOMER_PAYMENT,
        head(day.toString(), "customer", MARKET, "money", "1000", "amount", paid),
        Map.of("paper", sale, "amount", paid));
  }

  private static Map<String, String> honey(String item, int jars, String price) {
    return Map.of("item", item, "quantity", String.valueOf(jars), "price", price, "tax", "Z");
  }

  private void settle(LocalDate day) {
    for (String[] one : new String[][] {{KEEPER, "HNY-BL"}, {OTHER, "HNY-CV"}}) {
      long open = open(one[0]);
      if (open > 0)
        papers.post(
            PaperKind.SETTLEMENT,
            head(day.toString(), "supplier", one[0]),
            Map.of("item", one[1], "quantity", String.valueOf(open)));
    }
  }

  /** Pieces that were sold of somebody's and are not settled. */
  private long open(String who) {
    return sql.sql(
            "select coalesce(sum(a.open_quantity), 0) div 1000000 from awaited a"
                + " join party p on p.id = a.party_id"
                + " where p.name = ? and a.what = 'CONSIGNED_SOLD'")
        .param(who)
        .query(Long.class)
        .single();
  }

  /** Prints of an edition; ours at a stall; what a farm bought and left here; broken jars. */
  void write() {
    papers.post(
        PaperKind.CONSIGNMENT_IN,
        head("2026-10-06", "supplier", KEEPER, "place", SHOP),
        Map.of("item", "PRT-01", "quantity", "5", "numbers", "5 from PRT-01/21"));
    papers.post(
        PaperKind.INVOICE,
        head("2026-10-20", "customer", "Rowan House Gifts", "place", SHOP),
        Map.of(
            "item",
            "PRT-01",
            "quantity",
            "2",
            "price",
            "45.00",
            "tax",
            "S",
            "discount",
            "10",
            "numbers",
            "PRT-01/21, PRT-01/23"));
    papers.post(
        PaperKind.ADJUSTMENT,
        head("2026-11-10", "place", SHOP + ", of " + OTHER),
        Map.of("item", "HNY-CV", "quantity", "-1", "reason", "Breakage", "memo", "fell"));
    papers.post(
        PaperKind.CONSIGNMENT_BACK,
        head("2026-11-12", "supplier", OTHER, "place", SHOP),
        Map.of("item", "HNY-CV", "quantity", "2", "memo", "crystallised"));
    papers.post(
        PaperKind.CONSIGNMENT_OUT,
        head("2026-10-30", "customer", STALL),
        Map.of("item", "CAN-16", "quantity", "18"));
    papers.post(
        PaperKind.INVOICE,
        head("2026-11-09", "customer", STALL, "place", "At " + STALL),
        DemoPapers.row("CAN-16", "7", "4.60"));
    papers.post(
        PaperKind.INVOICE,
        head("2026-11-11", "customer", FARM, "goods", "stay"),
        DemoPapers.row("SMK-03", "3", "38.00"));
    papers.post(
        PaperKind.HANDED_OVER,
        head("2026-11-17", "customer", FARM),
        Map.of("item", "SMK-03", "quantity", "1"));
  }

  private static Map<String, String> head(String day, String... more) {
    Map<String, String> head = new HashMap<>(Map.of("date", day));
    for (int i = 0; i < more.length; i += 2) head.put(more[i], more[i + 1]);
    return head;
  }
}
