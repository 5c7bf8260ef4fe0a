package zinctally.store.paper;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Quantity;
import zinctally.core.papers.PaperKind;
import zinctally.store.sql.UnitColumns;

/** Posted papers. */
@Repository
public class PaperStore {
  private final JdbcClient sql;

  PaperStore(JdbcClient sql) {
    this.sql = sql;
  }

  /** Of what kind a paper is. */
  public Optional<PaperKind> kind(long id) {
    return sql.sql("select kind from paper where id = ?")
        .param(id)
        .query(PaperKind.class)
        .optional();
  }

  public Optional<PostedPaper> find(long id) {
    return sql.sql(
            """
            select p.*, w.name as party_name, l.name as place_name from paper p
            left join party w on w.id = p.party_id left join place l on l.id = p.place_id
            where p.id = ?
            """)
        .param(id)
        .query(
            (row, n) ->
                new PostedPaper(
                    id,
                    PaperKind.valueOf(row.getString("kind")),
                    row.getString("number"),
                    row.getObject("date", LocalDate.class),
                    row.getObject("due", LocalDate.class),
                    row.getLong("party_id"),
                    row.getString("party_name"),
                    row.getString("reference"),
                    row.getString("place_name"),
                    row.getLong("net"),
                    row.getLong("tax"),
                    row.getLong("total"),
                    row.getObject("posted_at", LocalDateTime.class),
                    row.getString("posted_by"),
                    row.getInt("version"),
                    row.getString("state").equals("VOID"),
                    lines(id),
                    entries(id),
                    dues(id)))
        .optional();
  }

  /**
   * What has been recognised of a sale so far, minor units: revenue, and the cost of what went with
   * it, before it, or after it.
   */
  public record Earned(long sales, long cost) {}

  public Earned earned(long invoice) {
    return sql.sql(
            """
            select
              (select coalesce(-sum(l.amount), 0) from journal j
               straight_join journal_line l on l.journal_id = j.id and not l.worked
               straight_join account a on a.id = l.account_id and a.kind = 'INCOME'
               where j.paper_id = :paper)
              + (select coalesce(sum(f.value), 0) from awaited w
                 join fulfilment f on f.awaited_id = w.id and f.paper_id <> w.paper_id
                 where w.paper_id = :paper and w.what = 'INVOICED_GOODS') as sales,
              (select coalesce(-sum(e.booked), 0) from cost_event e
               where e.paper_id = :paper and e.kind = 'OUT' and not e.gone)
              + (select coalesce(sum(f.value), 0) from fulfilment f
                 join awaited w on w.id = f.awaited_id and w.what = 'SENT_INVOICE'
                 where f.paper_id = :paper)
              + (select coalesce(-sum(e.booked), 0) from (
                   select distinct f.paper_id, f.line from awaited w
                   join fulfilment f on f.awaited_id = w.id and f.paper_id <> w.paper_id
                   where w.paper_id = :paper and w.what = 'INVOICED_GOODS') d
                 join cost_event e on e.paper_id = d.paper_id and e.line = d.line
                   and e.kind = 'OUT' and not e.gone
                 join account c on c.id = e.contra_account and c.role <> 'SENT_NOT_INVOICED')
                as cost
            """)
        .param("paper", invoice)
        .query((row, n) -> new Earned(row.getLong(1), row.getLong(2)))
        .single();
  }

  /** The latest posted paper of a kind. */
  public Optional<Long> latest(PaperKind kind) {
    return sql.sql(
            "select id from paper where kind = ? and state = 'POSTED' order by date desc, id desc"
                + " limit 1")
        .param(kind.name())
        .query(Long.class)
        .optional();
  }

  /** An earlier paper that another goes on from. */
  public record Earlier(PaperKind kind, String number, LocalDate date) {}

  /** The papers that a posted one goes on from, with the orders behind them; oldest first. */
  public List<Earlier> goesOnFrom(long paper) {
    return sql.sql(
            """
            select p.kind, p.number, p.date from paper p join (
              select a.paper_id as id from fulfilment f join awaited a on a.id = f.awaited_id
              where f.paper_id = :paper
              union select a.order_paper from fulfilment f join awaited a on a.id = f.awaited_id
              where f.paper_id = :paper
              union select l.of_paper from paper_line l join paper x
                on x.id = l.paper_id and x.version = l.version where x.id = :paper) e on e.id = p.id
            where p.id <> :paper order by p.date, p.id limit 30
            """)
        .param("paper", paper)
        .query(
            (row, n) ->
                new Earlier(
                    PaperKind.valueOf(row.getString(1)),
                    row.getString(2),
                    row.getObject(3, LocalDate.class)))
        .list();
  }

  /** The id of the paper with this number. */
  public Optional<Long> byNumber(String number) {
    return sql.sql("select id from paper where number = ?")
        .param(number)
        .query(Long.class)
        .optional();
  }

  private List<PostedPaper.Line> lines(long id) {
    return sql.sql(
            """
            select l.*, i.code, i.name, i.base_unit, i.pack_name, i.pack_size, t.code as tax_code, t.percent as tax_percent,
              a.code as account_code, a.name as account_name,
              c.cost, f.number as of_number, r.name as return_reason, g.name as other_place,
              n.numbers, b.name as centre
            from paper_line l join paper p on p.id = l.paper_id and p.version = l.version
            left join (
              select line, sum(booked) as cost from cost_event
              where paper_id = :paper and not gone group by line) c on c.line = l.line
            left join (
              select m.line, group_concat(distinct concat(k.code,
                if(k.expiry is null, '', concat(' ', k.expiry))) order by k.code separator ', ')
                as numbers
              from quantity_move m join lot k on k.id = m.lot_id
              where m.paper_id = :paper group by m.line) n on n.line = l.line
            left join item i on i.id = l.item_id left join account a on a.id = l.account_id
            left join tax_rate t on t.id = l.tax_rate_id left join paper f on f.id = l.of_paper
            left join return_reason r on r.id = l.return_reason_id
            left join centre b on b.id = l.centre_id
            left join place g on g.id = l.place_id and g.id <> p.place_id
            where l.paper_id = :paper order by l.line
            """)
        .param("paper", id)
        .query(
            (row, n) -> {
              boolean item = row.getLong("item_id") != 0;
              boolean counted = row.getObject("quantity") != null;
              Quantity quantity = new Quantity(row.getLong("quantity"));
              return new PostedPaper.Line(
                  row.getInt("line"),
                  row.getLong("item_id"),
                  item ? row.getString("code") : row.getString("account_code"),
                  item ? row.getString("name") : row.getString("account_name"),
                  row.getString("wording"),
                  !counted ? "" : item ? UnitColumns.units(row).say(quantity) : quantity.toString(),
                  new PostedPaper.Measure(
                      quantity.micros(), item ? row.getString("base_unit") : "C62"),
                  row.getString("unit"),
                  row.getBigDecimal("price"),
                  row.getBigDecimal("discount"),
                  row.getLong("net"),
                  row.getLong("tax"),
                  row.getString("tax_code"),
                  row.getBigDecimal("tax_percent"),
                  row.getObject("cost", Long.class),
                  row.getLong("of_paper"),
                  row.getString("of_number"),
                  row.getString("return_reason"),
                  row.getString("other_place"),
                  row.getString("numbers"),
                  row.getString("centre"));
            })
        .list();
  }

  /** By the paper, whatever the database takes the tables to hold: there are few accounts. */
  private List<PostedPaper.Entry> entries(long id) {
    record Row(
        long journal, LocalDate date, int version, boolean reverses, PostedPaper.Booking booking) {}
    Map<Long, List<Row>> journals = new LinkedHashMap<>();
    sql.sql(
            """
            select l.*, j.date as journal_date, j.version, j.reverses, a.code, a.name, i.code as item_code,
              w.name as party_name
            from journal j straight_join journal_line l on l.journal_id = j.id
            straight_join account a on a.id = l.account_id
            left join item i on i.id = l.item_id left join party w on w.id = l.party_id
            where j.paper_id = ? order by j.id, l.line
            """)
        .param(id)
        .query(
            (row, n) ->
                new Row(
                    row.getLong("journal_id"),
                    row.getObject("journal_date", LocalDate.class),
                    row.getInt("version"),
                    row.getBoolean("reverses"),
                    new PostedPaper.Booking(
                        row.getLong("account_id"),
                        row.getString("code") + " " + row.getString("name"),
                        row.getString("item_code"),
                        row.getString("party_name"),
                        row.getLong("amount"),
                        row.getString("memo"))))
        .list()
        .forEach(r -> journals.computeIfAbsent(r.journal(), k -> new ArrayList<>()).add(r));
    return journals.values().stream()
        .map(
            rows ->
                new PostedPaper.Entry(
                    rows.get(0).journal(),
                    rows.get(0).date(),
                    rows.get(0).version(),
                    rows.get(0).reverses(),
                    rows.stream().map(Row::booking).toList()))
        .toList();
  }

  private List<PostedPaper.Due> dues(long id) {
    return sql.sql(
            "select number, due, amount, open from open_item where paper_id = ? order by line limit 500")
        .param(id)
        .query(
            (row, n) ->
                new PostedPaper.Due(
                    row.getString(1),
                    row.getObject(2, LocalDate.class),
                    row.getLong(3),
                    row.getLong(4)))
        .list();
  }

  /** Number of papers of some events, by event. */
  public Map<Long, PaperRef> ofEvents(List<Long> events) {
    Map<Long, PaperRef> refs = new LinkedHashMap<>();
    if (events.isEmpty()) return refs;
    sql.sql(
            """
            select e.id, p.id, p.number, p.date, p.kind from cost_event e join paper p on p.id = e.paper_id
            where e.id in (:events)
            """)
        .param("events", events)
        .query(
            (row, n) ->
                refs.put(
                    row.getLong(1),
                    new PaperRef(
                        row.getLong(2),
                        row.getString(3),
                        row.getObject(4, LocalDate.class),
                        PaperKind.valueOf(row.getString(5)))))
        .list();
    return refs;
  }

  /** Enough of a paper to name it. */
  public record PaperRef(long id, String number, LocalDate date, PaperKind kind) {}
}
