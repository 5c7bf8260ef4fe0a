package zinctally.store.check;

import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What the tables must agree on among themselves, each as a query that finds what does not. */
@Component
class SumChecks {
  private static final int NAMED = 20;
  private final JdbcClient sql;

  SumChecks(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * @param what what must hold
   * @param looked counts what is looked at
   * @param faults selects a name and two figures for each that does not hold
   */
  private record Rule(String what, String looked, String faults) {}

  private static final String BY_DAY =
      """
      select account_id, item_id, posting_date as day, value as book, 0 as ledger from cost_entry
      union all
      select l.account_id, l.item_id, l.date, 0, l.amount from account a
      join journal_line l on l.account_id = a.id where a.role = 'STOCK'""";

  private static final List<Rule> RULES =
      List.of(
          new Rule(
              "every journal entry balances",
              "select count(*) from journal",
              """
              select concat('journal ', journal_id) as name, sum(amount) as a, 0 as b
              from journal_line group by journal_id having a <> 0"""),
          new Rule(
              "journal lines bear their journal's date",
              "select count(*) from journal_line",
              """
              select concat('journal ', j.id) as name, l.line as a, 0 as b from journal_line l
              left join journal j on j.id = l.journal_id where j.id is null or j.date <> l.date"""),
          new Rule(
              "the trial balance sums to zero in every month",
              "select count(distinct month) from account_month",
              """
              select month as name, sum(debit) as a, sum(credit) as b from account_month
              group by month having a <> b"""),
          new Rule(
              "month totals of accounts are the sums of their lines",
              "select count(*) from account_month",
              """
              select concat('account ', account_id, ', ', month) as name, sum(total) as a, sum(written) as b
              from (select account_id, month, debit - credit as total, 0 as written from account_month
                    union all
                    select account_id, date_sub(date, interval day(date) - 1 day), 0, amount
                    from journal_line) t
              group by account_id, month having a <> b"""),
          new Rule(
              "stock book and ledger agree by account and item on every day",
              "select count(distinct posting_date) from cost_entry",
              "select concat('account ', account_id, ', item ', item_id, ', ', day) as name,"
                  + " sum(book) as a, sum(ledger) as b from ("
                  + BY_DAY
                  + ") t group by account_id, item_id, day having a <> b"),
          new Rule(
              "month totals of items are the sums of their cost entries",
              "select count(*) from item_month",
              """
              select concat('item ', item_id, ', ', month) as name, sum(v1) as a, sum(v2) as b,
                sum(q1) as q1, sum(q2) as q2
              from (select item_id, month, value as v1, 0 as v2, quantity as q1, 0 as q2 from item_month
                    union all
                    select item_id, date_sub(posting_date, interval day(posting_date) - 1 day), 0,
                      value, 0, quantity from cost_entry) t
              group by item_id, month having a <> b or q1 <> q2"""),
          new Rule(
              "year totals of items are the sums of their months",
              "select count(*) from item_year",
              """
              select concat('item ', item_id, ', ', year) as name, sum(v1) as a, sum(v2) as b,
                sum(q1) as q1, sum(q2) as q2
              from (select item_id, year, value as v1, 0 as v2, quantity as q1, 0 as q2 from item_year
                    union all
                    select item_id, year(month), 0, value, 0, quantity from item_month) t
              group by item_id, year having a <> b or q1 <> q2"""),
          new Rule(
              "month totals of stock accounts are the sums of cost entries and of lines",
              "select count(*) from stock_account_month",
              """
              select concat('account ', account_id, ', ', month) as name, sum(v1) as a, sum(v2) as b,
                sum(l1) as l1, sum(l2) as l2
              from (select account_id, month, value as v1, 0 as v2, 0 as l1, 0 as l2 from stock_month
                    union all
                    select account_id, date_sub(posting_date, interval day(posting_date) - 1 day), 0,
                      value, 0, 0 from cost_entry
                    union all
                    select account_id, month, 0, 0, amount, 0 from stock_account_month
                    union all
                    select l.account_id, date_sub(l.date, interval day(l.date) - 1 day), 0, 0, 0,
                      l.amount from account a join journal_line l on l.account_id = a.id
                    where a.role = 'STOCK') t
              group by account_id, month having a <> b or l1 <> l2"""),
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
              "what is at all places together is what the stock book has",
              "select count(distinct item_id) from place_stock",
              """
              select concat('item ', item_id) as name, sum(q1) as a, sum(q2) as b
              from (select item_id, sum(quantity) as q1, 0 as q2 from place_stock group by item_id
                    union all
                    select item_id, 0, on_hand from cost_pool) t
              group by item_id having a <> b"""),
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
                a.quantity - coalesce(sum(f.quantity), 0) as q2
              from awaited a left join fulfilment f on f.awaited_id = a.id
              group by a.id having a <> b or q1 <> q2 or (q1 <= 0 and a <> 0)"""),
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
              "cost of goods sold of each item is what of it was sold and recognised, on every day",
              "select count(*) from cost_entry",
              """
              select concat('item ', item_id, ', ', day) as name, sum(book) as a, sum(ledger) as b
              from (
                select n.item_id, n.posting_date as day, -n.value as book, 0 as ledger
                from cost_entry n join cost_event e on e.id = n.event_id
                join account c on c.id = e.contra_account and c.role = 'COST_OF_GOODS_SOLD'
                union all
                select a.item_id, f.date, f.value, 0 from awaited a
                join fulfilment f on f.awaited_id = a.id and f.paper_id <> a.paper_id
                where a.what = 'SENT_INVOICE'
                union all
                select l.item_id, l.date, 0, l.amount from account c
                join journal_line l on l.account_id = c.id
                where c.role = 'COST_OF_GOODS_SOLD' and l.item_id <> 0) t
              group by item_id, day having a <> b"""),
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
                  and e.line % 1000000 = l.line and not e.gone)
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
              "of no lot more has come back than was sold of it on the line it came back to",
              "select count(*) from lot",
              """
              select concat(p.number, ', lot ', o.code) as name, -coalesce(s.sold, 0) as a, b.back as b
              from (select r.of_paper, r.of_line, m.lot_id, sum(m.quantity) as back
                    from paper c join paper_kind ck on ck.kind = c.kind and ck.sale < 0
                    join paper_line r on r.paper_id = c.id and r.version = c.version
                    join quantity_move m on m.paper_id = c.id and m.line % 1000000 = r.line
                    where c.state = 'POSTED' and m.lot_id <> 0
                      and m.quantity > 0
                    group by r.of_paper, r.of_line, m.lot_id) b
              join paper p on p.id = b.of_paper join lot o on o.id = b.lot_id
              left join (select paper_id, line % 1000000 as line, lot_id, sum(quantity) as sold
                         from quantity_move where lot_id <> 0 group by paper_id, line % 1000000, lot_id)
                s on s.paper_id = b.of_paper and s.line = b.of_line and s.lot_id = b.lot_id
              where s.paper_id is not null and b.back > -coalesce(s.sold, 0)"""),
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

  List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    for (Rule rule : RULES) {
      long looked = sql.sql(rule.looked).query(Long.class).single();
      long count =
          sql.sql("select count(*) from (" + rule.faults + ") f").query(Long.class).single();
      List<String> named =
          count == 0
              ? List.of()
              : sql.sql(rule.faults + " limit " + NAMED)
                  .query(
                      (row, n) ->
                          row.getString(1)
                              + ": "
                              + row.getString(2)
                              + " against "
                              + row.getString(3))
                  .list();
      findings.add(new Finding(rule.what, looked, named, count));
    }
    return findings;
  }
}
