package zinctally.store.posting;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.ledger.Role;
import zinctally.core.papers.Fault;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.plan.Plan;

/** Says which later papers go on from one, and so keep its lines as they are. */
@Component
class GoesOn {
  private final JdbcClient sql;
  private final OwnWaits waits;

  GoesOn(JdbcClient sql, OwnWaits waits) {
    this.sql = sql;
    this.waits = waits;
  }

  /** What other papers have brought and a next version would no longer wait for as it did. */
  List<Fault> inTheWay(long paper, Plan next) {
    List<Fault> faults = new ArrayList<>();
    List<Plan.Wait> left = new ArrayList<>(next.awaits());
    for (OwnWaits.Own own : waits.of(paper)) {
      Optional<Plan.Wait> same = OwnWaits.same(own, left);
      same.ifPresent(left::remove);
      if (own.filled() == 0 && own.filledValue() == 0) continue;
      boolean booked = own.what().role() != Role.NONE;
      boolean stays =
          same.isPresent()
              && own.what() != Awaits.SENT_INVOICE
              && (!booked
                  || own.what() == Awaits.CONSIGNED_SOLD
                      && same.get().quantity().micros() >= own.filled()
                  || same.get().quantity().micros() == own.quantity()
                      && same.get().value().orElseThrow().minor() == own.value());
      if (stays) continue;
      faults.add(
          Fault.whole(
              own.by()
                  + " goes on from its line of "
                  + own.itemName()
                  + (same.isEmpty() || own.what() == Awaits.SENT_INVOICE
                      ? "; void that paper first."
                      : ", as it stands; void that paper first, or leave quantity and price of"
                          + " this line.")));
    }
    return faults.stream().distinct().toList();
  }

  /** Papers that took goods with a share which this one had put on goods still to come. */
  List<Fault> tookShares(long paper) {
    return sql.sql(
            """
            select distinct p.number, i.name from fulfilment f
            join awaited a on a.id = f.awaited_id and a.paper_id <> f.paper_id
              and a.what = 'BILLED_GOODS'
            join fulfilment g on g.awaited_id = a.id and g.paper_id not in (f.paper_id, a.paper_id)
              and g.quantity > 0 and g.id > f.id
            join paper p on p.id = g.paper_id and p.state = 'POSTED'
            join item i on i.id = a.item_id
            where f.paper_id = ? and f.quantity = 0 and f.value < 0
            """)
        .param(paper)
        .query(
            (row, n) ->
                Fault.whole(
                    row.getString(1)
                        + " has taken in "
                        + row.getString(2)
                        + " with its share of this; void that paper first."))
        .list();
  }
}
