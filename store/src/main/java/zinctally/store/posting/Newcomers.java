package zinctally.store.posting;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.goods.Item;
import zinctally.core.goods.Lot;
import zinctally.core.papers.Newcomer;
import zinctally.core.papers.Paper;
import zinctally.core.papers.Party;
import zinctally.core.papers.plan.Plan;
import zinctally.store.goods.GroupStore;
import zinctally.store.sql.NewRow;
import zinctally.store.sql.Rows;

/**
 * Makes the parties, places, groups and items a paper names for the first time, and items stocked
 * that were not.
 */
@Component
class Newcomers {
  private final JdbcClient sql;
  private final JdbcTemplate jdbc;
  private final GroupStore groups;
  private final NewPlaces places;

  Newcomers(JdbcClient sql, JdbcTemplate jdbc, GroupStore groups, NewPlaces places) {
    this.places = places;
    this.sql = sql;
    this.jdbc = jdbc;
    this.groups = groups;
  }

  /**
   * The same paper with everyone in it made.
   *
   * @throws Holding.LookAgain when another paper made one of them at the same moment
   */
  Paper make(Paper paper) {
    Paper known = paper.withParties(this::made).withPlaces(places::made);
    known.stocks().ifPresent(this::stock);
    List<Newcomer> newcomers = known.newcomers();
    if (newcomers.isEmpty()) return known;
    Map<String, Item> made = made(newcomers.stream().filter(Newcomer::isNew).toList());
    Paper whole =
        known.withItems(i -> i.id() < 0 ? Objects.requireNonNull(made.get(Newcomer.key(i))) : i);
    price(newcomers, made);
    return whole;
  }

  private void stock(Item item) {
    int stocked =
        sql.sql("update item set kind = 'STOCKED' where id = ? and kind <> 'STOCKED'")
            .param(item.id())
            .update();
    if (stocked == 0) throw new Holding.LookAgain(List.of(item.id()));
  }

  private Map<String, Item> made(List<Newcomer> all) {
    Map<String, Item> made = new HashMap<>();
    Map<String, Newcomer> fresh = new LinkedHashMap<>();
    for (Newcomer one : all) fresh.putIfAbsent(Newcomer.key(one.item()), one);
    if (fresh.isEmpty()) return made;
    comeFirst(fresh.values().stream().map(Newcomer::item).toList());
    Iterator<Long> ids =
        jdbc.queryForList("select next value for item_id from seq_1_to_" + fresh.size(), Long.class)
            .iterator();
    GroupStore.Tree tree = groups.tree();
    Map<String, Long> groupIds = new HashMap<>();
    List<Object[]> rows = new ArrayList<>();
    fresh.forEach(
        (key, one) -> {
          Item item = one.item().withId(ids.next());
          made.put(key, item);
          boolean named = !item.code().isEmpty();
          rows.add(
              new Object[] {
                item.id(),
                named ? item.code() : "NEW-" + item.id(),
                item.name(),
                item.kind().name(),
                groupIds.computeIfAbsent(
                    one.group().toLowerCase(Locale.ROOT), g -> group(tree, one.group())),
                item.method().name(),
                item.units().base().rec20(),
                !named
              });
        });
    Rows.write(
        jdbc,
        "insert into item (id, code, name, kind, group_id, method, base_unit, to_complete)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?)",
        rows);
    return made;
  }

  /**
   * Items that have a name alone are made one paper after the other, so that two papers do not make
   * one twice.
   */
  private void comeFirst(List<Item> items) {
    List<String> names = items.stream().filter(i -> i.code().isEmpty()).map(Item::name).toList();
    if (names.isEmpty()) return;
    sql.sql("select id from item_group where parent_id is null order by id limit 1 for update")
        .query(Long.class)
        .list();
    List<Long> there =
        sql.sql("select id from item where name in (:names) or code in (:names)")
            .param("names", names)
            .query(Long.class)
            .list();
    if (!there.isEmpty()) throw new Holding.LookAgain(there);
  }

  private void price(List<Newcomer> newcomers, Map<String, Item> made) {
    List<Newcomer> priced = newcomers.stream().filter(n -> n.price() != null).toList();
    if (priced.isEmpty()) return;
    long firstList = sql.sql("select min(id) from price_list").query(Long.class).single();
    Rows.write(
        jdbc,
        "insert into item_price (item_id, list_id, price) values (?, ?, ?)"
            + " on duplicate key update price = values(price)",
        priced.stream()
            .map(
                n -> {
                  Item item =
                      n.isNew()
                          ? Objects.requireNonNull(made.get(Newcomer.key(n.item())))
                          : n.item();
                  return new Object[] {item.id(), firstList, n.price()};
                })
            .toList());
  }

  private Party made(Party party) {
    if (party.id() != 0) return party;
    long id =
        NewRow.id(
            sql.sql(
                    "insert into party (kind, name, terms_days) values (?, ?, ?)"
                        + " on duplicate key update id = last_insert_id(id), active = true")
                .params(party.kind().name(), party.name(), party.termsDays()));
    return new Party(id, party.kind(), party.name(), party.termsDays(), true);
  }

  /** A plan with the lots it names for the first time made. */
  Plan lots(Plan plan) {
    Map<Lot, Lot> made = new HashMap<>();
    for (Lot lot : plan.newLots()) {
      long id =
          NewRow.id(
              sql.sql(
                      "insert into lot (item_id, code, expiry) values (?, ?, ?)"
                          + " on duplicate key update id = last_insert_id(id)")
                  .params(lot.item(), lot.code())
                  .param(lot.expiry()));
      made.put(lot, new Lot(id, lot.item(), lot.code(), lot.expiry()));
    }
    return plan.with(made);
  }

  private long group(GroupStore.Tree tree, String name) {
    if (name.isBlank()) return tree.top().id();
    return tree.named(name)
        .map(GroupStore.Group::id)
        .orElseGet(() -> groups.add(new GroupStore.Group(0, tree.top().id(), name, null, 0, 0, 0)));
  }
}
