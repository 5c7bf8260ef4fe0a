-- Outs that no goods were there for, as the pools have them now.
create table uncovered_out (
  event_id bigint primary key references cost_event (id),
  item_id bigint not null references item (id),
  quantity bigint not null,
  value bigint not null comment 'provisional',
  index uncovered_by_item (item_id)
);

-- Who closed a month, and when; a month without a row is open.
create table period (
  month date primary key,
  closed_at datetime(3) not null,
  closed_by varchar(60) not null
);

-- How far below cost an item's goods stand.
alter table cost_pool add column written_down bigint not null default 0;
