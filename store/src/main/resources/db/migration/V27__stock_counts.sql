-- Stock counts: sheets, their lines, and each entry as it was counted.

insert ignore into paper_kind (kind, words, side, sign, sale, tax_role, tax_sign)
  values ('STOCK_COUNT', 'Stock count', '', 1, 0, '', 0);

create table if not exists count_sheet (
  id bigint primary key auto_increment,
  place_id bigint not null references place (id),
  date date not null comment 'the day of the count, as of which it is posted',
  what varchar(200) not null comment 'which goods, in words',
  blind boolean not null comment 'who counts does not see what the book holds',
  other_person boolean not null comment 'a second count is by another person',
  tolerance_quantity bigint null comment 'millionths apart from which a second count is wanted; null: none is',
  tolerance_value bigint null comment 'minor units, likewise',
  state varchar(8) not null default 'OPEN',
  draft_id bigint null,
  paper_id bigint null references paper (id),
  begun_by varchar(60) not null,
  begun_at datetime(3) not null default current_timestamp(3),
  index count_sheet_by_date (date, id),
  index count_sheet_by_state (state, date),
  index count_sheet_by_paper (paper_id),
  index count_sheet_by_place (place_id)
);

create table if not exists count_line (
  id bigint primary key auto_increment,
  sheet_id bigint not null references count_sheet (id),
  item_id bigint not null references item (id),
  lot_id bigint not null default 0,
  round int not null default 1 comment 'of counting; entries of earlier ones count no more',
  counted bigint null comment 'millionths, all entries of the round; null: not counted yet',
  expected bigint null comment 'millionths that the book held when it was counted last',
  counted_at datetime(3) null,
  counted_by varchar(60) not null default '',
  accepted boolean not null default false comment 'taken as it is without a second count',
  reason_id bigint null references reason (id),
  unique (sheet_id, item_id, lot_id),
  index count_line_by_item (item_id, counted_at),
  index count_line_by_lot (lot_id)
);

create table if not exists count_entry (
  id bigint primary key auto_increment,
  line_id bigint not null references count_line (id),
  round int not null,
  quantity bigint not null comment 'millionths',
  expected bigint not null comment 'millionths that the book held at that moment',
  spot varchar(40) not null default '' comment 'where it lay',
  by_login varchar(60) not null,
  at datetime(3) not null default current_timestamp(3),
  taken_back_by varchar(60) not null default '' comment 'who said that it was wrong; empty: it counts',
  index count_entry_by_line (line_id, id)
);

-- What moved since a moment is told by when it was posted.
alter table quantity_move add column if not exists at datetime(3) null default null comment 'when it was written; null: before V27';
alter table quantity_move alter column at set default current_timestamp(3);
alter table quantity_move add index if not exists move_by_moment (item_id, place_id, at);

-- How often goods are counted follows from how much of their cost leaves in a year.
create table if not exists item_class (
  item_id bigint primary key references item (id),
  class char(1) not null comment 'A, B or C',
  index item_class_by_class (class, item_id)
);
