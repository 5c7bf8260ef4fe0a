package zinctally.store.goods;

import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.text.Normalizer;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.core.cost.Method;
import zinctally.core.goods.ItemKind;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Coin;
import zinctally.core.number.Quantity;
import zinctally.store.Audit;
import zinctally.store.find.Like;
import zinctally.store.listing.ValuationListings;
import zinctally.store.sql.Prices;
import zinctally.store.sql.UnitColumns;
import zinctally.store.sql.Waiting;

/** Items and what stock there is of them. */
@Repository
public class ItemStore {
  private final JdbcClient sql;
  private final Audit audit;
  private final GroupStore groups;

  ItemStore(JdbcClient sql, GroupStore groups, Audit audit) {
    this.audit = audit;
    this.sql = sql;
    this.groups = groups;
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

  private static Quantity quantity(ResultSet row, String column) throws SQLException {
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

  /** An item and its price in the first list. */
  public record Proposal(String code, BigDecimal price) {}

  /** Items whose worth is not what they would fetch, for a write-down. */
  public List<Proposal> toWriteDown(BigDecimal percent, Coin coin, int atMost) {
    var listing = ValuationListings.writeDowns(percent, coin);
    return sql.sql("select i.code, p.price from " + listing.from() + " order by i.code limit :most")
        .params(listing.params())
        .param("most", atMost)
        .query((row, n) -> new Proposal(row.getString(1), row.getBigDecimal(2)))
        .list();
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
   * What is made together with an item, so that its form need not be left.
   *
   * @param group a group below the one chosen, which the item then belongs to; empty for none
   * @param list a price list; empty for none
   * @param price the item's price in that list, for one base unit; null for none
   */
  public record Along(String group, String list, BigDecimal price) {
    public static final Along NOTHING = new Along("", "", null);
  }

  private static final String INSERT =
      """
      insert into item (code, name, kind, group_id, method, base_unit, pack_name, pack_size,
        stock_account, sales_account, cost_account, sale_wording, purchase_wording, supplier,
        supplier_code, gtin, shelf, reorder_point, reorder_quantity, standard_cost, notes,
        active, tracking, weight, id)
      values (?, ?, ?, ?, ?, ?, ?, ?, nullif(?, 0), nullif(?, 0), nullif(?, 0), ?, ?, ?, ?,
        nullif(?, ''), ?, ?, ?, ?, ?, ?, ?, ?, ?)
      """;

  private static final String UPDATE =
      """
      update item set code = ?, name = ?, kind = ?, group_id = ?, method = ?, base_unit = ?,
        pack_name = ?, pack_size = ?, stock_account = nullif(?, 0), sales_account = nullif(?, 0),
        cost_account = nullif(?, 0), sale_wording = ?, purchase_wording = ?, supplier = ?,
        supplier_code = ?, gtin = nullif(?, ''), shelf = ?, reorder_point = ?,
        reorder_quantity = ?, standard_cost = ?, notes = ?, active = ?, tracking = ?, weight = ?,
        to_complete = false
      where id = ?
      """;

  /**
   * Makes or changes an item.
   *
   * @return its id
   * @throws DuplicateKeyException when its code or barcode was taken in the meantime
   */
  @Transactional
  public long save(ItemCard card, Along along, String login) {
    long id = card.id();
    long group = card.group();
    if (!along.group().isEmpty())
      group = groups.add(new GroupStore.Group(0, card.group(), along.group(), null, 0, 0, 0));
    if (id == 0) id = sql.sql("select next value for item_id").query(Long.class).single();
    sql.sql(card.id() == 0 ? INSERT : UPDATE)
        .params(
            card.code(),
            card.name(),
            card.kind().name(),
            group,
            card.method().name(),
            card.units().base().rec20(),
            card.units().packName(),
            card.units().packSize().micros(),
            card.stockAccount(),
            card.salesAccount(),
            card.costAccount(),
            card.saleWording(),
            card.purchaseWording(),
            card.supplier(),
            card.supplierCode(),
            card.gtin(),
            card.shelf(),
            card.reorderPoint() == null ? null : card.reorderPoint().micros(),
            card.reorderQuantity() == null ? null : card.reorderQuantity().micros(),
            card.standardCost(),
            card.notes(),
            card.active(),
            card.tracking().name(),
            card.weight(),
            id)
        .update();
    sql.sql(
            "delete from item_price where item_id = :item and list_id not in (:kept)"
                + " and min_quantity = 0 and from_date <= current_date")
        .param("item", id)
        .param(
            "kept",
            Stream.concat(Stream.of(0L), card.prices().stream().map(ItemCard.Price::list)).toList())
        .update();
    for (ItemCard.Price price : card.prices()) keep(id, price);
    if (!along.list().isEmpty()) {
      sql.sql("insert into price_list (name) values (?)").param(along.list()).update();
      if (along.price() != null)
        sql.sql(
                "insert into item_price (item_id, list_id, price)"
                    + " select ?, id, ? from price_list where name = ?")
            .params(id, along.price(), along.list())
            .update();
    }
    audit.write(login, "item", id, card.id() == 0 ? "made" : "changed", card.toString());
    return id;
  }

  /** The price that counts today, changed; it keeps the day from which it counts. */
  private void keep(long item, ItemCard.Price price) {
    int changed =
        sql.sql(
                """
                update item_price set price = :price
                where item_id = :item and list_id = :list and min_quantity = 0 and from_date = (
                  select max(from_date) from (select from_date from item_price
                    where item_id = :item and list_id = :list and min_quantity = 0
                      and from_date <= current_date) x)
                """)
            .param("price", price.price())
            .param("item", item)
            .param("list", price.list())
            .update();
    if (changed == 0)
      sql.sql("insert ignore into item_price (item_id, list_id, price) values (?, ?, ?)")
          .params(item, price.list(), price.price())
          .update();
  }

  /**
   * @param onHand millionths
   * @param worth minor units
   */
  public record Stock(long onHand, long worth, List<AtPlace> places) {}

  public record AtPlace(String place, long quantity) {}

  public Stock stock(long item) {
    List<AtPlace> places =
        sql.sql(
                """
                select p.name, s.quantity from place_stock s join place p on p.id = s.place_id
                where s.item_id = ? and s.quantity <> 0 order by p.name
                """)
            .param(item)
            .query((row, n) -> new AtPlace(row.getString(1), row.getLong(2)))
            .list();
    return sql.sql("select on_hand, worth from cost_pool where item_id = ?")
        .param(item)
        .query((row, n) -> new Stock(row.getLong(1), row.getLong(2), places))
        .optional()
        .orElse(new Stock(0, 0, places));
  }

  /**
   * One line of an item's history, with running totals.
   *
   * @param moved millionths, in above zero
   * @param value minor units
   */
  public record Movement(
      LocalDate date,
      long paper,
      String number,
      String kind,
      String party,
      long causeId,
      String cause,
      long moved,
      long value,
      long onHand,
      long worth) {}

  /** The latest cost entries, newest first; totals run back from what is there now. */
  public List<Movement> movements(long item, int atMost) {
    return sql.sql(
            """
            select n.posting_date, n.quantity, n.value, p.id, p.number, p.kind, w.name as party,
              c.id as cause_id, c.number as cause, h.on_hand, h.worth,
              coalesce(sum(n.quantity) over later, 0) as later_quantity,
              coalesce(sum(n.value) over later, 0) as later_value
            from (select * from cost_entry where item_id = :item
                  order by posting_date desc, id desc limit :most) n
            join cost_event e on e.id = n.event_id join paper p on p.id = e.paper_id
            join paper c on c.id = n.cause_id join cost_pool h on h.item_id = n.item_id
            left join party w on w.id = p.party_id
            window later as (order by n.posting_date desc, n.id desc
                             rows between unbounded preceding and 1 preceding)
            order by n.posting_date desc, n.id desc
            """)
        .param("item", item)
        .param("most", atMost)
        .query(
            (row, n) ->
                new Movement(
                    row.getObject("posting_date", LocalDate.class),
                    row.getLong("id"),
                    row.getString("number"),
                    row.getString("kind"),
                    row.getString("party"),
                    row.getLong("cause_id"),
                    row.getString("cause"),
                    row.getLong("quantity"),
                    row.getLong("value"),
                    row.getLong("on_hand") - row.getLong("later_quantity"),
                    row.getLong("worth") - row.getLong("later_value")))
        .list();
  }

  /** What a search for an item offers. */
  public record Found(long id, String code, String name, String unit, long onHand) {}

  /** Items in use whose code, name, wording or barcode begins with, then holds, what was typed. */
  public List<Found> search(String typed, int atMost) {
    String like = Like.escaped(typed);
    return sql.sql(
            """
            select i.id, i.code, i.name, i.base_unit, coalesce(h.on_hand, 0) as on_hand
            from item i left join cost_pool h on h.item_id = i.id
            where i.active and (i.code like :start or i.gtin = :word or i.name like :within
              or i.supplier_code like :start)
            order by i.code = :word desc, i.code like :start desc, i.name like :start desc, i.name
            limit :most
            """)
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
                    row.getLong("on_hand")))
        .list();
  }

  /**
   * Stock of items at a place, and there and wherever goods are for sale, millionths.
   *
   * @param promises whether what is promised to customers is taken off
   */
  public List<Free> free(List<Long> items, String place, boolean promises) {
    if (items.isEmpty()) return List.of();
    return sql.sql(
            """
            select s.item_id,
              sum(s.quantity) - coalesce(max(a.promised), 0) as everywhere,
              sum(case when p.name = :place then s.quantity else 0 end)
                - coalesce(max(a.promised), 0) as here
            from place_stock s
            join place p on p.id = s.place_id and (p.for_sale or p.name = :place)
            left join (select a.item_id, sum(a.open_quantity) as promised from awaited a
                       where a.item_id in (:items) and %s
                       group by a.item_id) a on :promises and a.item_id = s.item_id
            where s.item_id in (:items) group by s.item_id
            """
                .formatted(Waiting.PROMISED))
        .param("items", items)
        .param("place", place)
        .param("promises", promises)
        .query((row, n) -> new Free(row.getLong(1), row.getLong(3), row.getLong(2)))
        .list();
  }

  /** Millionths here and everywhere. */
  public record Free(long item, long here, long everywhere) {}
}
