package zinctally.store.reorder;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Quantity;
import zinctally.core.reorder.Experience;
import zinctally.store.Audit;
import zinctally.store.Retrying;
import zinctally.store.listing.Ask;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.OrderListings;

/** Works out what experience suggests for each item, and takes it over when somebody says so. */
@Repository
public class ReorderStore {
  private static final int WEEKS = 26;
  private static final double MICROS = 1_000_000;
  private final JdbcClient sql;
  private final JdbcTemplate jdbc;
  private final ListingStore lists;
  private final Audit audit;
  private final Clock clock;
  private final Retrying retrying;

  ReorderStore(
      JdbcClient sql,
      JdbcTemplate jdbc,
      ListingStore lists,
      Audit audit,
      Clock clock,
      Retrying retrying) {
    this.retrying = retrying;
    this.sql = sql;
    this.jdbc = jdbc;
    this.lists = lists;
    this.audit = audit;
    this.clock = clock;
  }

  /** Works it out anew, unless that was done today; of two at once the later finds it done. */
  public void today() {
    retrying.run(
        () -> {
          unlessDone(LocalDate.now(clock));
          return true;
        });
  }

  private void unlessDone(LocalDate today) {
    boolean done =
        sql.sql("select exists (select 1 from reorder_advice where made_on = ?)")
            .param(today)
            .query(Boolean.class)
            .single();
    if (!done) anew(today);
  }

  private void anew(LocalDate today) {
    LocalDate from = today.minusWeeks(WEEKS);
    Map<Long, Double[]> sold = new HashMap<>();
    sql.sql(
            """
            select e.item_id, least(floor(datediff(e.date, :from) / 7), :last) as week, sum(e.quantity)
            from paper_kind k join paper p on p.kind = k.kind and p.date >= :from and p.date < :today
            join cost_event e on e.paper_id = p.id and not e.gone and e.kind = 'OUT'
            where k.sale > 0 or k.earns group by e.item_id, week
            """)
        .param("from", from)
        .param("today", today)
        .param("last", WEEKS - 1)
        .query(
            (row, n) -> {
              Double[] weeks = sold.computeIfAbsent(row.getLong(1), i -> zeros());
              weeks[row.getInt(2)] = row.getLong(3) / MICROS;
              return weeks;
            })
        .list();
    Map<Long, List<Integer>> leads = new HashMap<>();
    sql.sql(
            """
            select t.item_id, t.days from (
              select a.item_id, datediff(min(f.date), max(p.date)) as days from paper p
              join awaited a on a.paper_id = p.id and a.what = 'ORDERED_GOODS'
              join fulfilment f on f.awaited_id = a.id and f.quantity > 0
              where p.date >= ? group by a.id, a.item_id) t where t.days >= 0
            """)
        .param(today.minusYears(2))
        .query(
            (row, n) ->
                leads.computeIfAbsent(row.getLong(1), i -> new ArrayList<>()).add(row.getInt(2)))
        .list();
    List<Object[]> rows = new ArrayList<>();
    sql.sql("select id, pack_size from item where active and kind = 'STOCKED'")
        .query(
            (row, n) -> {
              Double[] weeks = sold.get(row.getLong(1));
              if (weeks == null) return row;
              Experience known =
                  new Experience(
                      Arrays.asList(weeks), leads.getOrDefault(row.getLong(1), List.of()));
              if (known.enough())
                rows.add(row(row.getLong(1), today, known, Math.max(1, row.getLong(2) / MICROS)));
              return row;
            })
        .list();
    sql.sql("delete from reorder_advice").update();
    jdbc.batchUpdate(
        "insert into reorder_advice (item_id, made_on, weekly, spread, lead_days, point, quantity,"
            + " reason) values (?, ?, ?, ?, ?, ?, ?, ?)",
        rows);
  }

  private static Object[] row(long item, LocalDate today, Experience known, double pack) {
    Experience.Advice advice = known.advice(pack);
    return new Object[] {
      item,
      today,
      known.weekly(),
      known.spread(),
      known.lead(),
      Math.round(advice.point() * MICROS),
      Math.round(advice.quantity() * MICROS),
      advice.reason()
    };
  }

  private static Double[] zeros() {
    Double[] weeks = new Double[WEEKS];
    Arrays.fill(weeks, 0.0);
    return weeks;
  }

  /** Takes over what a list shows. The caller holds the book alone. */
  public int takeOver(Ask ask, String login) {
    int[] taken = {0};
    List<Map<String, Object>> rows = new ArrayList<>();
    lists.all(OrderListings.fromExperience(), ask, rows::add);
    for (Map<String, Object> row : rows) {
      int changed =
          sql.sql(
                  "update item set reorder_point = :point, reorder_quantity = :quantity where id = :id"
                      + " and not (reorder_point <=> :point and reorder_quantity <=> :quantity)")
              .param("point", row.get("micros_point"))
              .param("quantity", row.get("micros_quantity"))
              .param("id", row.get("id"))
              .update();
      if (changed == 0) continue;
      taken[0]++;
      audit.write(
          login,
          "item",
          Long.parseLong(String.valueOf(row.get("id"))),
          "reorder from experience",
          "point " + units(row.get("now")) + ", quantity " + units(row.get("now_quantity")),
          "point " + units(row.get("point")) + ", quantity " + units(row.get("quantity")));
    }
    return taken[0];
  }

  private static String units(@Nullable Object micros) {
    return micros instanceof Number n ? new Quantity(n.longValue()).toString() : "none";
  }
}
