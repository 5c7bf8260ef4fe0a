package zinctally.store.posting;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.plan.Plan;

/** Reads what the lines of a posted paper wait for. */
@Component
class OwnWaits {
  private final JdbcClient sql;

  OwnWaits(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * What a posted line waits for.
   *
   * @param filled millionths that other papers have brought
   * @param filledValue minor units they have taken off
   * @param by those papers' numbers; null for none
   */
  record Own(
      long id,
      Awaits what,
      int line,
      long item,
      String itemName,
      long party,
      long quantity,
      long value,
      long openQuantity,
      long openValue,
      long filled,
      long filledValue,
      String by) {}

  List<Own> of(long paper) {
    return sql.sql(
            """
            select a.*, i.name, coalesce(f.quantity, 0) as filled,
              coalesce(f.value, 0) as filled_value, f.numbers
            from awaited a join item i on i.id = a.item_id
            left join (
              select f.awaited_id, sum(f.quantity) as quantity, sum(f.value) as value,
                group_concat(distinct if(p.state = 'POSTED', p.number, null)
                             order by p.id separator ', ') as numbers
              from awaited o join fulfilment f on f.awaited_id = o.id and f.paper_id <> o.paper_id
              join paper p on p.id = f.paper_id
              where o.paper_id = :paper group by f.awaited_id) f on f.awaited_id = a.id
            where a.paper_id = :paper order by a.id
            """)
        .param("paper", paper)
        .query(
            (row, n) ->
                new Own(
                    row.getLong("id"),
                    Awaits.valueOf(row.getString("what")),
                    row.getInt("line"),
                    row.getLong("item_id"),
                    row.getString("name"),
                    row.getLong("party_id"),
                    row.getLong("quantity"),
                    row.getLong("value"),
                    row.getLong("open_quantity"),
                    row.getLong("open_value"),
                    row.getLong("filled"),
                    row.getLong("filled_value"),
                    row.getString("numbers")))
        .list();
  }

  /** What a next version waits for in its place. */
  static Optional<Plan.Wait> same(Own own, List<Plan.Wait> waits) {
    List<Plan.Wait> alike =
        waits.stream()
            .filter(w -> w.what() == own.what && w.item() == own.item)
            .filter(w -> own.what != Awaits.CONSIGNED_SOLD || w.party() == own.party)
            .toList();
    return alike.stream()
        .filter(w -> w.line() == own.line)
        .findFirst()
        .or(() -> alike.stream().findFirst());
  }
}
