-- Totals by year, so that a valuation of long ago adds up few rows for each item; rows of one time
-- stand together.
create table item_year (
  year smallint not null,
  item_id bigint not null references item (id),
  quantity bigint not null,
  value bigint not null,
  primary key (year, item_id),
  index year_by_item (item_id)
);

insert into item_year
  select year(month), item_id, sum(quantity), sum(value) from item_month group by year(month), item_id;

alter table item_month
  add index month_by_item (item_id, month),
  drop primary key,
  add primary key (month, item_id);
