package zinctally.store.goods;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.cost.Method;
import zinctally.core.goods.ItemKind;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Quantity;
import zinctally.store.find.Like;
import zinctally.store.sql.Here;
import zinctally.store.sql.Prices;
import zinctally.store.sql.UnitColumns;

/** Items and what stock there is of them. */
@Repository
public class ItemStore {
  private final JdbcClient sql;

  ItemStore(JdbcClient sql) {
    this.sql = sql;
  }

  public Optional<ItemCard> find(long id) {
    return sql.sql("select * from item where id = ?")
        .param(id)
        .query((row, n) -> card(row, prices(id)))
        .optional();
  }

  /** The cards of many, in the order of their codes. */
  public List<ItemCard> find(List<Long> ids) {
    if (ids.isEmpty()) return List.of();
    Map<Long, List<ItemCard.Price>> prices = new HashMap<>();
    sql.sql(
            """
            select i.id as item, l.id, l.name, p.price from item i join price_list l
            left join item_price p on p.list_id = l.id and p.item_id = i.id and %s
            where i.id in (:ids) order by l.id
            """
                .formatted(Prices.TODAY))
        .param("ids", ids)
        .query(
            (row, n) ->
                prices
                    .computeIfAbsent(row.getLong("item"), i -> new ArrayList<>())
                    .add(
                        new ItemCard.Price(row.getLong(2), row.getString(3), row.getBigDecimal(4))))
        .list();
    return sql.sql("select * from item where id in (:ids) order by code, id")
        .param("ids", ids)
        .query((row, n) -> card(row, prices.getOrDefault(row.getLong("id"), List.of())))
        .list();
  }

  /** A blank card for a new item: prices of every list, none set. */
  public List<ItemCard.Price> prices(long item) {
    return sql.sql(
            """
            select l.id, l.name, p.price from price_list l
            left join item_price p on p.list_id = l.id and p.item_id = ? and %s order by l.id
            """
                .formatted(Prices.TODAY))
        .param(item)
        .query(
            (row, n) -> new ItemCard.Price(row.getLong(1), row.getString(2), row.getBigDecimal(3)))
        .list();
  }

  private static ItemCard card(ResultSet row, List<ItemCard.Price> prices) throws SQLException {
    return new ItemCard(
        row.getLong("id"),
        row.getString("code"),
        row.getString("name"),
        ItemKind.valueOf(row.getString("kind")),
        row.getLong("group_id"),
        Method.valueOf(row.getString("method")),
        UnitColumns.units(row),
        row.getLong("stock_account"),
        row.getLong("sales_account"),
        row.getLong("cost_account"),
        row.getString("sale_wording"),
        row.getString("purchase_wording"),
        row.getString("supplier"),
        row.getString("supplier_code"),
        row.getString("gtin") == null ? "" : row.getString("gtin"),
        row.getString("shelf"),
        quantity(row, "reorder_point"),
        quantity(row, "reorder_quantity"),
        row.getBigDecimal("standard_cost"),
        row.getString("notes"),
        row.getBoolean("active"),
        Tracking.valueOf(row.getString("tracking")),
        row.getBigDecimal("weight"),
        prices);
  }

  private static @Nullable Quantity quantity(ResultSet row, String column) throws SQLException {
    Long micros = row.getObject(column, Long.class);
    return micros == null ? null : new Quantity(micros);
  }

  /** Whether stock of it ever moved: then method, unit, kind and stock account stay. */
  public boolean moved(long id) {
    return sql.sql("select exists (select 1 from cost_event where item_id = ?)")
        .param(id)
        .query(Boolean.class)
        .single();
  }

  /** Whether an invoice has sold it. */
  public boolean sold(long id) {
    return sql.sql(
            """
            select exists (select 1 from paper_line l join paper p on p.id = l.paper_id
              join paper_kind k on k.kind = p.kind and k.sale > 0
              where l.item_id = ? and p.state = 'POSTED')
            """)
        .param(id)
        .query(Boolean.class)
        .single();
  }

  /** Another item with this code or barcode, if there is one. */
  public Optional<String> taken(String column, String value, long besides) {
    String wanted = column.equals("gtin") ? "gtin" : "code";
    return sql.sql("select name from item where " + wanted + " = ? and id <> ?")
        .params(value, besides)
        .query(String.class)
        .optional();
  }

  /**
   * A code that no item has yet, made of a name's first letters: {@code BRO-01}; none of these
   * either.
   */
  public String freeCode(String name, Set<String> besides) {
    String letters =
        Normalizer.normalize(name, Normalizer.Form.NFD)
            .replaceAll("[^A-Za-z]", "")
            .toUpperCase(Locale.ROOT);
    String start = (letters + "ITM").substring(0, 3) + "-";
    Set<String> taken =
        new HashSet<>(
            sql.sql("select code from item where code like ?")
                .param(start + "%")
                .query(String.class)
                .list());
    for (int n = 1; ; n++) {
      String code = start + String.format(Locale.ROOT, "%02d", n);
      if (!taken.contains(code) && !besides.contains(code)) return code;
    }
  }

  /**
   * What a search for an item offers.
   *
   * @param here millionths that are good, ours and at places that sell
   */
  public record Found(long id, String code, String name, String unit, long here) {}

  /** Items in use whose code, name, wording or barcode begins with, then holds, what was typed. */
  public List<Found> search(String typed, int atMost) {
    String like = Like.escaped(typed);
    return sql.sql(
            """
            select i.id, i.code, i.name, i.base_unit, %s as here from item i
            where i.active and (i.code like :start or i.gtin = :word or i.name like :within
              or i.supplier_code like :start)
            order by i.code = :word desc, i.code like :start desc, i.name like :start desc, i.name
            limit :most
            """
                .formatted(Here.HERE))
        .param("word", typed)
        .param("start", like + "%")
        .param("within", "%" + like + "%")
        .param("most", atMost)
        .query(
            (row, n) ->
                new Found(
                    row.getLong("id"),
                    row.getString("code"),
                    row.getString("name"),
                    UnitColumns.unit(row.getString("base_unit")).sign(),
                    row.getLong("here")))
        .list();
  }
}
