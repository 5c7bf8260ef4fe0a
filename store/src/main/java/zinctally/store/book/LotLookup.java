package zinctally.store.book;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.goods.Lot;
import zinctally.core.papers.Catalogue;

/** Finds lots and serial numbers, as if the paper being amended had not moved them. */
final class LotLookup {
  private static final int CHUNK = 500;
  private final JdbcClient sql;

  LotLookup(JdbcClient sql) {
    this.sql = sql;
  }

  private record At(long lot, long place, String placeName, long quantity) {}

  List<Catalogue.Kept> named(long item, Collection<String> codes, long amends) {
    List<Lot> lots = new java.util.ArrayList<>();
    List<String> all = List.copyOf(codes);
    for (int from = 0; from < all.size(); from += CHUNK)
      lots.addAll(
          sql.sql("select id, code, expiry from lot where item_id = :item and code in (:codes)")
              .param("item", item)
              .param("codes", all.subList(from, Math.min(all.size(), from + CHUNK)))
              .query(
                  (row, n) ->
                      new Lot(
                          row.getLong(1),
                          item,
                          row.getString(2),
                          row.getObject(3, LocalDate.class)))
              .list());
    return kept(lots, amends);
  }

  /** The price of their own that all of these have. */
  Optional<BigDecimal> price(long item, Collection<String> codes) {
    if (codes.isEmpty()) return Optional.empty();
    return sql.sql(
            """
            select if(count(*) = count(price) and min(price) = max(price), min(price), null)
            from lot where item_id = :item and code in (:codes)
            """)
        .param("item", item)
        .param("codes", codes)
        .query((row, n) -> Optional.ofNullable(row.getBigDecimal(1)))
        .single();
  }

  List<Catalogue.Kept> at(long item, long place, int atMost, long amends) {
    return kept(
        sql.sql(
                """
                select l.id, l.code, l.expiry from lot l
                join lot_stock s on s.lot_id = l.id and s.place_id = ?
                where l.item_id = ? and s.quantity > 0
                order by coalesce(l.expiry, '9999-12-31'), l.code limit ?
                """)
            .params(place, item, atMost)
            .query(
                (row, n) ->
                    new Lot(
                        row.getLong(1), item, row.getString(2), row.getObject(3, LocalDate.class)))
            .list(),
        amends);
  }

  private List<Catalogue.Kept> kept(List<Lot> lots, long amends) {
    if (lots.isEmpty()) return List.of();
    List<Long> ids = lots.stream().map(Lot::id).toList();
    Map<Long, Map<Long, Long>> places = new HashMap<>();
    Map<Long, StringBuilder> words = new HashMap<>();
    sql.sql(
            """
            select t.lot_id, t.place_id, p.name, sum(t.quantity) as here from (
              select lot_id, place_id, quantity from lot_stock where lot_id in (:lots)
              union all
              select lot_id, place_id, -quantity from quantity_move
              where lot_id in (:lots) and paper_id = :amends) t
            join place p on p.id = t.place_id
            group by t.lot_id, t.place_id having here <> 0 order by p.name
            """)
        .param("lots", ids)
        .param("amends", amends)
        .query((row, n) -> new At(row.getLong(1), row.getLong(2), row.getString(3), row.getLong(4)))
        .list()
        .forEach(
            at -> {
              places.computeIfAbsent(at.lot, l -> new LinkedHashMap<>()).put(at.place, at.quantity);
              StringBuilder said = words.computeIfAbsent(at.lot, l -> new StringBuilder());
              said.append(said.isEmpty() ? "it is at " : " and at ").append(at.placeName);
            });
    Map<Long, Long> arrivals = new HashMap<>();
    sql.sql(
            """
            select lot_id, max(id) from cost_event
            where lot_id in (:lots) and kind in ('IN', 'BACK') and not gone and paper_id <> :amends
              and (date, sequence, part, line) = (select e.date, e.sequence, e.part, e.line
                from cost_event e
                where e.lot_id = cost_event.lot_id and e.kind in ('IN', 'BACK') and not e.gone
                  and e.paper_id <> :amends
                order by e.date desc, e.sequence desc, e.part desc, e.line desc limit 1)
            group by lot_id
            """)
        .param("lots", ids)
        .param("amends", amends)
        .query((row, n) -> arrivals.put(row.getLong(1), row.getLong(2)))
        .list();
    Map<Long, LocalDate> since = new HashMap<>();
    sql.sql(
            """
            select m.lot_id, min(m.date) from quantity_move m
            join paper p on p.id = m.paper_id and p.state = 'POSTED'
            where m.lot_id in (:lots) and m.quantity > 0 and m.paper_id <> :amends
            group by m.lot_id
            """)
        .param("lots", ids)
        .param("amends", amends)
        .query((row, n) -> since.put(row.getLong(1), row.getObject(2, LocalDate.class)))
        .list();
    List<Long> gone = ids.stream().filter(id -> !words.containsKey(id)).toList();
    if (!gone.isEmpty())
      sql.sql(
              """
              select m.lot_id, p.number, m.date from quantity_move m
              join paper p on p.id = m.paper_id and p.state = 'POSTED'
              where m.lot_id in (:lots) and m.quantity < 0 and m.paper_id <> :amends
              order by m.id
              """)
          .param("lots", gone)
          .param("amends", amends)
          .query(
              (row, n) ->
                  words.put(
                      row.getLong(1),
                      new StringBuilder("it went with ")
                          .append(row.getString(2))
                          .append(" on ")
                          .append(row.getString(3))))
          .list();
    return lots.stream()
        .map(
            lot ->
                new Catalogue.Kept(
                    lot,
                    places.getOrDefault(lot.id(), Map.of()),
                    arrivals.getOrDefault(lot.id(), 0L),
                    since.get(lot.id()),
                    words.getOrDefault(lot.id(), new StringBuilder("it is nowhere")).toString()))
        .toList();
  }
}
