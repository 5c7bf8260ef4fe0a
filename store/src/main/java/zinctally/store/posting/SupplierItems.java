package zinctally.store.posting;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;

/** Keeps what each supplier asked last for each of our items. */
@Component
class SupplierItems implements Follower {
  private final JdbcClient sql;

  SupplierItems(JdbcClient sql) {
    this.sql = sql;
  }

  /** Papers by which a supplier asks a price. */
  @Override
  public boolean follows(PaperKind kind) {
    return kind.is(Trait.BILLS);
  }

  @Override
  public void posted(Posted what) {
    learn(what.id(), what.again());
  }

  @Override
  public void voided(long id) {
    learn(id, true);
  }

  /**
   * Learns from a posted bill.
   *
   * @param again whether an earlier version was learnt from, or the bill is void: then what it
   *     taught is looked for in other bills
   */
  private void learn(long bill, boolean again) {
    if (again) forget(bill);
    sql.sql(
            """
            insert into supplier_item (party_id, item_id, quantity, net, date, paper_id)
            select p.party_id, l.item_id, l.quantity, l.net, p.date, p.id
            from paper p join paper_line l on l.paper_id = p.id and l.version = p.version
            where p.id = ? and p.state = 'POSTED' and l.item_id is not null order by l.line
            on duplicate key update
              quantity = if(coalesce(supplier_item.date, '1000-01-01') <= values(date),
                            values(quantity), supplier_item.quantity),
              net = if(coalesce(supplier_item.date, '1000-01-01') <= values(date),
                       values(net), supplier_item.net),
              paper_id = if(coalesce(supplier_item.date, '1000-01-01') <= values(date),
                            values(paper_id), supplier_item.paper_id),
              date = greatest(coalesce(supplier_item.date, '1000-01-01'), values(date))
            """)
        .param(bill)
        .update();
  }

  private void forget(long bill) {
    record Known(long party, long item) {}
    List<Known> known =
        sql.sql("select party_id, item_id from supplier_item where paper_id = ?")
            .param(bill)
            .query((row, n) -> new Known(row.getLong(1), row.getLong(2)))
            .list();
    for (Known one : known)
      sql.sql(
              """
              update supplier_item s left join (
                select l.quantity, l.net, p.date, p.id
                from paper p force index (paper_by_party)
                join paper_kind k on k.kind = p.kind and k.bills
                join paper_line l on l.paper_id = p.id and l.version = p.version
                where p.party_id = :party and p.state = 'POSTED'
                  and p.id <> :bill and l.item_id = :item
                order by p.date desc, p.id desc, l.line desc limit 1) b on true
              set s.quantity = b.quantity, s.net = b.net, s.date = b.date, s.paper_id = b.id
              where s.party_id = :party and s.item_id = :item
              """)
          .param("party", one.party)
          .param("item", one.item)
          .param("bill", bill)
          .update();
  }
}
