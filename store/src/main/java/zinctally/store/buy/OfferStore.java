package zinctally.store.buy;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Trading;

/** What a party's earlier papers still wait for, to be taken into a new one. */
@Repository
public class OfferStore {
  private static final int MOST = 60;
  private final JdbcClient sql;

  OfferStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * A paper with lines that are still open, with enough to tell it from others.
   *
   * @param reference the supplier's number for it
   * @param order the order it goes on from; null for none
   * @param items names of its open items
   * @param lines how many are open
   * @param value minor units open, at the price expected
   */
  public record Offer(
      long paper,
      PaperKind kind,
      String number,
      LocalDate date,
      String reference,
      @Nullable String order,
      String items,
      int lines,
      long value) {}

  /**
   * What can be taken into a paper of this kind: first what half of has come or gone, then orders;
   * oldest first.
   */
  public List<Offer> offers(PaperKind kind, long party) {
    if (kind.is(Trait.CREDITS)) return returns(party);
    Set<Awaits> brings = Trading.broughtBy(kind);
    return brings.isEmpty() ? List.of() : waiting(party, brings);
  }

  /**
   * An order that waits for approval is not offered to buy on. An invoice sent ahead of an order's
   * goods waits for the same goods as the order. An order whose open bill is all for goods that are
   * here is offered by its receipts.
   */
  private static final String OFFERED =
      """
       and (a.what not in ('ORDERED_GOODS', 'ORDERED_BILL') or exists (
         select 1 from order_head d join book b on b.id = 1
         where d.paper_id = p.id and (d.approved_at is not null or b.approver = '')))
       and (a.what <> 'INVOICED_GOODS' or a.order_paper = 0)
       and (a.what not in ('ORDERED_BILL', 'PROMISED_INVOICE')
         or a.open_quantity > coalesce(h.here, 0))""";

  private List<Offer> waiting(long party, Set<Awaits> what) {
    return sql.sql(
            """
            select p.id, p.kind, p.number, p.date, p.reference, o.number as order_number,
              group_concat(i.name order by a.line separator ', ') as items, count(*) as n,
              sum(case when a.what in ('RECEIVED_BILL', 'BILLED_GOODS', 'INVOICED_GOODS')
                  then a.open_value
                when a.what = 'SENT_INVOICE'
                  then coalesce(round(ol.net * a.open_quantity / ol.quantity), 0)
                else round(l.net * (a.open_quantity - coalesce(h.here, 0)) / l.quantity) end)
                as value
            from awaited a join paper p on p.id = a.paper_id and p.state = 'POSTED'
            join paper_kind k on k.kind = p.kind join item i on i.id = a.item_id
            join paper_line l on l.paper_id = p.id and l.version = p.version and l.line = a.line
            left join paper o on o.id = a.order_paper
            left join paper_line ol on ol.paper_id = o.id and ol.version = o.version
              and ol.line = a.order_line
            left join (
              select order_paper, order_line, sum(open_quantity) as here from awaited
              where what in ('RECEIVED_BILL', 'SENT_INVOICE') and party_id = :party and open_quantity > 0
              group by order_paper, order_line) h
              on a.what in ('ORDERED_BILL', 'PROMISED_INVOICE') and h.order_paper = a.paper_id and h.order_line = a.line
            where a.party_id = :party and a.open_quantity > 0 and a.what in (:what)"""
                + OFFERED
                + " group by p.id order by k.orders, p.date, p.id limit :most")
        .param("party", party)
        .param("what", what.stream().map(Awaits::name).toList())
        .param("most", MOST)
        .query(
            (row, n) ->
                new Offer(
                    row.getLong(1),
                    PaperKind.valueOf(row.getString(2)),
                    row.getString(3),
                    row.getObject(4, LocalDate.class),
                    row.getString(5),
                    row.getString(6),
                    row.getString(7),
                    row.getInt(8),
                    row.getLong(9)))
        .list();
  }

  private List<Offer> returns(long party) {
    return sql.sql(
            """
            select p.id, p.number, p.date, p.reference, p.kind,
              (select group_concat(i.name order by l.line separator ', ') from paper_line l
               join item i on i.id = l.item_id
               where l.paper_id = p.id and l.version = p.version) as items, o.open
            from open_item o join paper p on p.id = o.paper_id join paper_kind k on k.kind = p.kind
            where o.party_id = ? and o.open > 0 and o.open = o.amount
              and k.back and p.state = 'POSTED'
            order by p.date, p.id limit ?
            """)
        .params(party, MOST)
        .query(
            (row, n) ->
                new Offer(
                    row.getLong(1),
                    PaperKind.valueOf(row.getString(5)),
                    row.getString(2),
                    row.getObject(3, LocalDate.class),
                    row.getString(4),
                    null,
                    row.getString(6),
                    1,
                    row.getLong(7)))
        .list();
  }
}
