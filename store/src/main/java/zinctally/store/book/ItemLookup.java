package zinctally.store.book;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemKind;
import zinctally.core.goods.Tracking;
import zinctally.core.units.Units;
import zinctally.store.goods.GroupStore;

/** Finds items by what is typed, and by their ids, and remembers them. */
final class ItemLookup {
  private static final int CHUNK = 1000;
  private final JdbcClient sql;
  private final GroupStore.Tree groups;

  /** Whether the items are those of a posted paper, in which each stays itself. */
  private final boolean posted;

  private final Map<String, Optional<Item>> items = new HashMap<>();
  private final Map<Long, Item> byId = new HashMap<>();

  ItemLookup(JdbcClient sql, GroupStore.Tree groups, boolean posted) {
    this.sql = sql;
    this.groups = groups;
    this.posted = posted;
  }

  private static String key(String typed) {
    return typed.strip().toLowerCase(Locale.ROOT);
  }

  /** Ids of all that have been found. */
  Collection<Long> known() {
    return byId.keySet();
  }

  Optional<Item> item(String typed) {
    return items.computeIfAbsent(
        key(typed),
        wanted ->
            wanted.isEmpty()
                ? Optional.empty()
                : by("i.code", wanted)
                    .or(() -> by("i.gtin", wanted))
                    .or(() -> by("i.name", wanted))
                    .or(() -> byTheirCode(wanted))
                    .map(this::followed));
  }

  /**
   * Holds goods in stock, in the order of their ids, until the transaction ends, and from then on
   * knows of items what they are now. What else is sold has no pool that two could take from.
   */
  void hold(Collection<Long> ids) {
    items.clear();
    byId.clear();
    List<Long> all = ids.stream().sorted().toList();
    for (int from = 0; from < all.size(); from += CHUNK)
      sql.sql(
              ItemRows.SELECT
                  + " where i.id in (:ids) and i.kind = 'STOCKED' order by i.id for update")
          .param("ids", all.subList(from, Math.min(all.size(), from + CHUNK)))
          .query((row, n) -> found(ItemRows.item(row, groups)))
          .list()
          .forEach(item -> items.put(key(item.code()), Optional.of(item)));
  }

  /**
   * Fetches the items with these codes in few queries.
   *
   * @param onlyCodes whether what is no code is no item either, so that nothing else is looked for
   */
  void fetch(Collection<String> codes, boolean onlyCodes) {
    List<String> all =
        codes.stream()
            .map(ItemLookup::key)
            .filter(c -> !c.isEmpty() && !items.containsKey(c))
            .distinct()
            .toList();
    if (onlyCodes) all.forEach(code -> items.put(code, Optional.empty()));
    for (int from = 0; from < all.size(); from += CHUNK) {
      sql.sql(ItemRows.SELECT + " where i.code in (:codes)")
          .param("codes", all.subList(from, Math.min(all.size(), from + CHUNK)))
          .query((row, n) -> found(ItemRows.item(row, groups)))
          .list()
          .forEach(item -> items.put(key(item.code()), Optional.of(followed(item))));
    }
  }

  /** The item that one leads to which is no longer used; in what was posted it stays itself. */
  private Item followed(Item item) {
    if (item.active() || posted) return item;
    return sql.sql("select merged_into from item where id = ? and merged_into is not null")
        .param(item.id())
        .query(Long.class)
        .optional()
        .map(into -> of(List.of(into)).get(into))
        .orElse(item);
  }

  /** By a supplier's own code for it, when that means one item. */
  private Optional<Item> byTheirCode(String wanted) {
    List<Long> ids =
        sql.sql(
                "select distinct item_id from supplier_item where code = ?"
                    + " union select id from item where supplier_code = ? limit 2")
            .params(wanted, wanted)
            .query(Long.class)
            .list();
    return ids.size() == 1 ? Optional.ofNullable(of(ids).get(ids.get(0))) : Optional.empty();
  }

  private Optional<Item> by(String column, String wanted) {
    return sql.sql(
            ItemRows.SELECT + " where " + column + " = ? order by i.active desc, i.id limit 1")
        .param(wanted)
        .query((row, n) -> found(ItemRows.item(row, groups)))
        .optional();
  }

  private Item found(Item item) {
    byId.put(item.id(), item);
    return item;
  }

  /** Items by id, for those who have only that. */
  Map<Long, Item> of(Collection<Long> ids) {
    List<Long> missing = ids.stream().filter(id -> !byId.containsKey(id)).distinct().toList();
    if (!missing.isEmpty())
      sql.sql(ItemRows.SELECT + " where i.id in (:ids)")
          .param("ids", missing)
          .query((row, n) -> found(ItemRows.item(row, groups)))
          .list();
    Map<Long, Item> items = new HashMap<>();
    for (Long id : ids) if (byId.containsKey(id)) items.put(id, byId.get(id));
    return items;
  }

  /** An item that is not made yet, with what its group, or the top group, gives it. */
  Item newItem(long id, String code, String name, String group, Units units) {
    GroupStore.Group in = groups.named(group).orElse(groups.top());
    return new Item(
        id,
        code,
        name,
        ItemKind.STOCKED,
        units,
        groups.method(in.id()),
        groups.stockAccount(in.id()),
        groups.salesAccount(in.id()),
        groups.costAccount(in.id()),
        "",
        "",
        true,
        Tracking.NONE,
        null);
  }
}
