-- Totals by year, so that a valuation of long ago adds up few rows for each item.
create table item_year (
  item_id bigint not null references item (id),
  year smallint not null,
  quantity bigint not null,
  value bigint not null,
  primary key (item_id, year)
);

insert into item_year
  select item_id, year(month), sum(quantity), sum(value) from item_month group by item_id, year(month);
