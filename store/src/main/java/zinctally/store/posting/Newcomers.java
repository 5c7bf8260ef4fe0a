package zinctally.store.posting;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;
import zinctally.core.goods.Item;
import zinctally.core.goods.Lot;
import zinctally.core.papers.Paper;
import zinctally.core.papers.Party;
import zinctally.core.papers.opening.OpeningStock;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.stock.StartTracking;
import zinctally.store.book.BookCatalogue;
import zinctally.store.goods.GroupStore;

/**
 * Makes the parties, groups and items a paper names for the first time, and items stocked that were
 * not.
 */
@Component
class Newcomers {
  private final JdbcClient sql;
  private final JdbcTemplate jdbc;
  private final GroupStore groups;

  Newcomers(JdbcClient sql, JdbcTemplate jdbc, GroupStore groups) {
    this.sql = sql;
    this.jdbc = jdbc;
    this.groups = groups;
  }

  /**
   * The same paper with everyone in it made.
   *
   * @throws Holding.LookAgain when another paper made one of them at the same moment
   */
  Paper make(Paper paper, BookCatalogue book) {
    Paper known = paper.withParties(this::made);
    if (known.items().stream().anyMatch(i -> i.id() < 0) && !(known instanceof OpeningStock)) {
      Map<String, Item> made = new HashMap<>();
      return known.withItems(
          item ->
              item.id() > 0
                  ? item
                  : made.computeIfAbsent(item.name().toLowerCase(Locale.ROOT), n -> made(item)));
    }
    if (known instanceof StartTracking start) stock(start.item());
    return known instanceof OpeningStock stock ? made(stock, book) : known;
  }

  private void stock(Item item) {
    int stocked =
        sql.sql("update item set kind = 'STOCKED' where id = ? and kind <> 'STOCKED'")
            .param(item.id())
            .update();
    if (stocked == 0) throw new Holding.LookAgain(List.of(item.id()));
  }

  /**
   * An item made from a line: it has a name, and waits to be completed. Such items are made one
   * after the other, so that two papers do not make one twice.
   */
  private Item made(Item item) {
    sql.sql("select id from item_group where parent_id is null order by id limit 1 for update")
        .query(Long.class)
        .list();
    List<Long> there =
        sql.sql("select id from item where name = ? or code = ? limit 1")
            .params(item.name(), item.name())
            .query(Long.class)
            .list();
    if (!there.isEmpty()) throw new Holding.LookAgain(there);
    long id = sql.sql("select next value for item_id").query(Long.class).single();
    sql.sql(
            """
            insert into item (id, code, name, kind, group_id, method, base_unit, to_complete)
            values (?, ?, ?, ?, ?, ?, ?, true)
            """)
        .params(
            id,
            "NEW-" + id,
            item.name(),
            item.kind().name(),
            groups.tree().top().id(),
            item.method().name(),
            item.units().base().rec20())
        .update();
    return item.withId(id);
  }

  private Party made(Party party) {
    if (party.id() != 0) return party;
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    sql.sql(
            "insert into party (kind, name, terms_days) values (?, ?, ?)"
                + " on duplicate key update id = last_insert_id(id), active = true")
        .params(party.kind().name(), party.name(), party.termsDays())
        .update(key, "id");
    return new Party(key.getKey().longValue(), party.kind(), party.name(), party.termsDays(), true);
  }

  /** A plan with the lots it names for the first time made. */
  Plan lots(Plan plan) {
    Map<Lot, Lot> made = new HashMap<>();
    for (Lot lot : plan.newLots()) {
      GeneratedKeyHolder key = new GeneratedKeyHolder();
      sql.sql(
              "insert into lot (item_id, code, expiry) values (?, ?, ?)"
                  + " on duplicate key update id = last_insert_id(id)")
          .params(lot.item(), lot.code(), lot.expiry())
          .update(key, "id");
      made.put(lot, new Lot(key.getKey().longValue(), lot.item(), lot.code(), lot.expiry()));
    }
    return plan.with(made);
  }

  private OpeningStock made(OpeningStock stock, BookCatalogue book) {
    GroupStore.Tree tree = groups.tree();
    Map<String, Long> groupIds = new HashMap<>();
    Map<String, Item> items = new HashMap<>();
    List<Object[]> itemRows = new ArrayList<>();
    List<Object[]> prices = new ArrayList<>();
    List<OpeningStock.Line> lines = new ArrayList<>();
    long fresh = stock.lines().stream().filter(l -> l.item().id() < 0).count();
    List<Long> ids =
        fresh == 0
            ? List.of()
            : jdbc.queryForList("select next value for item_id from seq_1_to_" + fresh, Long.class);
    long firstList = sql.sql("select min(id) from price_list").query(Long.class).single();
    int next = 0;
    for (OpeningStock.Line line : stock.lines()) {
      Item item = line.item();
      if (item.id() < 0) {
        String key = item.code().toLowerCase(java.util.Locale.ROOT);
        if (!items.containsKey(key)) {
          long group =
              groupIds.computeIfAbsent(
                  line.group().toLowerCase(java.util.Locale.ROOT), g -> group(tree, line.group()));
          Item made = item.withId(ids.get(next++));
          items.put(key, made);
          itemRows.add(
              new Object[] {
                made.id(),
                made.code(),
                made.name(),
                made.kind().name(),
                group,
                made.method().name(),
                made.units().base().rec20()
              });
          if (line.sellingPrice() != null)
            prices.add(new Object[] {made.id(), firstList, line.sellingPrice()});
        }
        item = items.get(key);
      } else if (line.sellingPrice() != null)
        prices.add(new Object[] {item.id(), firstList, line.sellingPrice()});
      lines.add(
          new OpeningStock.Line(
              line.row(),
              item,
              line.group(),
              line.quantity(),
              line.value(),
              line.sellingPrice(),
              line.place(),
              line.numbers()));
    }
    jdbc.batchUpdate(
        "insert into item (id, code, name, kind, group_id, method, base_unit) values (?, ?, ?, ?, ?, ?, ?)",
        itemRows);
    jdbc.batchUpdate(
        "insert into item_price (item_id, list_id, price) values (?, ?, ?)"
            + " on duplicate key update price = values(price)",
        prices);
    return new OpeningStock(stock.date(), lines);
  }

  private long group(GroupStore.Tree tree, String name) {
    if (name.isBlank()) return tree.top().id();
    return tree.named(name)
        .map(GroupStore.Group::id)
        .orElseGet(() -> groups.add(new GroupStore.Group(0, tree.top().id(), name, null, 0, 0, 0)));
  }
}
