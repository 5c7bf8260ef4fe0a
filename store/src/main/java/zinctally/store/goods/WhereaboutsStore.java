package zinctally.store.goods;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.store.sql.Waiting;

/** What of an item is here, free, promised, coming, elsewhere, and of others. */
@Repository
public class WhereaboutsStore {
  private static final int MOST = 200;
  private final JdbcClient sql;

  WhereaboutsStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * What is told apart of what was one figure, millionths. What is ours is here, kept apart, on the
   * way or elsewhere.
   *
   * @param here good, at places that sell
   * @param apart in other standings, or at places that do not sell
   * @param onTheWay between places
   * @param elsewhere at repairers and customers
   * @param ofOthers here, and not ours
   */
  public record Parts(
      long here,
      long apart,
      long onTheWay,
      long elsewhere,
      long ofOthers,
      long promised,
      long onOrder) {
    public long free() {
      return here - promised;
    }

    public long ours() {
      return here + apart + onTheWay + elsewhere;
    }
  }

  public Parts parts(long item) {
    return sql.sql(
            """
            select coalesce(sum(if(p.owner_id is null and p.for_sale, s.quantity, 0)), 0),
              coalesce(sum(if(p.owner_id is null and not p.for_sale
                and p.kind not in ('WAY', 'REPAIRER', 'CUSTOMER'), s.quantity, 0)), 0),
              coalesce(sum(if(p.owner_id is null and p.kind = 'WAY', s.quantity, 0)), 0),
              coalesce(sum(if(p.owner_id is null and not p.for_sale
                and p.kind in ('REPAIRER', 'CUSTOMER'), s.quantity, 0)), 0),
              coalesce(sum(if(p.owner_id is not null, s.quantity, 0)), 0),
              (select coalesce(sum(a.open_quantity), 0) from awaited a
               where a.item_id = :item and %s),
              (select coalesce(sum(a.open_quantity), 0) from awaited a
               where a.item_id = :item and %s)
            from place_stock s join place p on p.id = s.place_id where s.item_id = :item
            """
                .formatted(Waiting.PROMISED, Waiting.ON_ORDER))
        .param("item", item)
        .query(
            (row, n) ->
                new Parts(
                    row.getLong(1),
                    row.getLong(2),
                    row.getLong(3),
                    row.getLong(4),
                    row.getLong(5),
                    row.getLong(6),
                    row.getLong(7)))
        .single();
  }

  /**
   * What is at one place, in one standing and of one owner.
   *
   * @param owner empty for ours
   * @param free whether it counts as free
   */
  public record At(String place, String standing, String owner, boolean free, long quantity) {}

  public List<At> at(long item) {
    return sql.sql(
            """
            select a.name, t.name, coalesce(o.name, ''), p.for_sale, s.quantity
            from place_stock s join place p on p.id = s.place_id
            join place a on a.id = coalesce(p.at_id, p.id) join standing t on t.id = p.standing_id
            left join party o on o.id = p.owner_id
            where s.item_id = ? and s.quantity <> 0
            order by p.owner_id is not null, a.id, t.id, p.id
            """)
        .param(item)
        .query(
            (row, n) ->
                new At(
                    row.getString(1),
                    row.getString(2),
                    row.getString(3),
                    row.getBoolean(4),
                    row.getLong(5)))
        .list();
  }

  /**
   * A paper that waits for some of an item: an order it is promised to, one it comes with.
   *
   * @param on when it is expected; null when nobody said
   */
  public record Waits(
      long paper,
      String number,
      LocalDate date,
      String who,
      long quantity,
      @Nullable LocalDate on) {}

  public List<Waits> promised(long item) {
    return waits(item, Waiting.PROMISED);
  }

  public List<Waits> onOrder(long item) {
    return waits(item, Waiting.ON_ORDER);
  }

  private List<Waits> waits(long item, String which) {
    return sql.sql(
            """
            select p.id, p.number, p.date, coalesce(w.name, ''), sum(a.open_quantity), max(d.expected)
            from awaited a join paper p on p.id = a.paper_id and p.state = 'POSTED'
            left join party w on w.id = p.party_id left join order_head d on d.paper_id = p.id
            where a.item_id = ? and %s group by p.id order by p.date, p.id limit ?
            """
                .formatted(which))
        .params(item, MOST)
        .query(
            (row, n) ->
                new Waits(
                    row.getLong(1),
                    row.getString(2),
                    row.getObject(3, LocalDate.class),
                    row.getString(4),
                    row.getLong(5),
                    row.getObject(6, LocalDate.class)))
        .list();
  }
}
