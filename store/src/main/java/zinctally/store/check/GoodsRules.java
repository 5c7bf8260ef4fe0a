package zinctally.store.check;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zinctally.core.papers.flow.Awaits;

/** What the stock book, places and lots must agree on. */
final class GoodsRules {
  private GoodsRules() {}

  /** What is at some places is what papers wait to have back from there. */
  private static Rule waited(String says, String places, Awaits... what) {
    String any = Stream.of(what).map(w -> "'" + w.name() + "'").collect(Collectors.joining(", "));
    return new Rule(
        says,
        "select count(*) from awaited where what in (" + any + ")",
        """
        select i.code as name, coalesce(s.quantity, 0) as q1, coalesce(w.quantity, 0) as q2
        from item i
        left join (select t.item_id, sum(t.quantity) as quantity from place_stock t
          join place p on p.id = t.place_id and %s group by t.item_id) s on s.item_id = i.id
        left join (select item_id, sum(open_quantity) as quantity from awaited
          where what in (%s) group by item_id) w on w.item_id = i.id
        where coalesce(s.quantity, 0) <> coalesce(w.quantity, 0)"""
            .formatted(places, any));
  }

  static final List<Rule> ALL =
      List.of(
          waited(
              "what is on the way is what was sent and has neither come nor was lost",
              "p.kind = 'WAY'",
              Awaits.ON_THE_WAY),
          waited(
              "what is at repairers is what went out for repair and is not back",
              "p.kind = 'REPAIRER'",
              Awaits.IN_REPAIR),
          waited(
              "what is here of customers' goods is what was taken in or kept and not handed over",
              "exists (select 1 from party o where o.id = p.owner_id and o.kind = 'CUSTOMER')",
              Awaits.TO_GIVE_BACK,
              Awaits.KEPT_HERE),
          new Rule(
              "each item's head is the sum of its cost entries",
              "select count(*) from cost_pool",
              """
              select concat('item ', item_id) as name, sum(v1) as a, sum(v2) as b,
                sum(q1) as q1, sum(q2) as q2
              from (select item_id, worth as v1, 0 as v2, on_hand as q1, 0 as q2 from cost_pool
                    union all
                    select item_id, 0, sum(value), 0, sum(quantity) from cost_entry group by item_id) t
              group by item_id having a <> b or q1 <> q2"""),
          new Rule(
              "each event is booked at the sum of its cost entries",
              "select count(*) from cost_event",
              """
              select concat('event ', e.id) as name, e.booked as a, coalesce(n.value, 0) as b
              from cost_event e
              left join (select event_id, sum(value) as value, sum(quantity) as quantity
                         from cost_entry group by event_id) n on n.event_id = e.id
              where e.booked <> coalesce(n.value, 0)
                or coalesce(n.quantity, 0) <> case when e.gone then 0
                  when e.kind = 'OUT' then -e.quantity else e.quantity end"""),
          new Rule(
              "each arrival's charges are the sum of those that belong to it",
              "select count(*) from cost_event where kind = 'CHARGE'",
              """
              select concat('event ', e.id) as name, e.charges as a, coalesce(c.value, 0) as b
              from cost_event e
              left join (select target_id, sum(value) as value from cost_event
                         where kind = 'CHARGE' and not gone group by target_id) c
                on c.target_id = e.id
              where e.charges <> coalesce(c.value, 0)"""),
          new Rule(
              "what is at each place is the sum of what moved there",
              "select count(*) from place_stock",
              """
              select concat('item ', item_id, ', place ', place_id) as name, sum(q1) as a, sum(q2) as b
              from (select item_id, place_id, quantity as q1, 0 as q2 from place_stock
                    union all
                    select item_id, place_id, 0, sum(quantity) from quantity_move
                    group by item_id, place_id) t
              group by item_id, place_id having a <> b"""),
          new Rule(
              "what of ours is at all places together is what the stock book has",
              "select count(distinct item_id) from place_stock",
              """
              select concat('item ', item_id) as name, sum(q1) as a, sum(q2) as b
              from (select s.item_id, sum(s.quantity) as q1, 0 as q2 from place_stock s
                    join place p on p.id = s.place_id and p.owner_id is null group by s.item_id
                    union all
                    select item_id, 0, on_hand from cost_pool) t
              group by item_id having a <> b"""),
          new Rule(
              "what is of each lot at each place is the sum of what moved there",
              "select count(*) from lot_stock",
              """
              select concat('lot ', lot_id, ', place ', place_id) as name, sum(q1) as a, sum(q2) as b
              from (select lot_id, place_id, quantity as q1, 0 as q2 from lot_stock
                    union all
                    select lot_id, place_id, 0, sum(quantity) from quantity_move
                    where lot_id <> 0 group by lot_id, place_id) t
              group by lot_id, place_id having a <> b or a < 0"""),
          new Rule(
              "lots add up to what is at each place, and a serial number is here once or not at all",
              "select count(*) from lot",
              """
              select concat('item ', item_id, ', place ', place_id) as name, sum(q1) as a, sum(q2) as b
              from (select l.item_id, s.place_id, s.quantity as q1, 0 as q2
                    from lot l join lot_stock s on s.lot_id = l.id
                    union all
                    select s.item_id, s.place_id, 0, s.quantity from place_stock s
                    join item i on i.id = s.item_id and i.tracking <> 'NONE') t
              group by item_id, place_id having a <> b
              union all
              select concat('lot ', l.id), l.on_hand, coalesce(sum(s.quantity), 0) from lot l
              join item i on i.id = l.item_id left join lot_stock s on s.lot_id = l.id
              group by l.id
              having l.on_hand <> coalesce(sum(s.quantity), 0)
                or max(i.tracking) = 'SERIAL' and l.on_hand not in (0, 1000000)"""),
          new Rule(
              "whatever is kept in stock and was sold has its cost, and tracking started once",
              "select count(*) from item where kind = 'STOCKED'",
              """
              select concat(p.number, ', line ', l.line + 1) as name, l.quantity as a, 0 as b
              from paper_line l join paper p on p.id = l.paper_id and p.version = l.version
              join paper_kind k on k.kind = p.kind and k.sale > 0
              join item i on i.id = l.item_id and i.kind = 'STOCKED'
              where p.state = 'POSTED' and l.quantity > 0
                and p.date >= coalesce((select max(s.date) from paper_line t
                  join paper s on s.id = t.paper_id and s.state = 'POSTED'
                  join paper_kind sk on sk.kind = s.kind and sk.starts where t.item_id = i.id), '1000-01-01')
                and not exists (select 1 from cost_event e where e.paper_id = p.id
                  and e.line = l.line and not e.gone)
                and not exists (select 1 from fulfilment f join awaited a on a.id = f.awaited_id
                  and a.what = 'SENT_INVOICE' where f.paper_id = p.id and f.line = l.line)
                and not exists (select 1 from awaited a where a.paper_id = p.id and a.line = l.line)
              union all
              select concat('item ', t.item_id), count(distinct s.id), 1
              from paper s join paper_kind sk on sk.kind = s.kind and sk.starts
              join paper_line t on t.paper_id = s.id and t.version = s.version
              where s.state = 'POSTED'
              group by t.item_id having count(distinct s.id) > 1"""),
          new Rule(
              "of no lot more has come back than was sold of it on the line it came back to",
              "select count(*) from lot",
              """
              select concat(p.number, ', lot ', o.code) as name, -coalesce(s.sold, 0) as a, b.back as b
              from (select r.of_paper, r.of_line, m.lot_id, sum(m.quantity) as back
                    from paper c join paper_kind ck on ck.kind = c.kind and ck.sale < 0
                    join paper_line r on r.paper_id = c.id and r.version = c.version
                    join quantity_move m on m.paper_id = c.id and m.line = r.line
                    where c.state = 'POSTED' and m.lot_id <> 0
                      and m.quantity > 0
                    group by r.of_paper, r.of_line, m.lot_id) b
              join paper p on p.id = b.of_paper join lot o on o.id = b.lot_id
              left join (select paper_id, line, lot_id, sum(quantity) as sold
                         from quantity_move where lot_id <> 0 group by paper_id, line, lot_id)
                s on s.paper_id = b.of_paper and s.line = b.of_line and s.lot_id = b.lot_id
              where s.paper_id is not null and b.back > -coalesce(s.sold, 0)"""));
}
