package zinctally.store.book;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Place;
import zinctally.core.papers.consign.Terms;

/** Finds goods of suppliers here on consignment, as if the paper being amended had moved none. */
final class ConsignLookup {
  private final JdbcClient sql;
  private final long amends;
  private final PlaceLookup places;
  private final Map<List<Object>, Optional<Terms>> terms = new HashMap<>();

  /** By place and item, for those that were asked about. */
  private final Map<List<Long>, List<Catalogue.Consigned>> consigned = new HashMap<>();

  ConsignLookup(JdbcClient sql, long amends, PlaceLookup places) {
    this.sql = sql;
    this.amends = amends;
    this.places = places;
  }

  /**
   * What suppliers have of an item at a place, what came first first; with it, at one go, what they
   * have there of the others.
   *
   * @param others ids of items that are likely to be asked about next
   */
  List<Catalogue.Consigned> consigned(long item, Place place, Collection<Long> others) {
    Map<Long, Place> here =
        places.consigned(place).stream().collect(Collectors.toMap(Place::id, p -> p));
    if (here.isEmpty()) return List.of();
    if (!consigned.containsKey(key(item, place)))
      load(
          Stream.concat(Stream.of(item), others.stream())
              .filter(one -> !consigned.containsKey(key(one, place)))
              .distinct()
              .toList(),
          place,
          here);
    return consigned.getOrDefault(key(item, place), List.of());
  }

  private static List<Long> key(long item, Place place) {
    return List.of(item, place.at());
  }

  private void load(List<Long> items, Place place, Map<Long, Place> here) {
    items.forEach(item -> consigned.put(key(item, place), new ArrayList<>()));
    sql.sql(
            """
            select t.item_id, t.place_id, sum(t.quantity), sum(t.took), (
              select min(m.date) from quantity_move m where m.item_id = t.item_id
                and m.place_id = t.place_id and m.quantity > 0) as since
            from (
              select item_id, place_id, quantity, 0 as took from place_stock
              where item_id in (:items) and place_id in (:places)
              union all
              select item_id, place_id, -quantity, -quantity from quantity_move
              where paper_id = :amends and item_id in (:items) and place_id in (:places)) t
            group by t.item_id, t.place_id having sum(t.quantity) > 0 order by since, t.place_id
            """)
        .param("items", items)
        .param("places", here.keySet())
        .param("amends", amends)
        .query(
            row -> {
              Place at = Objects.requireNonNull(here.get(row.getLong(2)));
              Objects.requireNonNull(consigned.get(key(row.getLong(1), place)))
                  .add(new Catalogue.Consigned(at, row.getLong(3), row.getLong(4)));
            });
  }

  /** The least that is at a place from a day on, millionths. */
  long onHand(long item, long place, LocalDate from) {
    long now =
        sql.sql(
                """
                select coalesce((select quantity from place_stock
                  where item_id = :item and place_id = :place), 0)
                  - coalesce((select sum(quantity) from quantity_move
                    where paper_id = :amends and item_id = :item and place_id = :place), 0)
                """)
            .param("item", item)
            .param("place", place)
            .param("amends", amends)
            .query(Long.class)
            .single();
    TreeMap<LocalDate, Long> later = new TreeMap<>();
    sql.sql(
            """
            select date, sum(quantity) from quantity_move
            where item_id = :item and place_id = :place and date > :from and paper_id <> :amends
            group by date
            """)
        .param("item", item)
        .param("place", place)
        .param("from", from)
        .param("amends", amends)
        .query((row, n) -> later.put(row.getObject(1, LocalDate.class), row.getLong(2)))
        .list();
    long least = now;
    long level = now;
    for (long moved : later.descendingMap().values()) {
      level -= moved;
      least = Math.min(least, level);
    }
    return least;
  }

  Optional<Terms> terms(long supplier, long item, LocalDate on) {
    return terms.computeIfAbsent(List.of(supplier, item, on), k -> agreed(supplier, item, on));
  }

  /** What names the item, else its nearest group, else everything; of these the latest. */
  private Optional<Terms> agreed(long supplier, long item, LocalDate on) {
    return sql.sql(
            """
            with recursive up (id, far) as (
              select group_id, 1 from item where id = :item
              union all
              select g.parent_id, u.far + 1 from up u join item_group g on g.id = u.id
              where g.parent_id is not null)
            select a.each_cost, a.percent, a.least, a.discounts, a.loss_ours
            from agreement_line a left join up u on u.id = a.group_id
            where a.party_id = :supplier and a.date <= :on and a.paper_id <> :amends
              and (a.item_id = :item or a.item_id is null
                and (a.group_id is null or u.id is not null))
            order by a.item_id is null, coalesce(u.far, 1000), a.date desc, a.paper_id desc limit 1
            """)
        .param("supplier", supplier)
        .param("item", item)
        .param("on", on)
        .param("amends", amends)
        .query(
            (row, n) ->
                new Terms(
                    row.getBigDecimal("each_cost"),
                    row.getBigDecimal("percent"),
                    row.getBigDecimal("least"),
                    Terms.Discounts.valueOf(Objects.requireNonNull(row.getString("discounts"))),
                    row.getBoolean("loss_ours")))
        .optional();
  }
}
