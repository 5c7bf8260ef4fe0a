package zinctally.store.goods;

import java.math.BigDecimal;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.core.number.Quantity;
import zinctally.store.Audit;

/** Makes and changes items. */
@Repository
public class ItemWriter {
  private final JdbcClient sql;
  private final GroupStore groups;
  private final ItemStore items;
  private final Audit audit;

  ItemWriter(JdbcClient sql, GroupStore groups, ItemStore items, Audit audit) {
    this.items = items;
    this.sql = sql;
    this.groups = groups;
    this.audit = audit;
  }

  /**
   * What is made together with an item, so that its form need not be left.
   *
   * @param group a group below the one chosen, which the item then belongs to; empty for none
   * @param list a price list; empty for none
   * @param price the item's price in that list, for one base unit; null for none
   */
  public record Along(String group, String list, @Nullable BigDecimal price) {
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
    String before = items.find(id).map(ItemCard::toString).orElse(null);
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
            card.shelf())
        .param(micros(card.reorderPoint()))
        .param(micros(card.reorderQuantity()))
        .param(card.standardCost())
        .params(card.notes(), card.active(), card.tracking().name())
        .param(card.weight())
        .param(id)
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
    audit.write(login, "item", id, card.id() == 0 ? "made" : "changed", before, card.toString());
    return id;
  }

  private static @Nullable Long micros(@Nullable Quantity quantity) {
    return quantity == null ? null : quantity.micros();
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
          .params(item, price.list())
          .param(price.price())
          .update();
  }
}
