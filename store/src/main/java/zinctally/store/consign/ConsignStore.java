package zinctally.store.consign;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.sql.Waiting;

/** What is owed to suppliers for consigned goods, and what of theirs is where. */
@Repository
public class ConsignStore {
  private final JdbcClient sql;

  ConsignStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * Something that was sold and is not settled.
   *
   * @param number the paper it was sold with
   * @param micros millionths; zero when only an amount is to be put right
   * @param owed minor units
   */
  public record Owed(String number, LocalDate date, long item, long micros, long owed) {}

  /** Whether anything is agreed with anybody. */
  public boolean anythingAgreed() {
    return sql.sql("select exists (select 1 from agreement_line)").query(Boolean.class).single();
  }

  /** Whether anything is at a customer's of the goods that a paper took there. */
  public boolean anythingAt(long paper) {
    return sql.sql(
            """
            select exists (
              select 1 from quantity_move m join place l on l.id = m.place_id
                and l.kind = 'CUSTOMER' and l.host_id is not null
              join place_stock s on s.place_id = m.place_id and s.item_id = m.item_id
                and s.quantity > 0
              where m.paper_id = ? and m.quantity > 0)
            """)
        .param(paper)
        .query(Boolean.class)
        .single();
  }

  /** What a supplier is owed for up to a day, the oldest first. */
  public List<Owed> owed(long supplier, LocalDate until) {
    return sql.sql(
            """
            select p.number, p.date, a.item_id, a.open_quantity, a.open_value
            from (%s) w join awaited a on a.id = w.id
            join paper p on p.id = a.paper_id and p.state = 'POSTED'
            where p.date <= :until order by p.date, p.id, a.line, a.id
            """
                .formatted(Waiting.open(Awaits.CONSIGNED_SOLD, "and party_id = :supplier")))
        .param("supplier", supplier)
        .param("until", until)
        .query(
            (row, n) ->
                new Owed(
                    Objects.requireNonNull(row.getString(1)),
                    row.getObject(2, LocalDate.class),
                    row.getLong(3),
                    row.getLong(4),
                    row.getLong(5)))
        .list();
  }

  /** A supplier to whom something is owed, and since when. */
  public record Due(long id, String name, LocalDate since, long owed) {}

  /** Whom something is owed for consigned goods, the oldest first. */
  public List<Due> due() {
    return sql.sql(
            """
            select w.id, w.name, min(p.date), sum(a.open_value) from (%s) o
            join awaited a on a.id = o.id
            join paper p on p.id = a.paper_id and p.state = 'POSTED'
            join party w on w.id = a.party_id group by w.id order by 3, 2
            """
                .formatted(Waiting.open(Awaits.CONSIGNED_SOLD, "")))
        .query(
            (row, n) ->
                new Due(
                    row.getLong(1),
                    Objects.requireNonNull(row.getString(2)),
                    row.getObject(3, LocalDate.class),
                    row.getLong(4)))
        .list();
  }

  /**
   * Goods of a party here, or of ours at it.
   *
   * @param place as which they are there
   * @param item its id
   */
  public record Held(long item, String code, String name, String place, long micros) {}

  /** What a party has here, and what of ours it has. */
  public List<Held> held(long party) {
    return sql.sql(
            """
            select i.id, i.code, i.name, l.name, s.quantity from place l
            join place_stock s on s.place_id = l.id and s.quantity <> 0
            join item i on i.id = s.item_id
            where l.owner_id = :party or l.host_id = :party
            order by l.name, i.code limit 200
            """)
        .param("party", party)
        .query(
            (row, n) ->
                new Held(
                    row.getLong(1),
                    Objects.requireNonNull(row.getString(2)),
                    Objects.requireNonNull(row.getString(3)),
                    Objects.requireNonNull(row.getString(4)),
                    row.getLong(5)))
        .list();
  }

  /**
   * What a line of a settlement was sold with, and for.
   *
   * @param net minor units without tax; null while that is not invoiced
   */
  public record SoldFor(LocalDate date, String number, @Nullable Long net) {}

  /** What the lines of a settlement were sold with, by line. */
  public Map<Integer, SoldFor> soldFor(long settlement) {
    Map<Integer, SoldFor> sold = new HashMap<>();
    sql.sql(
            """
            select n.line, p.date, p.number,
              if(s.net = 0 or n.quantity = 0, null,
                 round(cast(s.net as decimal(38,0)) * n.quantity / s.quantity))
            from paper x join paper_line n on n.paper_id = x.id and n.version = x.version
            join paper p on p.id = n.of_paper
            join paper_line s on s.paper_id = p.id and s.version = p.version and s.line = n.of_line
            where x.id = ?
            """)
        .param(settlement)
        .query(
            (row, n) ->
                sold.put(
                    row.getInt(1),
                    new SoldFor(
                        row.getObject(2, LocalDate.class),
                        Objects.requireNonNull(row.getString(3)),
                        row.getObject(4, Long.class))))
        .list();
    return sold;
  }

  /**
   * What a label says.
   *
   * @param number the serial number; empty for none
   * @param price for one base unit of this piece alone; null when it is the list's
   * @param many how many alike
   */
  public record Label(
      long item, String code, String name, String number, @Nullable BigDecimal price, int many) {}

  /**
   * What came with a paper, to be labelled: a number of its own each, else as many as there are.
   */
  public List<Label> labels(long paper) {
    return sql.sql(
            """
            select i.id, coalesce(i.gtin, i.code), i.name, coalesce(l.code, ''), l.price,
              ceil(sum(m.quantity) / 1000000)
            from quantity_move m join item i on i.id = m.item_id
            left join lot l on l.id = nullif(m.lot_id, 0)
            where m.paper_id = ? group by i.id, l.id having sum(m.quantity) > 0
            order by min(m.line), l.code
            """)
        .param(paper)
        .query(
            (row, n) ->
                new Label(
                    row.getLong(1),
                    Objects.requireNonNull(row.getString(2)),
                    Objects.requireNonNull(row.getString(3)),
                    Objects.requireNonNull(row.getString(4)),
                    row.getBigDecimal(5),
                    row.getInt(6)))
        .list();
  }
}
