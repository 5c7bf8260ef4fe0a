package zinctally.store.goods;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.store.sql.Here;

/** What is where, place by place, and in what standing. */
@Repository
public class ShelfStore {
  private final JdbcClient sql;

  ShelfStore(JdbcClient sql) {
    this.sql = sql;
  }

  /** How goods of one place stand to us. */
  public enum Kind {
    GOOD,
    /** Ours, in another standing than good. */
    OTHER,
    /** Not ours. */
    OTHERS
  }

  /**
   * Goods that are at one place together.
   *
   * @param standing its name; of goods of others, whose they are
   * @param items how many different ones
   * @param worth minor units at present cost; zero for what is not ours
   */
  public record Together(String place, Kind kind, String standing, int items, long worth) {}

  /** All that is anywhere, places in the order of their making. */
  public List<Together> together() {
    return sql.sql(
            """
            select a.name as place, if(p.owner_id is not null, 'OTHERS', if(t.id = 1, 'GOOD', 'OTHER')),
              coalesce(o.name, t.name), count(*) as items,
              coalesce(sum(%s), 0) as worth
            from place p join place a on a.id = coalesce(p.at_id, p.id)
            join standing t on t.id = p.standing_id left join party o on o.id = p.owner_id
            join place_stock s on s.place_id = p.id and s.quantity <> 0
            left join cost_pool h on h.item_id = s.item_id
            group by a.id, t.id, p.owner_id
            order by a.for_sale desc, a.id, p.owner_id is not null, t.id
            """
                .formatted(Here.WORTH))
        .query(
            (row, n) ->
                new Together(
                    row.getString(1),
                    Kind.valueOf(row.getString(2)),
                    row.getString(3),
                    row.getInt(4),
                    row.getLong(5)))
        .list();
  }
}
