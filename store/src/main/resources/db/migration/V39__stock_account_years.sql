-- The ledger's side of a stock account, by item and year, so that the tie-out by item of many years
-- reads few rows for each; rows of one time stand together, as those of the stock book do.
create table if not exists stock_account_year (
  year smallint not null,
  account_id bigint not null references account (id),
  item_id bigint not null comment 'zero: what names no item',
  amount bigint not null,
  primary key (year, account_id, item_id)
);

replace into stock_account_year
  select year(month), account_id, item_id, sum(amount) from stock_account_month
  group by year(month), account_id, item_id;

create index if not exists stock_by_month on stock_account_month (month, account_id, item_id, amount);
