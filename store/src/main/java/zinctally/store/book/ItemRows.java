package zinctally.store.book;

import java.sql.ResultSet;
import java.sql.SQLException;
import zinctally.core.cost.Method;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemKind;
import zinctally.core.goods.Tracking;
import zinctally.store.goods.GroupStore;
import zinctally.store.sql.UnitColumns;

/** Reads items from their rows. */
final class ItemRows {
  static final String SELECT =
      """
      select i.id, i.code, i.name, i.kind, i.group_id, i.method, i.base_unit, i.pack_name,
        i.pack_size, i.stock_account, i.sales_account, i.cost_account, i.sale_wording,
        i.purchase_wording, i.active, i.tracking, i.weight
      from item i
      """;

  private ItemRows() {}

  /** Accounts are the item's own, else its group's. */
  static Item item(ResultSet row, GroupStore.Tree groups) throws SQLException {
    long group = row.getLong("group_id");
    long stock = row.getLong("stock_account");
    long sales = row.getLong("sales_account");
    long cost = row.getLong("cost_account");
    return new Item(
        row.getLong("id"),
        row.getString("code"),
        row.getString("name"),
        ItemKind.valueOf(row.getString("kind")),
        UnitColumns.units(row),
        Method.valueOf(row.getString("method")),
        stock == 0 ? groups.stockAccount(group) : stock,
        sales == 0 ? groups.salesAccount(group) : sales,
        cost == 0 ? groups.costAccount(group) : cost,
        row.getString("sale_wording"),
        row.getString("purchase_wording"),
        row.getBoolean("active"),
        Tracking.valueOf(row.getString("tracking")),
        row.getBigDecimal("weight"));
  }
}
