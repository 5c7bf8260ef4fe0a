package zinctally.store.book;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Centre;
import zinctally.core.papers.Place;
import zinctally.store.goods.GroupStore;

/** Finds cost centres by name, and those that usually bear something. */
final class CentreLookup {
  private final JdbcClient sql;
  private final boolean used;
  private final GroupStore.Tree groups;
  private final Map<String, Centre> named = new HashMap<>();
  private final Map<Long, Centre> byId = new HashMap<>();
  private final Map<Long, Long> ofGroup = new HashMap<>();
  private final Map<Long, Long> ofPlace = new HashMap<>();
  private final Map<Long, Long> groupOf = new HashMap<>();

  /**
   * @param used whether the book has any
   * @param posted whether the lines are those of a posted paper, in which each stays itself
   */
  CentreLookup(JdbcClient sql, boolean used, boolean posted, GroupStore.Tree groups) {
    this.sql = sql;
    this.used = used;
    this.groups = groups;
    if (!used) return;
    sql.sql("select id, name from centre where active or :posted")
        .param("posted", posted)
        .query((row, n) -> new Centre(row.getLong(1), row.getString(2)))
        .list()
        .forEach(
            c -> {
              named.put(key(c.name()), c);
              byId.put(c.id(), c);
            });
    usual("item_group", ofGroup);
    usual("place", ofPlace);
  }

  private void usual(String table, Map<Long, Long> of) {
    sql.sql("select id, centre_id from " + table + " where centre_id is not null")
        .query((row, n) -> of.put(row.getLong(1), row.getLong(2)))
        .list();
  }

  private static String key(String typed) {
    return typed.strip().toLowerCase(Locale.ROOT);
  }

  boolean used() {
    return used;
  }

  Optional<Centre> named(String name) {
    return Optional.ofNullable(named.get(key(name)));
  }

  /**
   * @param known ids of the items the reading speaks of, whose groups are looked up together
   */
  Optional<Centre> usual(@Nullable Item item, @Nullable Place place, Collection<Long> known) {
    Optional<Long> centre =
        item == null || ofGroup.isEmpty() ? Optional.empty() : ofGroup(item.id(), known);
    if (centre.isEmpty() && place != null) centre = Optional.ofNullable(ofPlace.get(place.at()));
    return centre.map(byId::get);
  }

  /** That of the nearest group above it that has one. */
  private Optional<Long> ofGroup(long item, Collection<Long> known) {
    if (!groupOf.containsKey(item)) {
      List<Long> ids = new ArrayList<>(known);
      ids.removeAll(groupOf.keySet());
      ids.add(item);
      sql.sql("select id, group_id from item where id in (:ids)")
          .param("ids", ids)
          .query((row, n) -> groupOf.put(row.getLong(1), row.getLong(2)))
          .list();
      groupOf.putIfAbsent(item, 0L);
    }
    GroupStore.Group group = groups.group(groupOf.getOrDefault(item, 0L));
    while (group != null && !ofGroup.containsKey(group.id())) group = groups.group(group.parent());
    return Optional.ofNullable(group).map(g -> ofGroup.get(g.id()));
  }
}
