package zinctally.store.goods;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Traces lots and serial numbers: where from, where to, where now. */
@Repository
public class LotStore {
  private final JdbcClient sql;

  LotStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * @param expiry null for none
   */
  public record Card(
      long id,
      String code,
      LocalDate expiry,
      long item,
      String itemCode,
      String itemName,
      boolean serial,
      long onHand,
      List<StockStore.AtPlace> places,
      List<Step> steps) {}

  /**
   * One move.
   *
   * @param quantity signed millionths
   * @param worth signed minor units of a serial number's cost; null for a lot
   */
  public record Step(
      LocalDate date,
      long paper,
      String number,
      String kind,
      long party,
      String partyName,
      String place,
      long quantity,
      Long worth,
      boolean takenBack) {}

  public Optional<Card> find(long id) {
    return sql.sql(
            """
            select l.*, i.code as item_code, i.name, i.tracking = 'SERIAL' as serial
            from lot l join item i on i.id = l.item_id where l.id = ?
            """)
        .param(id)
        .query(
            (row, n) ->
                new Card(
                    id,
                    row.getString("code"),
                    row.getObject("expiry", LocalDate.class),
                    row.getLong("item_id"),
                    row.getString("item_code"),
                    row.getString("name"),
                    row.getBoolean("serial"),
                    row.getLong("on_hand"),
                    places(id),
                    steps(id)))
        .optional();
  }

  private List<StockStore.AtPlace> places(long id) {
    return sql.sql(
            """
            select p.name, s.quantity from lot_stock s join place p on p.id = s.place_id
            where s.lot_id = ? and s.quantity <> 0 order by p.name
            """)
        .param(id)
        .query((row, n) -> new StockStore.AtPlace(row.getString(1), row.getLong(2)))
        .list();
  }

  private List<Step> steps(long id) {
    return sql.sql(
            """
            select m.date, m.quantity, p.id, p.number, p.kind, p.state, w.id as party,
              w.name as party_name, l.name as place,
              (select e.booked + e.charges from cost_event e where e.lot_id = m.lot_id
                 and e.paper_id = m.paper_id and e.line = m.line and e.part = m.part
                 and not e.gone limit 1) as worth
            from quantity_move m join paper p on p.id = m.paper_id
            join place l on l.id = m.place_id left join party w on w.id = p.party_id
            where m.lot_id = ? order by m.date, m.id limit 500
            """)
        .param(id)
        .query(
            (row, n) ->
                new Step(
                    row.getObject("date", LocalDate.class),
                    row.getLong("id"),
                    row.getString("number"),
                    row.getString("kind"),
                    row.getLong("party"),
                    row.getString("party_name"),
                    row.getString("place"),
                    row.getLong("quantity"),
                    row.getObject("worth", Long.class),
                    row.getString("state").equals("VOID")))
        .list();
  }
}
