-- The ledger's side of a stock account, by item and month, so that the tie-out by item reads totals.
create table stock_account_month (
  account_id bigint not null references account (id),
  item_id bigint not null comment 'zero: what names no item',
  month date not null,
  amount bigint not null,
  primary key (account_id, item_id, month)
);

insert into stock_account_month
  select l.account_id, l.item_id, date_sub(l.date, interval day(l.date) - 1 day) as month, sum(l.amount)
  from journal_line l join account a on a.id = l.account_id
  where a.role = 'STOCK'
  group by l.account_id, l.item_id, month;

-- How far a long posting is; read while its own transaction is still open.
create table draft_progress (
  draft_id bigint primary key,
  percent tinyint not null
);
