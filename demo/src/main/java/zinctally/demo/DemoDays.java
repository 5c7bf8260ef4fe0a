package zinctally.demo;

import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.number.Coin;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.money.OpenItem;
import zinctally.store.Refused;
import zinctally.store.book.BookStore;
import zinctally.store.book.Catalogues;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** What is bought, sold and paid on each day of the demo book. */
@Component
class DemoDays {
  private final Random dice = new Random(20250901);
  private final Set<Integer> billNumbers = new HashSet<>();
  private final BookStore books;
  private final DraftStore drafts;
  private final Posting posting;
  private final Catalogues catalogues;
  private final JdbcClient sql;

  DemoDays(
      BookStore books, DraftStore drafts, Posting posting, Catalogues catalogues, JdbcClient sql) {
    this.books = books;
    this.drafts = drafts;
    this.posting = posting;
    this.catalogues = catalogues;
    this.sql = sql;
  }

  private static final String[] CUSTOMERS = {
    "Fenwick Garden",
    "Hollin Orchard",
    "Market stall",
    "Ridgeway Allotments",
    "Brother Aldous",
    "Thornby School",
    "Larch Cottage",
    "Wend Valley Keepers"
  };

  private static final String[][] SUPPLIES = {
    {
      "Orrin Joinery",
      "BBX-10",
      "SBX-06",
      "HST-02",
      "FRD-01",
      "FRS-01",
      "CRB-01",
      "RFC-01",
      "FLR-02",
      "NUC-05"
    },
    {"Calder Glass", "JAR-34", "JAR-22"},
    {"Pell Wax", "FND-10", "FNS-10", "WAX-RW", "WAX-BK"},
    {
      "Brenn Metalwork",
      "EXT-04",
      "EXH-03",
      "SMK-03",
      "STL-50",
      "QEX-01",
      "HTL-01",
      "UCF-01",
      "STR-02"
    },
    {"Ansel Apiary Health", "MTS-10", "OXA-35", "THY-02", "SUG-12"},
    {
      "Tamsin Print", "LBL-01", "CND-M1", "BRU-01", "GLV-09", "VEL-02", "VEL-03", "SMP-01", "FNL-20"
    },
    {"Moorland Hives", "HNY-WF", "HNY-HT"},
  };

  int day(LocalDate day) {
    int papers = 0;
    int season = day.getMonthValue() >= 3 && day.getMonthValue() <= 8 ? 2 : 1;
    if (dice.nextInt(6) < 2) papers += bill(day);
    for (int n = dice.nextInt(season + 1); n > 0; n--) papers += invoice(day);
    if (day.getDayOfWeek() == DayOfWeek.FRIDAY) papers += pay(day);
    if (day.getDayOfWeek() == DayOfWeek.FRIDAY && day.getDayOfMonth() <= 7)
      papers += moved(day, "Barn store", "Market van", 4, "for Saturday's market");
    if (day.getDayOfWeek() == DayOfWeek.MONDAY && day.minusDays(3).getDayOfMonth() <= 7)
      papers += moved(day, "Market van", "Barn store", 2, "not needed at the market");
    if (day.equals(LocalDate.of(2026, 11, 18))) papers += sent(day);
    if (dice.nextInt(40) == 0
        && stock("JAR-34", "Barn store").here > 20_000_000
        && stock("JAR-22", "Barn store").here > 20_000_000)
      papers +=
          post(
              PaperKind.ADJUSTMENT,
              Map.of("date", day.toString(), "place", "Barn store"),
              List.of(
                  Map.of(
                      "item",
                      dice.nextBoolean() ? "JAR-34" : "JAR-22",
                      "quantity",
                      String.valueOf(-1 - dice.nextInt(9)),
                      "reason",
                      "Breakage",
                      "memo",
                      "dropped in the barn")));
    return papers;
  }

  /** Jars sent to the shop by carrier, most of which have come. */
  private int sent(LocalDate day) {
    Map<String, String> jars = Map.of("item", "JAR-34", "quantity", "48");
    post(
        PaperKind.TRANSFER,
        Map.of("date", day.toString(), "place", "Barn store", "into", "Shop", "sent", "yes"),
        List.of(jars));
    String number =
        sql.sql("select number from paper where kind = 'TRANSFER' order by id desc limit 1")
            .query(String.class)
            .single();
    return 1
        + post(
            PaperKind.ARRIVAL,
            Map.of("date", day.plusDays(1).toString(), "transfer", number, "into", "Shop"),
            List.of(
                Map.of("item", "JAR-34", "quantity", "33"),
                Map.of("item", "JAR-34", "quantity", "3", "reason", "Breakage")));
  }

  /** One of so many goes elsewhere: a van is loaded for the first market of a month. */
  private int moved(LocalDate day, String from, String into, int oneOf, String why) {
    List<Map<String, String>> rows = new ArrayList<>();
    for (String code : List.of("CND-M1", "HNY-WF", "JAR-22")) {
      long pieces = stock(code, from).here / 1_000_000 / oneOf;
      if (pieces > 0)
        rows.add(Map.of("item", code, "quantity", String.valueOf(pieces), "memo", why));
    }
    return rows.isEmpty()
        ? 0
        : post(
            PaperKind.TRANSFER, Map.of("date", day.toString(), "place", from, "into", into), rows);
  }

  /** What a supplier brings when there is little left of it: in full packs, prices creeping up. */
  private int bill(LocalDate day) {
    String[] supply = SUPPLIES[dice.nextInt(SUPPLIES.length)];
    List<Map<String, String>> rows = new ArrayList<>();
    for (int i = 1; i < supply.length; i++) {
      Stock stock = stock(supply[i], "Barn store");
      if (stock.everywhere > stock.reorder * 14 / 10) continue;
      long quantity = Math.max(2, stock.reorderQuantity / 1_000_000 + dice.nextInt(4));
      BigDecimal cost =
          BigDecimal.valueOf(stock.cost)
              .multiply(BigDecimal.valueOf(985 + dice.nextInt(45)))
              .movePointLeft(3);
      boolean packed = supply[i].startsWith("FR");
      if (packed)
        rows.add(
            row(
                supply[i],
                Math.max(1, quantity / 50) + " cs",
                cost.multiply(BigDecimal.valueOf(50))
                    .setScale(2, java.math.RoundingMode.HALF_UP)
                    .toPlainString()));
      else
        rows.add(
            row(
                supply[i],
                String.valueOf(quantity),
                cost.setScale(
                        cost.compareTo(BigDecimal.ONE) < 0 ? 4 : 2, java.math.RoundingMode.HALF_UP)
                    .toPlainString()));
    }
    if (rows.isEmpty()) return 0;
    rows.forEach(r -> r.put("tax", "S"));
    Map<String, String> fields = new HashMap<>();
    fields.put("supplier", supply[0]);
    int number = 2000 + dice.nextInt(7999);
    while (!billNumbers.add(number)) number++;
    fields.put(
        "their_number",
        supply[0].substring(0, 1) + supply[0].charAt(supply[0].indexOf(' ') + 1) + "-" + number);
    fields.put("date", day.toString());
    boolean forShop = List.of("Ansel Apiary Health", "Tamsin Print").contains(supply[0]);
    fields.put("place", forShop ? "Shop" : "Barn store");
    return post(PaperKind.BILL, fields, rows);
  }

  private int invoice(LocalDate day) {
    String place = dice.nextInt(3) == 0 ? "Shop" : "Barn store";
    List<String> here =
        sql.sql(
                """
                select i.code from place_stock s join item i on i.id = s.item_id join place p on p.id = s.place_id
                where p.name = ? and s.quantity >= 2000000 order by i.code
                """)
            .param(place)
            .query(String.class)
            .list();
    if (here.isEmpty()) return 0;
    List<Map<String, String>> rows = new ArrayList<>();
    List<String> taken = new ArrayList<>();
    for (int n = 1 + dice.nextInt(4); n > 0; n--) {
      String code = here.get(dice.nextInt(here.size()));
      if (taken.contains(code)) continue;
      taken.add(code);
      Stock stock = stock(code, place);
      long most = Math.max(1, stock.here / 1_000_000);
      long usual =
          stock.price < 2
              ? 40 + dice.nextInt(80)
              : stock.price < 30 ? 1 + dice.nextInt(8) : 1 + dice.nextInt(2);
      Map<String, String> row =
          row(
              code,
              String.valueOf(Math.min(most, usual)),
              BigDecimal.valueOf(stock.price).toPlainString());
      row.put("tax", code.startsWith("HNY") ? "Z" : "S");
      if (dice.nextInt(8) == 0) row.put("discount", "5");
      rows.add(row);
    }
    String customer = CUSTOMERS[dice.nextInt(CUSTOMERS.length)];
    return post(
        PaperKind.INVOICE,
        Map.of("customer", customer, "date", day.toString(), "place", place),
        rows);
  }

  /** On Fridays what is due is paid; most customers pay about then too. */
  private int pay(LocalDate day) {
    int papers = 0;
    for (Party.Kind kind : Party.Kind.values()) {
      boolean paying = kind == Party.Kind.SUPPLIER;
      List<Long> due =
          sql.sql(
                  """
                  select distinct w.id from open_item o join party w on w.id = o.party_id
                  where w.kind = ? and o.open <> 0 and o.due <= ? order by w.id
                  """)
              .params(kind.name(), paying ? day : day.minusDays(dice.nextInt(12)))
              .query(Long.class)
              .list();
      for (long party : due) {
        if (!paying && dice.nextInt(4) == 0) continue;
        List<OpenItem> open =
            catalogues.open().openItems(party).stream()
                .filter(o -> !o.due().isAfter(day) && (paying ? o.open() < 0 : o.open() > 0))
                .toList();
        if (open.isEmpty()) continue;
        Coin coin = Coin.of("EUR");
        long sum = open.stream().mapToLong(o -> Math.abs(o.open())).sum();
        String name =
            sql.sql("select name from party where id = ?")
                .param(party)
                .query(String.class)
                .single();
        papers +=
            post(
                paying ? PaperKind.SUPPLIER_PAYMENT : PaperKind.CUSTOMER_PAYMENT,
                Map.of(
                    paying ? "supplier" : "customer",
                    name,
                    "date",
                    day.toString(),
                    "money",
                    "1000",
                    "amount",
                    coin.plain(sum)),
                open.stream()
                    .map(o -> Map.of("paper", o.number(), "amount", coin.plain(Math.abs(o.open()))))
                    .toList());
      }
    }
    return papers;
  }

  private record Stock(
      long here, long everywhere, long reorder, long reorderQuantity, double cost, double price) {}

  private Stock stock(String code, String place) {
    return sql.sql(
            """
            select coalesce((select s.quantity from place_stock s join place p on p.id = s.place_id
                             where s.item_id = i.id and p.name = ?), 0),
              h.on_hand, i.reorder_point, i.reorder_quantity,
              h.latest_value * 10000.0 / h.latest_quantity, r.price
            from item i join cost_pool h on h.item_id = i.id
            join item_price r on r.item_id = i.id and r.list_id = 1 where i.code = ?
            """)
        .params(place, code)
        .query(
            (row, n) ->
                new Stock(
                    row.getLong(1),
                    row.getLong(2),
                    row.getLong(3),
                    row.getLong(4),
                    row.getDouble(5),
                    row.getDouble(6)))
        .single();
  }

  private static Map<String, String> row(String item, String quantity, String price) {
    Map<String, String> row = new HashMap<>();
    row.put("item", item);
    row.put("quantity", quantity);
    row.put("price", price);
    return row;
  }

  private int post(PaperKind kind, Map<String, String> fields, List<Map<String, String>> rows) {
    try {
      Yes.post(posting, drafts, new Draft(kind, fields, rows), DemoPapers.LOGIN);
      return 1;
    } catch (Refused refused) {
      throw new IllegalStateException(
          "the demo wrote a paper that is refused: " + refused.getMessage() + rows, refused);
    }
  }
}
