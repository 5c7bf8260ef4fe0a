package zinctally.store.check;

import java.util.List;
import zinctally.core.papers.plan.Stocking;

/** What goods of others must agree on: they are told apart, and have no value in these books. */
final class ConsignRules {
  private ConsignRules() {}

  static final List<Rule> ALL =
      List.of(
          new Rule(
              "with every paper, what of ours moved is what the stock book took in and gave out",
              "select count(*) from paper",
              """
              select concat(p.number, ', item ', t.item_id) as name, sum(q1) as q1, sum(q2) as q2
              from (select m.paper_id, m.item_id, m.quantity as q1, 0 as q2 from quantity_move m
                    join place l on l.id = m.place_id and l.owner_id is null
                    union all
                    select paper_id, item_id, 0, if(kind = 'OUT', -quantity, quantity)
                    from cost_event where not gone and kind in ('IN', 'OUT', 'BACK')) t
              join paper p on p.id = t.paper_id
              group by t.paper_id, t.item_id having sum(q1) <> sum(q2)"""),
          new Rule(
              "what left of suppliers' goods is what is or was owed for",
              "select count(*) from awaited where what = 'CONSIGNED_SOLD'",
              """
              select concat(w.name, ', item ', t.item_id) as name, sum(q1) as q1, sum(q2) as q2
              from (select l.owner_id, m.item_id, -m.quantity as q1, 0 as q2 from quantity_move m
                    join place l on l.id = m.place_id and l.owner_id is not null
                    join paper p on p.id = m.paper_id
                    join paper_kind k on k.kind = p.kind
                    where m.part >= %d or k.earns or k.sale > 0
                    union all
                    select a.party_id, a.item_id, 0, a.quantity - coalesce((
                      select sum(f.quantity) from fulfilment f
                      where f.awaited_id = a.id and f.paper_id = a.paper_id), 0)
                    from awaited a where a.what = 'CONSIGNED_SOLD') t
              join party w on w.id = t.owner_id and w.kind = 'SUPPLIER'
              group by t.owner_id, t.item_id having sum(q1) <> sum(q2)"""
                  .formatted(Stocking.OTHERS)),
          new Rule(
              "of no supplier's goods more left than came",
              "select count(*) from place_stock s join place p on p.id = s.place_id and p.owner_id is not null",
              """
              select concat(p.name, ', item ', s.item_id) as name, s.quantity as q1, 0 as q2
              from place_stock s join place p on p.id = s.place_id and p.owner_id is not null
              where s.quantity < 0"""),
          new Rule(
              "goods became ours for what is owed for them",
              "select count(*) from awaited where what = 'CONSIGNED_SOLD'",
              """
              select concat(p.number, ', line ', t.line + 1) as name, sum(v1) as a, sum(v2) as b
              from (select a.paper_id, a.line, a.value as v1, 0 as v2 from awaited a
                    join paper p on p.id = a.paper_id and p.state = 'POSTED'
                    where a.what = 'CONSIGNED_SOLD' and not exists (
                      select 1 from fulfilment f where f.awaited_id = a.id
                        and f.paper_id = a.paper_id)
                    union all
                    select e.paper_id, e.line, 0, e.value from cost_event e
                    join paper p on p.id = e.paper_id and p.state = 'POSTED'
                    join paper_kind k on k.kind = p.kind and (k.earns or k.sale > 0 or k.side = '')
                    where not e.gone and (e.kind = 'IN' and exists (
                        select 1 from quantity_move m join place l on l.id = m.place_id
                          and l.owner_id is not null where m.paper_id = e.paper_id
                          and m.line = e.line and m.part = e.part and m.item_id = e.item_id)
                      or e.kind = 'CHARGE' and k.sale > 0)) t
              join paper p on p.id = t.paper_id
              group by t.paper_id, t.line having sum(v1) <> sum(v2)"""));
}
