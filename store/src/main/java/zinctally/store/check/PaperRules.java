package zinctally.store.check;

import java.util.List;

/** What papers, what is owed and what is awaited must agree on. */
final class PaperRules {
  private PaperRules() {}

  static final List<Rule> ALL =
      List.of(
          new Rule(
              "what is open is what was owed less what is settled",
              "select count(*) from open_item",
              """
              select concat('open item ', o.id) as name, o.open as a,
                o.amount + coalesce(sum(s.amount), 0) as b
              from open_item o left join settlement s on s.open_item_id = o.id
              group by o.id having a <> b"""),
          new Rule(
              "what is awaited is what was ordered, received or billed less what was brought",
              "select count(*) from awaited",
              """
              select concat('awaited ', a.id) as name, a.open_value as a,
                a.value - coalesce(sum(f.value), 0) as b, a.open_quantity as q1,
                a.quantity - coalesce(sum(f.quantity), 0) as q2,
                coalesce(max(w.by_value), 0) as by_value
              from awaited a left join fulfilment f on f.awaited_id = a.id
              left join awaits_role w on w.what = a.what
              group by a.id having a <> b or q1 <> q2 or (q1 <= 0 and a <> 0 and by_value = 0)"""),
          new Rule(
              "accounts of goods and papers that wait for each other are what is awaited, on every day",
              "select count(*) from fulfilment",
              """
              select concat(role, ', ', day) as name, sum(book) as a, sum(ledger) as b from (
                select w.role, p.date as day, w.sign * a.value as book, 0 as ledger
                from awaited a join paper p on p.id = a.paper_id
                join awaits_role w on w.what = a.what
                union all
                select w.role, f.date, -w.sign * f.value, 0
                from fulfilment f join awaited a on a.id = f.awaited_id
                join awaits_role w on w.what = a.what
                union all
                select c.role, l.date, 0, l.amount from account c
                join journal_line l on l.account_id = c.id
                where c.role in (select role from awaits_role)) t
              group by role, day having a <> b"""),
          new Rule(
              "what went through a till that is closed is what was counted",
              "select count(*) from till where closed_at is not null and whole",
              """
              select concat('till ', t.id) as name, t.counted as a,
                t.opening_float + coalesce(sum(l.amount), 0) as b
              from till t left join journal j on j.till_id = t.id
              left join journal_line l on l.journal_id = j.id
                and l.account_id = (select account_id from tender where kind = 'CASH')
              where t.closed_at is not null and t.whole group by t.id having a <> b"""),
          new Rule(
              "what is with somebody is with the one whose name stays",
              "select count(*) from party",
              """
              select concat('paper ', r.id) as name, r.party_id as a, w.merged_into as b
              from paper r join party w on w.id = r.party_id and w.merged_into is not null
              union all
              select concat('open item ', r.id), r.party_id, w.merged_into
              from open_item r join party w on w.id = r.party_id and w.merged_into is not null
              union all
              select concat('awaited ', r.id), r.party_id, w.merged_into
              from awaited r join party w on w.id = r.party_id and w.merged_into is not null
              union all
              select concat('journal line ', r.id), r.party_id, w.merged_into
              from journal_line r join party w on w.id = r.party_id and w.merged_into is not null"""),
          new Rule(
              "nothing stands alone: entries, moves, lines and drafts have what they belong to",
              "select count(*) from paper",
              """
              select concat('cost entry ', n.id) as name, n.event_id as a, n.journal_id as b
              from cost_entry n left join cost_event e on e.id = n.event_id
              left join journal j on j.id = n.journal_id
              where e.id is null or e.item_id <> n.item_id or n.journal_id <> 0 and j.id is null
              union all
              select concat('item ', n.item_id, ', paper ', n.cause_id, ', ', n.posting_date),
                sum(n.value), 0 from cost_entry n where n.journal_id = 0
              group by n.item_id, n.account_id, n.cause_id, n.posting_date having sum(n.value) <> 0
              union all
              select concat('event ', e.id), e.paper_id, 0 from cost_event e
              left join paper p on p.id = e.paper_id where p.id is null
              union all
              select concat('move ', m.id), m.paper_id, 0 from quantity_move m
              left join paper p on p.id = m.paper_id where p.id is null
              union all
              select concat('journal ', j.id), j.paper_id, 0 from journal j
              left join paper p on p.id = j.paper_id where p.id is null
              union all
              select concat('draft ', d.id), d.paper_id, 0 from draft d
              left join paper p on p.id = d.paper_id where d.paper_id is not null and p.id is null
              union all
              select concat('paper ', p.id), p.version, 0 from paper p
              left join paper_version v on v.paper_id = p.id and v.version = p.version
              where v.paper_id is null"""),
          new Rule(
              "paper numbers run without gaps by kind and year",
              "select count(*) from paper_number",
              """
              select concat(n.kind, ' ', n.year) as name, n.last as a, count(p.id) as b
              from paper_number n left join paper p on p.kind = n.kind
                and p.number regexp concat('-', n.year, '-[0-9]+$')
              group by n.kind, n.year having a <> b"""));
}
