package zinctally.store.goods;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Quantity;
import zinctally.store.Audit;
import zinctally.store.sql.Here;

/** How much of an item each place should have. */
@Repository
public class PlaceLevels {
  private final JdbcClient sql;
  private final Audit audit;

  PlaceLevels(JdbcClient sql, Audit audit) {
    this.sql = sql;
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
            where p.active and p.at_id is null and p.owner_id is null and %s
            order by p.name
            """
                .formatted(Here.CHOSEN))
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
}
