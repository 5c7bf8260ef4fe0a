package zinctally.store.book;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Standing;
import zinctally.store.sql.Here;

/** Finds places, and standings of goods. */
final class PlaceLookup {
  private static final String PLACE =
      """
      select p.id, p.name, p.kind, coalesce(a.id, p.id) as at, coalesce(a.name, p.name) as site,
        t.id as standing, t.name as standing_name, t.sold, t.free, p.formerly,
        o.id as owner, o.kind as owner_kind, o.name as owner_name, o.terms_days as owner_terms,
        h.id as host, h.kind as host_kind, h.name as host_name, h.terms_days as host_terms
      from place p join standing t on t.id = p.standing_id left join place a on a.id = p.at_id
      left join party o on o.id = p.owner_id left join party h on h.id = p.host_id
      where\s""";
  private static final String CHOSEN = " and " + Here.CHOSEN;
  private final JdbcClient sql;
  private final Map<String, Place> ours = new HashMap<>();
  private final Map<Long, List<Place>> consigned = new HashMap<>();

  PlaceLookup(JdbcClient sql) {
    this.sql = sql;
    sql.sql(
            PLACE
                + "(p.owner_id is null and p.active"
                + " or o.kind = 'SUPPLIER' and p.standing_id = 1)"
                + CHOSEN)
        .query(this::add);
  }

  private void add(ResultSet row) throws SQLException {
    Place place = place(row);
    if (place.owner() != null) {
      consigned.computeIfAbsent(place.at(), at -> new ArrayList<>()).add(place);
      return;
    }
    ours.put(key(place.name()), place);
    if (row.getString("formerly") != null) ours.putIfAbsent(key(row.getString("formerly")), place);
  }

  private static String key(String typed) {
    return typed.strip().toLowerCase(Locale.ROOT);
  }

  private static Place place(ResultSet row) throws SQLException {
    return new Place(
        row.getLong("id"),
        row.getString("name"),
        Place.Kind.valueOf(row.getString("kind")),
        row.getLong("at"),
        row.getString("site"),
        standing(row, "standing", "standing_name"),
        party(row, "owner"),
        party(row, "host"));
  }

  private static Standing standing(ResultSet row, String id, String name) throws SQLException {
    return new Standing(
        row.getLong(id), row.getString(name), row.getBoolean("sold"), row.getBoolean("free"));
  }

  private static @Nullable Party party(ResultSet row, String who) throws SQLException {
    long id = row.getLong(who);
    return id == 0
        ? null
        : new Party(
            id,
            Party.Kind.valueOf(row.getString(who + "_kind")),
            row.getString(who + "_name"),
            row.getInt(who + "_terms"),
            true);
  }

  private Optional<Place> one(JdbcClient.StatementSpec asked) {
    return asked.query((row, n) -> place(row)).optional();
  }

  /** Of a name: ours, else one where goods of others are. */
  Optional<Place> named(String name) {
    Place known = ours.get(key(name));
    if (known != null || name.isBlank()) return Optional.ofNullable(known);
    return one(
        sql.sql(PLACE + "p.name = ? and p.owner_id is not null" + CHOSEN).param(name.strip()));
  }

  Optional<Standing> standing(String name) {
    return sql.sql("select id, name, sold, free from standing where name = ? and active")
        .param(name.strip())
        .query((row, n) -> standing(row, "id", "name"))
        .optional();
  }

  Place as(Place place, Standing standing, @Nullable Party owner) {
    boolean same = place.standing().id() == standing.id() && owner == null && place.owner() == null;
    if (same) return place;
    if (place.at() == 0 || owner != null && owner.id() == 0) return place.fresh(standing, owner);
    return one(sql.sql(
                PLACE + "coalesce(p.at_id, p.id) = ? and p.standing_id = ? and p.owner_id <=> ?")
            .params(place.at(), standing.id())
            .param(owner == null ? null : owner.id()))
        .orElseGet(() -> place.fresh(standing, owner));
  }

  Place repairer(@Nullable Party who) {
    if (who != null && who.id() == 0) return Place.fresh(who);
    return one(sql.sql(PLACE + "p.kind = 'REPAIRER' and p.at_id is null and p.host_id <=> ?")
            .param(who == null ? null : who.id()))
        .orElseGet(() -> Place.fresh(who));
  }

  Place atCustomer(Party who) {
    if (who.id() == 0) return Place.freshAt(who);
    return one(sql.sql(PLACE + "p.kind = 'CUSTOMER' and p.at_id is null and p.host_id = ?")
            .param(who.id()))
        .orElseGet(() -> Place.freshAt(who));
  }

  /** Where suppliers have good goods at a place. */
  List<Place> consigned(Place at) {
    return consigned.getOrDefault(at.at(), List.of());
  }

  Optional<Place> wentTo(String paperNumber) {
    List<Long> place =
        sql.sql(
                """
                select n.place_id from paper q join paper_line n on n.paper_id = q.id
                  and n.version = q.version and n.place_id is not null
                where q.number = ? and q.state = 'POSTED' order by n.line limit 1
                """)
            .param(paperNumber.strip())
            .query(Long.class)
            .list();
    return place.isEmpty()
        ? Optional.empty()
        : one(sql.sql(PLACE + "p.id = ?").param(place.get(0)));
  }

  /** The place that is none of ours: between two of them. */
  Place onTheWay() {
    return one(sql.sql(PLACE + "p.kind = 'WAY' and p.at_id is null")).orElseThrow();
  }
}
