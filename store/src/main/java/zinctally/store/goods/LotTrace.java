package zinctally.store.goods;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Follows lots and serial numbers through what was made of them, both ways. */
@Repository
public class LotTrace {
  private static final int DEEPEST = 12;
  private final JdbcClient sql;

  LotTrace(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * Something that went into it, or that it went into.
   *
   * @param steps how many makings lie between, from one
   * @param lot zero for an item without
   * @param code of the lot; empty for none
   * @param quantity millionths of it in that paper
   * @param parties whom it went to, or from whom it came; empty for nobody
   */
  public record Link(
      int steps,
      long item,
      String itemName,
      long lot,
      String code,
      long paper,
      String number,
      LocalDate date,
      long quantity,
      String parties) {}

  /** What went into a lot, nearest first. */
  public List<Link> wentIn(long lot) {
    return follow(lot, false);
  }

  /** What a lot went into, nearest first. */
  public List<Link> wentInto(long lot) {
    return follow(lot, true);
  }

  private List<Link> follow(long lot, boolean onward) {
    List<Link> all = new ArrayList<>();
    Set<Long> seen = new HashSet<>(Set.of(lot));
    Set<Long> level = new TreeSet<>(Set.of(lot));
    for (int steps = 1; !level.isEmpty() && steps <= DEEPEST; steps++) {
      Set<Long> next = new TreeSet<>();
      for (Link link : links(level, onward, steps)) {
        all.add(link);
        if (link.lot != 0 && seen.add(link.lot)) next.add(link.lot);
      }
      level = next;
    }
    return all;
  }

  private List<Link> links(Set<Long> lots, boolean onward, int steps) {
    return sql.sql(
            """
            select o.item_id, i.name, o.lot_id, coalesce(l.code, '') as code,
              p.id, p.number, p.date, abs(sum(o.quantity)) as quantity,
              coalesce((select group_concat(distinct w.name order by w.name separator ', ')
                from quantity_move x join paper q on q.id = x.paper_id and q.state = 'POSTED'
                join party w on w.id = q.party_id
                where o.lot_id <> 0 and x.lot_id = o.lot_id
                  and if(:onward, x.quantity < 0, x.quantity > 0)), '') as parties
            from (select distinct m.paper_id from quantity_move m
              join making g on g.paper_id = m.paper_id
              where m.lot_id in (:lots) group by m.paper_id, m.lot_id
              having if(:onward, sum(m.quantity) < 0, sum(m.quantity) > 0)) f
            join paper p on p.id = f.paper_id
            join quantity_move o on o.paper_id = f.paper_id
            join item i on i.id = o.item_id left join lot l on l.id = o.lot_id
            group by p.id, o.item_id, o.lot_id
            having if(:onward, sum(o.quantity) > 0, sum(o.quantity) < 0)
            order by p.date, p.id, i.name, code limit 200
            """)
        .param("onward", onward)
        .param("lots", lots)
        .query(
            (row, n) ->
                new Link(
                    steps,
                    row.getLong("item_id"),
                    row.getString("name"),
                    row.getLong("lot_id"),
                    row.getString("code"),
                    row.getLong("id"),
                    row.getString("number"),
                    row.getObject("date", LocalDate.class),
                    row.getLong("quantity"),
                    row.getString("parties")))
        .list();
  }
}
