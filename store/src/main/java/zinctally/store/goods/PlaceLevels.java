package zinctally.store.goods;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Quantity;
import zinctally.store.Audit;
import zinctally.store.listing.Ask;
import zinctally.store.listing.HandleListings;
import zinctally.store.listing.ListingStore;

/** How much of an item each place should have, and what would bring it there. */
@Repository
public class PlaceLevels {
  private final JdbcClient sql;
  private final ListingStore lists;
  private final Audit audit;

  PlaceLevels(JdbcClient sql, ListingStore lists, Audit audit) {
    this.sql = sql;
    this.lists = lists;
    this.audit = audit;
  }

  /**
   * @param here what is there now
   * @param least null when nothing is said of the place
   * @param most up to which it is filled; null: up to the least
   */
  public record Level(
      long place, String name, Quantity here, @Nullable Quantity least, @Nullable Quantity most) {}

  /** Of every place in use, by name. */
  public List<Level> of(long item) {
    return sql.sql(
            """
            select p.id, p.name, coalesce(s.quantity, 0), m.least, m.most from place p
            left join place_stock s on s.place_id = p.id and s.item_id = :item
            left join item_place m on m.place_id = p.id and m.item_id = :item
            where p.active order by p.name
            """)
        .param("item", item)
        .query(
            (row, n) ->
                new Level(
                    row.getLong(1),
                    row.getString(2),
                    new Quantity(row.getLong(3)),
                    quantity(row.getObject(4, Long.class)),
                    quantity(row.getObject(5, Long.class))))
        .list();
  }

  private static @Nullable Quantity quantity(@Nullable Long micros) {
    return micros == null ? null : new Quantity(micros);
  }

  /** Says anew what each place should have; of a place without a least nothing is kept. */
  public void save(long item, List<Level> levels, String login) {
    String before = said(of(item));
    for (Level level : levels) {
      sql.sql("delete from item_place where item_id = ? and place_id = ?")
          .params(item, level.place())
          .update();
      if (level.least() != null)
        sql.sql("insert into item_place values (?, ?, ?, ?)")
            .params(item, level.place(), level.least().micros())
            .param(level.most() == null ? null : level.most().micros())
            .update();
    }
    audit.write(login, "item", item, "levels", before, said(levels));
  }

  private static String said(List<Level> levels) {
    return levels.stream()
        .filter(l -> l.least() != null)
        .map(l -> l.name() + " " + l.least() + (l.most() == null ? "" : " to " + l.most()))
        .reduce((a, b) -> a + ", " + b)
        .orElse("none");
  }

  /**
   * Something to take from one place to another.
   *
   * @param micros millionths, above zero
   */
  public record Bring(long item, String from, String into, long micros) {}

  /** What a place can give away of an item: what is there, less what it should have itself. */
  private static final class Spare {
    private final String place;
    private long micros;

    Spare(String place, long micros) {
      this.place = place;
      this.micros = micros;
    }
  }

  /**
   * What would fill up places that are short, of what other places can spare: of each item from
   * where most is. What nobody can spare is left out.
   */
  public List<Bring> toBring(Ask ask) {
    record Short(long item, String into, long needed) {}
    List<Short> wanted = new ArrayList<>();
    lists.all(
        HandleListings.wanting(),
        ask,
        row ->
            wanted.add(
                new Short(
                    number(row.get("item_id")),
                    String.valueOf(row.get("place")),
                    number(row.get("needed")))));
    Map<Long, List<Spare>> spare = spare(wanted.stream().map(Short::item).distinct().toList());
    List<Bring> bring = new ArrayList<>();
    for (Short one : wanted)
      spare.getOrDefault(one.item(), List.of()).stream()
          .filter(s -> !s.place.equals(one.into()) && s.micros > 0)
          .max(Comparator.comparingLong(s -> s.micros))
          .ifPresent(
              s -> {
                long taken = Math.min(one.needed(), s.micros);
                s.micros -= taken;
                bring.add(new Bring(one.item(), s.place, one.into(), taken));
              });
    return bring;
  }

  private static long number(@Nullable Object value) {
    return ((Number) Objects.requireNonNull(value)).longValue();
  }

  private Map<Long, List<Spare>> spare(List<Long> items) {
    Map<Long, List<Spare>> spare = new HashMap<>();
    if (items.isEmpty()) return spare;
    sql.sql(
            """
            select s.item_id, p.name, s.quantity - coalesce(m.least, 0) from place_stock s
            join place p on p.id = s.place_id and p.for_sale
            left join item_place m on m.item_id = s.item_id and m.place_id = s.place_id
            where s.item_id in (:items) and s.quantity > coalesce(m.least, 0)
            """)
        .param("items", items)
        .query(
            row -> {
              spare
                  .computeIfAbsent(row.getLong(1), k -> new ArrayList<>())
                  .add(new Spare(row.getString(2), row.getLong(3)));
            });
    return spare;
  }
}
