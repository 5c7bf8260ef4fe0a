package zinctally.store.sell;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.store.Audit;
import zinctally.store.sql.UnitColumns;

/**
 * What items sell at: by price list, from a date and from a quantity on. For each quantity step the
 * latest price that has begun counts, and of the steps a quantity reaches the highest.
 */
@Repository
public class PriceStore {
  private final JdbcClient sql;
  private final Audit audit;
  private final JdbcTemplate jdbc;

  PriceStore(JdbcClient sql, JdbcTemplate jdbc, Audit audit) {
    this.audit = audit;
    this.sql = sql;
    this.jdbc = jdbc;
  }

  /**
   * @param withTax whether its prices hold their tax
   */
  public record PriceList(long id, String name, boolean withTax) {}

  /** Says which a list's prices are. */
  @Transactional
  public void withTax(long list, boolean withTax, String login) {
    int changed =
        sql.sql("update price_list set with_tax = ? where id = ? and with_tax <> ?")
            .params(withTax, list, withTax)
            .update();
    if (changed > 0)
      audit.write(login, "price list", list, "with tax", "" + !withTax, "" + withTax);
  }

  /** All price lists, the book's first at the top. */
  public List<PriceList> lists() {
    return sql.sql("select id, name, with_tax from price_list order by id")
        .query((row, n) -> new PriceList(row.getLong(1), row.getString(2), row.getBoolean(3)))
        .list();
  }

  /**
   * One price of an item.
   *
   * @param each for one base unit
   * @param atLeast millionths; zero for any quantity
   */
  public record Price(long list, String listName, LocalDate from, long atLeast, BigDecimal each) {
    /** Whether it has no beginning: it counts until a dated one does. */
    public boolean always() {
      return from.getYear() == 1000;
    }
  }

  /** Every price of an item, past and to come. */
  public List<Price> of(long item) {
    return sql.sql(
            """
            select l.id, l.name, p.from_date, p.min_quantity, p.price
            from item_price p join price_list l on l.id = p.list_id where p.item_id = ?
            order by l.id, p.min_quantity, p.from_date
            """)
        .param(item)
        .query(
            (row, n) ->
                new Price(
                    row.getLong(1),
                    row.getString(2),
                    row.getObject(3, LocalDate.class),
                    row.getLong(4),
                    row.getBigDecimal(5)))
        .list();
  }

  /**
   * Sets one price of an item, or takes it away.
   *
   * @param from null for one without a beginning
   * @param each null to take it away
   */
  @Transactional
  public void set(
      long item,
      long list,
      @Nullable LocalDate from,
      long atLeast,
      @Nullable BigDecimal each,
      String login) {
    LocalDate day = from == null ? LocalDate.of(1000, 1, 1) : from;
    Optional<BigDecimal> before =
        sql.sql(
                "select price from item_price where item_id = ? and list_id = ? and from_date = ?"
                    + " and min_quantity = ? for update")
            .params(item, list, day, atLeast)
            .query(BigDecimal.class)
            .optional();
    if (each == null)
      sql.sql(
              "delete from item_price where item_id = ? and list_id = ? and from_date = ?"
                  + " and min_quantity = ?")
          .params(item, list, day, atLeast)
          .update();
    else
      sql.sql(
              "insert into item_price (item_id, list_id, price, from_date, min_quantity)"
                  + " values (?, ?, ?, ?, ?) on duplicate key update price = values(price)")
          .params(item, list, each, day, atLeast)
          .update();
    String where = list + " from " + day + ", " + atLeast + ": ";
    audit.write(
        login,
        "item",
        item,
        "price",
        before.map(price -> where + price).orElse(null),
        each == null ? "taken away" : where + each);
  }

  /** Makes a price list; does nothing when there is one of that name. */
  @Transactional
  public void makeList(String name, String login) {
    int made = sql.sql("insert ignore into price_list (name) values (?)").param(name).update();
    if (made > 0) audit.write(login, "price list", 0, "made", name);
  }

  /**
   * An item in a bulk change.
   *
   * @param price today's in the list, for one base unit; null for none
   * @param cost minor units for {@code costMicros}; null when it was never had
   */
  public record Priced(
      long item,
      String code,
      String name,
      String unit,
      @Nullable BigDecimal price,
      @Nullable Long cost,
      long costMicros) {}

  /**
   * Items in use of a group and all under it, by code.
   *
   * @param group zero for all
   */
  public List<Priced> priced(long list, long group, LocalDate on) {
    return sql.sql(
            """
            with recursive within as (
              select id from item_group where :group = 0 or id = :group
              union select g.id from item_group g join within w on g.parent_id = w.id)
            select i.id, i.code, i.name, i.base_unit, i.pack_name, i.pack_size, p.price,
              coalesce(if(h.on_hand > 0, h.worth, h.latest_value), null) as cost,
              coalesce(if(h.on_hand > 0, h.on_hand, h.latest_quantity), 0) as cost_micros
            from item i left join cost_pool h on h.item_id = i.id
            left join item_price p on p.item_id = i.id and p.list_id = :list
              and p.min_quantity = 0 and p.from_date = (
                select max(x.from_date) from item_price x where x.item_id = p.item_id
                  and x.list_id = p.list_id and x.min_quantity = 0 and x.from_date <= :on)
            where i.active and i.group_id in (select id from within)
            order by i.code
            """)
        .param("group", group)
        .param("list", list)
        .param("on", on)
        .query(
            (row, n) ->
                new Priced(
                    row.getLong("id"),
                    row.getString("code"),
                    row.getString("name"),
                    UnitColumns.units(row).base().sign(),
                    row.getBigDecimal("price"),
                    row.getLong("cost_micros") == 0 ? null : row.getObject("cost", Long.class),
                    row.getLong("cost_micros")))
        .list();
  }

  /** A new price for one base unit. */
  public record Fresh(long item, BigDecimal price) {}

  /** Sets many prices of a list from a date on, all or none. */
  @Transactional
  public void setAll(long list, LocalDate from, List<Fresh> prices, String login) {
    List<Object[]> rows = new ArrayList<>();
    for (Fresh f : prices) rows.add(new Object[] {f.item(), list, f.price(), from});
    jdbc.batchUpdate(
        "insert into item_price (item_id, list_id, price, from_date) values (?, ?, ?, ?)"
            + " on duplicate key update price = values(price)",
        rows);
    audit.write(login, "price list", list, "prices", prices.size() + " from " + from);
  }
}
