package zinctally.store.consign;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.PaperKind;
import zinctally.store.goods.LadderStore;
import zinctally.store.paper.PaperStore;

/** Where the goods of an item went that others had here: what came first went first. */
@Repository
public class TheirLadders {
  private static final int LATEST = 200;
  private final JdbcClient sql;

  TheirLadders(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * Goods of one owner.
   *
   * @param here millionths
   * @param rungs the latest arrivals, oldest first; without value
   */
  public record Theirs(String owner, long here, List<LadderStore.Rung> rungs) {}

  private record Moved(PaperStore.PaperRef paper, long quantity) {}

  private static final class Arrival {
    private final PaperStore.PaperRef paper;
    private final long quantity;
    private final List<LadderStore.Draw> draws = new ArrayList<>();
    private long left;

    Arrival(PaperStore.PaperRef paper, long quantity) {
      this.paper = paper;
      this.quantity = quantity;
      this.left = quantity;
    }

    LadderStore.Rung rung() {
      return new LadderStore.Rung(paper, false, quantity, 0, draws, left);
    }
  }

  /** By owner, with at most so many arrivals of each. */
  public List<Theirs> of(long item, int atMost) {
    record Owner(long id, String name, long here) {}
    List<Owner> owners =
        sql.sql(
                """
                select w.id, w.name, sum(s.quantity) from place_stock s
                join place l on l.id = s.place_id join party w on w.id = l.owner_id
                where s.item_id = ? group by w.id order by w.name limit 20
                """)
            .param(item)
            .query(
                (row, n) ->
                    new Owner(
                        row.getLong(1), Objects.requireNonNull(row.getString(2)), row.getLong(3)))
            .list();
    return owners.stream()
        .map(o -> new Theirs(o.name, o.here, rungs(moved(item, o.id), o.here, atMost)))
        .toList();
  }

  /** What each of the latest papers moved of an owner's goods, the oldest first. */
  private List<Moved> moved(long item, long owner) {
    List<Moved> moved =
        new ArrayList<>(
            sql.sql(
                    """
                    select p.id, p.number, p.date, p.kind, sum(m.quantity) as moved
                    from place l straight_join quantity_move m
                      on m.place_id = l.id and m.item_id = :item
                    straight_join paper p on p.id = m.paper_id
                    where l.owner_id = :owner group by p.id having moved <> 0
                    order by p.date desc, p.sequence desc limit %d
                    """
                        .formatted(LATEST))
                .param("item", item)
                .param("owner", owner)
                .query(
                    (row, n) ->
                        new Moved(
                            new PaperStore.PaperRef(
                                row.getLong(1),
                                row.getString(2),
                                row.getObject(3, LocalDate.class),
                                PaperKind.valueOf(row.getString(4))),
                            row.getLong(5)))
                .list());
    Collections.reverse(moved);
    return moved;
  }

  private static List<LadderStore.Rung> rungs(List<Moved> moved, long here, int atMost) {
    List<Arrival> arrivals = new ArrayList<>();
    // what was there before the oldest of these papers is no arrival of theirs
    long before = here - moved.stream().mapToLong(Moved::quantity).sum();
    for (Moved one : moved)
      if (one.quantity > 0) arrivals.add(new Arrival(one.paper, one.quantity));
      else {
        long wanted = -one.quantity;
        long old = Math.min(before, wanted);
        before -= old;
        take(arrivals, one.paper, wanted - old);
      }
    int from = Math.max(0, arrivals.size() - atMost);
    return arrivals.subList(from, arrivals.size()).stream().map(Arrival::rung).toList();
  }

  private static void take(List<Arrival> arrivals, PaperStore.PaperRef by, long micros) {
    long wanted = micros;
    for (Arrival arrival : arrivals) {
      long some = Math.min(arrival.left, wanted);
      if (some <= 0) continue;
      arrival.left -= some;
      wanted -= some;
      arrival.draws.add(new LadderStore.Draw(by, some, 0));
    }
  }
}
