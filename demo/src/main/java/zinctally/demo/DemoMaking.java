package zinctally.demo;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.number.Quantity;
import zinctally.core.papers.PaperKind;
import zinctally.store.sell.PriceStore;

/**
 * What is made in the demo book: candles poured in winter and packed for the counter, hives put
 * together in spring, one of them taken apart again.
 */
@Component
class DemoMaking {
  private static final String BARN = "Barn store";
  private static final LocalDate POURS_FROM = LocalDate.of(2025, 10, 6);
  private final DemoPapers papers;
  private final PriceStore prices;
  private final JdbcClient sql;

  DemoMaking(DemoPapers papers, PriceStore prices, JdbcClient sql) {
    this.papers = papers;
    this.prices = prices;
    this.sql = sql;
  }

  void day(LocalDate day) {
    if (day.equals(POURS_FROM)) begin(day);
    if (day.isBefore(POURS_FROM)) return;
    boolean winter = day.getMonthValue() >= 9 || day.getMonthValue() <= 2;
    if (winter && day.getDayOfMonth() >= 8 && day.getDayOfWeek().getValue() == 3) pour(day);
    if (!winter && day.getDayOfMonth() <= 7 && day.getDayOfWeek().getValue() == 2) hives(day, 2);
    if (day.equals(LocalDate.of(2026, 7, 14))) apart(day);
    if (day.equals(LocalDate.of(2026, 11, 17))) order(day);
  }

  private void begin(LocalDate day) {
    item("CAN-16", "Candle, beeswax, 16 cm", "Honey and wax", "4.90");
    item("CAN-B6", "Candle box, six candles", "Honey and wax", "27.00");
    item("HIV-ST", "Hive, put together, with frames", "Hives and boxes", "199.00");
    recipe(day, "CAN-16", "10", row("WAX-RW", "1.2", "5"), work("6100 Pouring", "6.00"));
    recipe(day, "CAN-B6", "1", row("CAN-16", "6", "0"), work("6300 Box and ribbon", "0.85"));
    recipe(
        day,
        "HIV-ST",
        "1",
        row("FLR-02", "1", "0"),
        row("BBX-10", "1", "0"),
        row("SBX-06", "1", "0"),
        row("FRD-01", "10", "0"),
        row("FRS-01", "10", "0"),
        row("CRB-01", "1", "0"),
        row("RFC-01", "1", "0"),
        work("6100 Putting together", "12.50"));
  }

  private void item(String code, String name, String group, String price) {
    sql.sql(
            """
            insert into item (id, code, name, kind, group_id, method, base_unit, reorder_point)
            select next value for item_id, ?, ?, 'STOCKED', id, 'FIFO', 'H87', 0
            from item_group where name = ?
            """)
        .params(code, name, group)
        .update();
    long id = sql.sql("select id from item where code = ?").param(code).query(Long.class).single();
    prices.set(id, prices.lists().get(0).id(), null, 0, new BigDecimal(price), DemoPapers.LOGIN);
  }

  private static Map<String, String> row(String item, String quantity, String waste) {
    return Map.of("item", item, "quantity", quantity, "waste", waste);
  }

  private static Map<String, String> work(String account, String batch) {
    return Map.of("item", account, "batch", batch);
  }

  @SafeVarargs
  private void recipe(LocalDate day, String item, String batch, Map<String, String>... rows) {
    papers.post(
        PaperKind.RECIPE,
        Map.of("date", day.toString(), "item", item, "quantity", batch),
        List.of(rows));
  }

  /** A pour of candles, as many as there is wax for, and some of them packed. */
  private void pour(LocalDate day) {
    if (here("WAX-RW") < 12) return;
    make(
        day,
        "CAN-16",
        "40",
        Map.of("item", "WAX-RW", "quantity", "5.04"),
        Map.of("item", "6100 Pouring", "amount", "24.00"));
    if (here("CAN-16") >= 24)
      make(
          day,
          "CAN-B6",
          "3",
          Map.of("item", "CAN-16", "quantity", "18"),
          Map.of("item", "6300 Box and ribbon", "amount", "2.55"));
  }

  private void hives(LocalDate day, int many) {
    for (String part : List.of("FLR-02", "BBX-10", "SBX-06", "CRB-01", "RFC-01"))
      if (here(part) < many + 2) return;
    if (here("FRD-01") < 60 || here("FRS-01") < 60) return;
    make(
        day,
        "HIV-ST",
        String.valueOf(many),
        Map.of("item", "FLR-02", "quantity", String.valueOf(many)),
        Map.of("item", "BBX-10", "quantity", String.valueOf(many)),
        Map.of("item", "SBX-06", "quantity", String.valueOf(many)),
        Map.of("item", "FRD-01", "quantity", String.valueOf(many * 10)),
        Map.of("item", "FRS-01", "quantity", String.valueOf(many * 10)),
        Map.of("item", "CRB-01", "quantity", String.valueOf(many)),
        Map.of("item", "RFC-01", "quantity", String.valueOf(many)),
        Map.of("item", "6100 Putting together", "amount", many * 12 + ".50"));
  }

  /** Candle boxes for the winter fair, the first of them made a day later. */
  private void order(LocalDate day) {
    String order =
        papers.post(
            PaperKind.WORK_ORDER,
            Map.of(
                "date", day.toString(),
                "item", "CAN-B6",
                "quantity", "40",
                "expected", day.plusDays(14).toString(),
                "notes", "for the winter fair"),
            List.of(Map.of("item", "CAN-16", "quantity", "240")));
    papers.post(
        PaperKind.ASSEMBLY,
        Map.of(
            "date",
            day.plusDays(1).toString(),
            "item",
            "CAN-B6",
            "quantity",
            "12",
            "work_order",
            order),
        List.of(
            Map.of("item", "CAN-16", "quantity", "72"),
            Map.of("item", "6300 Box and ribbon", "amount", "10.20")));
  }

  /** A hive whose frames were gnawed: what is still good of it comes back. */
  private void apart(LocalDate day) {
    if (here("HIV-ST") < 1) return;
    papers.post(
        PaperKind.DISASSEMBLY,
        Map.of(
            "date",
            day.toString(),
            "place",
            BARN,
            "item",
            "HIV-ST",
            "quantity",
            "1",
            "sharing",
            "price"),
        List.of(
            Map.of("item", "FLR-02", "quantity", "1"),
            Map.of("item", "BBX-10", "quantity", "1"),
            Map.of("item", "SBX-06", "quantity", "1"),
            Map.of("item", "CRB-01", "quantity", "1"),
            Map.of("item", "RFC-01", "quantity", "1", "memo", "frames were gnawed")));
  }

  @SafeVarargs
  private void make(LocalDate day, String item, String many, Map<String, String>... rows) {
    papers.post(
        PaperKind.ASSEMBLY,
        Map.of("date", day.toString(), "place", BARN, "item", item, "quantity", many),
        List.of(rows));
  }

  /** Whole base units at the barn. */
  private long here(String code) {
    return sql.sql(
                """
                select coalesce(sum(s.quantity), 0) from place_stock s
                join item i on i.id = s.item_id join place p on p.id = s.place_id
                where i.code = ? and p.name = ?
                """)
            .params(code, BARN)
            .query(Long.class)
            .single()
        / Quantity.ONE;
  }
}
