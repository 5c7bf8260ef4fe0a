package zinctally.demo;

import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.PriorityQueue;
import java.util.Random;
import java.util.function.Consumer;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.number.Coin;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.posting.Ordering;
import zinctally.store.posting.Proving;
import zinctally.store.sell.TillClosing;
import zinctally.store.sell.TillStore;

/**
 * Selling through the demo's months: orders that go in parts, invoices ahead of their goods, and
 * Saturdays at the counter, with what is brought back and exchanged.
 */
@Component
class DemoTrade {
  private static final Coin EURO = Coin.of("EUR");
  private static final List<String> BUYERS =
      List.of("Alder Farm Shop", "Copse End Apiary", "Stonebridge Honey", "Quillan and Daughter");
  private final DemoPapers papers;
  private final Ordering ordering;
  private final Proving proving;
  private final TillStore tills;
  private final TillClosing closing;
  private final JdbcClient sql;
  private final Random dice = new Random(20250906);
  private final PriorityQueue<Later> later = new PriorityQueue<>();
  private long planned;
  private String lastSold = "";
  private String lastItem = "";

  DemoTrade(
      DemoPapers papers,
      Ordering ordering,
      Proving proving,
      TillStore tills,
      TillClosing closing,
      JdbcClient sql) {
    this.papers = papers;
    this.ordering = ordering;
    this.proving = proving;
    this.tills = tills;
    this.closing = closing;
    this.sql = sql;
  }

  /** What follows on a day. */
  private record Later(LocalDate day, long order, Consumer<LocalDate> what)
      implements Comparable<Later> {
    @Override
    public int compareTo(Later other) {
      int byDay = day.compareTo(other.day);
      return byDay != 0 ? byDay : Long.compare(order, other.order);
    }
  }

  /** What is bought of an item. */
  private record Wanted(String item, long here, String price) {}

  void day(LocalDate day) {
    while (!later.isEmpty() && !later.peek().day.isAfter(day)) later.poll().what.accept(day);
    if (dice.nextInt(14) == 0) order(day);
    if (dice.nextInt(60) == 0) ahead(day);
    if (day.getDayOfWeek() == DayOfWeek.SATURDAY) counter(day);
  }

  private void on(LocalDate day, Consumer<LocalDate> what) {
    later.add(new Later(day, ++planned, what));
  }

  /** Goods of which at least so many are at a place, one after another by chance. */
  private List<Wanted> some(String place, int least, int count) {
    List<Wanted> all =
        sql.sql(
                """
                select i.code, floor(s.quantity / 1000000), r.price from place_stock s
                join item i on i.id = s.item_id and i.tracking = 'NONE'
                join place p on p.id = s.place_id
                join item_price r on r.item_id = i.id and r.list_id = 1
                where p.name = ? and s.quantity >= ? and i.code not like 'HNY%' order by i.code
                """)
            .params(place, least * 1_000_000L)
            .query((row, n) -> new Wanted(row.getString(1), row.getLong(2), row.getString(3)))
            .list();
    Collections.shuffle(all, dice);
    return all.subList(0, Math.min(count, all.size()));
  }

  /** An order of two lines: one is here, of the other some more is wanted than is here. */
  private void order(LocalDate day) {
    List<Wanted> goods = some("Barn store", 4, 2);
    if (goods.size() < 2) return;
    String customer = BUYERS.get(dice.nextInt(BUYERS.size()));
    Wanted whole = goods.get(0);
    Wanted part = goods.get(1);
    long missing = dice.nextInt(3);
    String number =
        papers.post(
            PaperKind.SALES_ORDER,
            Map.of(
                "date", day.toString(),
                "customer", customer,
                "expected", day.plusDays(14).toString()),
            DemoPapers.row(whole.item, "2", whole.price),
            DemoPapers.row(part.item, String.valueOf(3 + missing), part.price));
    on(day.plusDays(1), at -> go(number, customer, at, Map.of(whole, 2L, part, 3L)));
    if (missing > 0) on(day.plusDays(12), at -> rest(number, customer, at, part, missing));
  }

  /** A delivery out of the Barn store, and its invoice some days later. */
  private void go(String order, String customer, LocalDate day, Map<Wanted, Long> goods) {
    List<Map<String, String>> gone = new ArrayList<>();
    List<Wanted> sorted = new ArrayList<>(goods.keySet());
    sorted.sort(Comparator.comparing(Wanted::item));
    for (Wanted g : sorted)
      if (here(g.item) >= Objects.requireNonNull(goods.get(g)))
        gone.add(Map.of("of", order, "item", g.item, "quantity", String.valueOf(goods.get(g))));
    if (gone.isEmpty()) {
      on(day.plusDays(7), at -> go(order, customer, at, goods));
      return;
    }
    String delivery =
        papers.post(PaperKind.DELIVERY, Map.of("date", day.toString(), "customer", customer), gone);
    List<Map<String, String>> billed = new ArrayList<>();
    for (Map<String, String> row : gone) {
      Map<String, String> line = new HashMap<>(row);
      line.put("of", delivery);
      line.put("tax", "S");
      sorted.stream()
          .filter(g -> g.item.equals(row.get("item")))
          .forEach(g -> line.put("price", g.price));
      billed.add(line);
    }
    on(
        day.plusDays(1 + dice.nextInt(9)),
        at ->
            papers.post(
                PaperKind.INVOICE, Map.of("date", at.toString(), "customer", customer), billed));
  }

  /** What was short goes when it is there; what does not come in three months is cancelled. */
  private void rest(String order, String customer, LocalDate day, Wanted part, long missing) {
    if (here(part.item) >= missing) go(order, customer, day, Map.of(part, missing));
    else if (day.isBefore(LocalDate.of(2026, 8, 1)) && dice.nextInt(8) == 0)
      ordering.end(
          sql.sql("select id from paper where number = ?").param(order).query(Long.class).single(),
          DemoPapers.LOGIN);
    else {
      on(day.plusDays(9), at -> rest(order, customer, at, part, missing));
    }
  }

  private long here(String item) {
    return sql.sql(
            """
            select coalesce(sum(floor(s.quantity / 1000000)), 0) from place_stock s
            join item i on i.id = s.item_id join place p on p.id = s.place_id
            where p.name = 'Barn store' and i.code = ?
            """)
        .param(item)
        .query(Long.class)
        .single();
  }

  /** An invoice that is sent and paid before its goods go. */
  private void ahead(LocalDate day) {
    List<Wanted> goods = some("Barn store", 6, 1);
    if (goods.isEmpty()) return;
    Wanted good = goods.get(0);
    String customer = BUYERS.get(dice.nextInt(BUYERS.size()));
    String invoice =
        papers.post(
            PaperKind.INVOICE,
            Map.of("date", day.toString(), "customer", customer, "goods", "later"),
            DemoPapers.row(good.item, "3", good.price));
    send(invoice, customer, day.plusDays(5 + dice.nextInt(9)), good);
  }

  private void send(String invoice, String customer, LocalDate day, Wanted good) {
    on(
        day,
        at -> {
          if (here(good.item) < 3) send(invoice, customer, at.plusDays(5), good);
          else
            papers.post(
                PaperKind.DELIVERY,
                Map.of("date", at.toString(), "customer", customer),
                Map.of("of", invoice, "item", good.item, "quantity", "3"));
        });
  }

  /** A Saturday: a till, two or three customers, now and then somebody with last week's goods. */
  private void counter(LocalDate day) {
    tills.open("Shop", 15000, "counter");
    if (!lastSold.isEmpty() && dice.nextInt(7) == 0) back(day);
    int customers = 1 + dice.nextInt(2);
    for (int i = 0; i < customers; i++) sale(day, Map.of());
    TillStore.Till till = tills.of("counter").orElseThrow();
    closing.close(till.id(), till.expected(), "counter");
    sql.sql(
            "update till set opened_at = timestamp(?, '08:30:00'), closed_at = timestamp(?, '13:05:00')"
                + " where id = ?")
        .params(day, day, till.id())
        .update();
  }

  /** Goods of the Saturday before: for money, or exchanged for others. */
  private void back(LocalDate day) {
    boolean exchanged = dice.nextBoolean();
    Map<String, String> fields = new HashMap<>();
    fields.put("date", day.toString());
    fields.put("customer", "Over the counter");
    fields.put("place", "Shop");
    if (!exchanged) fields.put("back", "1010");
    String back =
        papers.post(
            PaperKind.CUSTOMER_RETURN,
            fields,
            Map.of(
                "paper",
                lastSold,
                "item",
                lastItem,
                "quantity",
                "1",
                "reason",
                "Faulty",
                "goods",
                exchanged ? "Shop" : "Damaged goods"));
    lastSold = "";
    if (exchanged) sale(day, Map.of("credit", back));
  }

  /** A sale of one to three things; one in three pays by card. */
  private void sale(LocalDate day, Map<String, String> paid) {
    List<Wanted> goods = some("Shop", 9, 1 + dice.nextInt(3));
    if (goods.isEmpty()) return;
    Map<String, String> fields = new HashMap<>(paid);
    fields.put("date", day.toString());
    fields.put("place", "Shop");
    fields.put("seller", dice.nextInt(4) == 0 ? "IW" : "TA");
    fields.put("prices", "included");
    List<Map<String, String>> rows =
        goods.stream()
            .map(
                g ->
                    DemoPapers.row(
                        g.item,
                        String.valueOf(
                            1 + dice.nextInt(new BigDecimal(g.price).intValue() > 30 ? 1 : 2)),
                        g.price))
            .toList();
    Draft draft = new Draft(PaperKind.COUNTER_SALE, fields, rows);
    long rest =
        Objects.requireNonNull(proving.prove(draft, 0, DemoPapers.LOGIN).reading().toPay()).rest();
    if (rest > 0) pay(fields, rest);
    String sold = papers.post(PaperKind.COUNTER_SALE, fields, rows);
    if (!fields.containsKey("customer") && !fields.containsKey("credit")) {
      lastSold = sold;
      lastItem = goods.get(0).item;
    }
  }

  private void pay(Map<String, String> fields, long rest) {
    if (rest > 15000 && dice.nextInt(3) == 0) {
      fields.put("customer", "Perrin Vale");
      fields.put("account", EURO.plain(rest / 2));
      fields.put("times", "3");
      fields.put("every", "month");
      fields.put("card", EURO.plain(rest - rest / 2));
    } else if (dice.nextInt(3) == 0) fields.put("card", EURO.plain(rest));
    else fields.put("cash", EURO.plain((rest + 999) / 1000 * 1000));
  }
}
