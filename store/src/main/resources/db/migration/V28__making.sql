-- Goods made of other goods, and goods taken apart; goods on the way between places.

insert ignore into paper_kind (kind, words, side, sign, sale, tax_role, tax_sign)
  values ('ASSEMBLY', 'Assembly', '', 1, 0, '', 0), ('DISASSEMBLY', 'Disassembly', '', 1, 0, '', 0),
    ('RECIPE', 'Recipe', '', 1, 0, '', 0);

insert ignore into paper_kind (kind, words, side, sign, sale, tax_role, tax_sign, orders, approved)
  values ('WORK_ORDER', 'Work order', '', 1, 0, '', 0, true, true);

-- What a work order waits for is nobody's.
alter table awaited modify party_id bigint null;

create table if not exists making (
  paper_id bigint primary key references paper (id),
  charges bigint not null comment 'minor units added to the components'' cost, less what came in at a value of its own'
);

create table if not exists made_of (
  event_id bigint primary key comment 'a component''s out, or a result''s in',
  paper_id bigint not null references making (paper_id),
  item_id bigint not null references item (id),
  weight bigint null comment 'a result''s share of the cost; null for a component',
  index made_of_by_paper (paper_id),
  index made_of_by_item (item_id, weight)
);

create table if not exists recipe (
  paper_id bigint primary key references paper (id),
  item_id bigint not null references item (id),
  date date not null comment 'from this day on it is made so',
  made bigint not null comment 'millionths that a batch gives',
  place_id bigint null references place (id),
  index recipe_by_item (item_id, date, paper_id)
);

create table if not exists recipe_part (
  paper_id bigint not null references recipe (paper_id),
  line int not null,
  item_id bigint not null references item (id),
  quantity bigint not null comment 'millionths in a batch',
  waste decimal(7,4) not null default 0 comment 'percent that goes in besides',
  primary key (paper_id, line),
  index recipe_part_by_item (item_id)
);

create table if not exists recipe_work (
  paper_id bigint not null references recipe (paper_id),
  line int not null,
  account_id bigint not null references account (id),
  wording varchar(300) not null,
  batch bigint not null comment 'minor units for a batch',
  piece bigint not null comment 'minor units for each base unit made',
  primary key (paper_id, line)
);

-- What was sent to another place and is not there yet is at a place that nobody chooses.
alter table place add column if not exists kind varchar(8) not null default 'STORE' comment 'WAY: between two places';
insert into place (name, active, for_sale, kind)
  select if(exists (select 1 from place where name = 'On the way'), 'On the way between places', 'On the way'),
    false, false, 'WAY'
  from dual where not exists (select 1 from place where kind = 'WAY');
insert ignore into paper_kind (kind, words, side, sign, sale, tax_role, tax_sign)
  values ('ARRIVAL', 'Arrival', '', 1, 0, '', 0);
