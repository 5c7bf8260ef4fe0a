package zinctally.store.check;

import java.util.List;

/** What journals, accounts and their sums must agree on. */
final class LedgerRules {
  private LedgerRules() {}

  private static final String BY_DAY =
      """
      select account_id, item_id, posting_date as day, value as book, 0 as ledger from cost_entry
      union all
      select l.account_id, l.item_id, l.date, 0, l.amount from account a
      join journal_line l on l.account_id = a.id where a.role = 'STOCK'""";

  static final List<Rule> ALL =
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
              "year totals of items, and of each on its stock accounts, are the sums of their months",
              "select count(*) from item_year",
              """
              select concat('item ', item_id, ', ', year) as name, sum(v1) as a, sum(v2) as b,
                sum(q1) as q1, sum(q2) as q2
              from (select item_id, 0 as account_id, year, value as v1, 0 as v2, quantity as q1, 0 as q2
                    from item_year
                    union all
                    select item_id, 0, year(month), 0, value, 0, quantity from item_month
                    union all
                    select item_id, account_id, year, amount, 0, 0, 0 from stock_account_year
                    union all
                    select item_id, account_id, year(month), 0, amount, 0, 0
                    from stock_account_month) t
              group by item_id, account_id, year having a <> b or q1 <> q2"""),
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
              "tax by day and rate is what the lines of tax accounts bear",
              "select count(*) from tax_entry",
              """
              select concat('account ', account_id, ', ', day) as name, sum(said) as a, sum(ledger) as b
              from (
                select account_id, date as day, if(side = 'SALES_TAX', -tax, tax) as said, 0 as ledger
                from tax_entry
                union all
                select l.account_id, l.date, 0, l.amount from account a
                join journal_line l on l.account_id = a.id
                join journal j on j.id = l.journal_id join paper p on p.id = j.paper_id
                join paper_kind k on k.kind = p.kind and not k.opening and not k.declares
                where a.role in ('SALES_TAX', 'PURCHASE_TAX')) t
              group by account_id, day having a <> b"""),
          new Rule(
              "a voided paper bears no tax and nothing that is taxed",
              "select count(*) from paper where state = 'VOID'",
              """
              select concat(p.number, ', ', e.side, ', ', e.rate) as name, sum(e.base) as a, 0 as b,
                sum(e.tax) as tax
              from paper p join tax_entry e on e.paper_id = p.id where p.state = 'VOID'
              group by p.id, e.side, e.rate having a <> 0 or tax <> 0"""),
          new Rule(
              "a tax return settles what it declares",
              "select count(*) from paper p join paper_kind k on k.kind = p.kind and k.declares",
              """
              select p.number as name, if(p.state = 'VOID', 0, p.total) as a,
                coalesce(sum(if(e.side = 'SALES_TAX', e.tax, -e.tax)), 0) as b
              from paper p join paper_kind k on k.kind = p.kind and k.declares
              left join tax_entry e on e.return_id = p.id
              group by p.id having a <> b"""));
}
