-- Suppliers, orders, receipts, lots and serial numbers, returns with reasons, what repeats.

alter table party
  add column account_id bigint null comment 'the account its bills usually go to' references account (id),
  add column address varchar(500) not null default '',
  add column email varchar(200) not null default '',
  add column phone varchar(60) not null default '',
  add column tax_number varchar(60) not null default '',
  add column notes varchar(2000) not null default '';

alter table book add column approver varchar(20) not null default '' comment 'role that approves purchase orders; empty: nobody needs to';

alter table item
  add column tracking varchar(8) not null default 'NONE' comment 'NONE, LOT or SERIAL',
  add column weight decimal(18,6) null comment 'kilograms of one base unit';

-- What a supplier calls our items, and what the latest bill asked for them.
create table supplier_item (
  party_id bigint not null references party (id),
  item_id bigint not null references item (id),
  code varchar(60) not null default '',
  quantity bigint null comment 'of the latest bill''s line',
  net bigint null comment 'of that line, without tax',
  date date null,
  paper_id bigint null,
  primary key (party_id, item_id),
  index supplier_item_by_item (item_id),
  index supplier_item_by_code (code)
);

create table return_reason (
  id bigint primary key auto_increment,
  name varchar(80) not null unique,
  active boolean not null default true
);
insert into return_reason (name) values
  ('Faulty'), ('Damaged on the way'), ('Wrong goods'), ('Too many'), ('Not as described');

alter table paper_line
  add column of_paper bigint null comment 'the earlier paper whose line it goes on from',
  add column of_line int null,
  add column return_reason_id bigint null references return_reason (id),
  add index line_of (of_paper, of_line);

create table order_head (
  paper_id bigint primary key references paper (id),
  expected date null,
  notes varchar(2000) not null default '',
  approved_at datetime(3) null,
  approved_by varchar(60) null,
  ended_at datetime(3) null comment 'when the rest was cancelled',
  ended_by varchar(60) null,
  index order_by_expected (expected)
);

-- What a line of a posted paper waits for: goods that were ordered or billed, a bill for goods.
create table awaited (
  id bigint primary key auto_increment,
  paper_id bigint not null references paper (id),
  line int not null,
  what varchar(16) not null,
  item_id bigint not null references item (id),
  party_id bigint not null references party (id),
  quantity bigint not null,
  value bigint not null comment 'what it stands at on its account; zero for an order',
  open_quantity bigint not null,
  open_value bigint not null,
  order_paper bigint not null default 0 comment 'the order it goes on from',
  order_line int not null default 0,
  index awaited_by_paper (paper_id, line),
  index awaited_by_order (order_paper, order_line),
  index awaited_open (what, open_quantity, paper_id),
  index awaited_by_item (item_id, what, open_quantity),
  index awaited_by_party (party_id, what, open_quantity)
);

create table fulfilment (
  id bigint primary key auto_increment,
  awaited_id bigint not null references awaited (id),
  paper_id bigint not null references paper (id),
  line int not null,
  quantity bigint not null,
  value bigint not null,
  date date not null,
  index fulfilment_by_awaited (awaited_id),
  index fulfilment_by_paper (paper_id),
  index fulfilment_by_date (date)
);

-- Goods told apart: a lot holds many, a serial number one.
create table lot (
  id bigint primary key auto_increment,
  item_id bigint not null references item (id),
  code varchar(60) not null,
  expiry date null,
  on_hand bigint not null default 0,
  unique (item_id, code),
  index lot_by_code (code),
  index lot_by_expiry (expiry)
);

create table lot_stock (
  lot_id bigint not null references lot (id),
  place_id bigint not null references place (id),
  quantity bigint not null,
  primary key (lot_id, place_id)
);

alter table quantity_move
  add column lot_id bigint not null default 0,
  add index move_by_lot (lot_id, date, id);

alter table cost_event
  add column lot_id bigint not null default 0 comment 'the serial number it is of',
  add index event_by_lot (lot_id);

-- A paper that is begun again and again, as a draft to be looked at.
create table repeating (
  id bigint primary key auto_increment,
  kind varchar(24) not null,
  text longtext not null check (json_valid(text)),
  title varchar(200) not null,
  every varchar(8) not null,
  start date not null,
  runs int not null default 0 comment 'dates gone by, missed ones too',
  until date null,
  times int null,
  next date null comment 'null when it is over',
  made_by varchar(60) not null,
  index repeating_by_next (next)
);

-- returns posted before now, too, say which line they go on from
update paper_line l join paper p on p.id = l.paper_id
  and p.kind in ('SUPPLIER_RETURN', 'CUSTOMER_RETURN')
join cost_event e on e.paper_id = p.id and e.line = l.line and not e.gone
join cost_event t on t.id = e.target_id
set l.of_paper = t.paper_id, l.of_line = t.line;

insert into supplier_item (party_id, item_id, quantity, net, date, paper_id)
  select p.party_id, l.item_id, l.quantity, l.net, p.date, p.id
  from paper p join paper_line l on l.paper_id = p.id and l.version = p.version
  where p.kind = 'BILL' and p.state = 'POSTED' and l.item_id is not null
  order by p.date, p.id, l.line
on duplicate key update quantity = values(quantity), net = values(net), date = values(date),
  paper_id = values(paper_id);

insert into supplier_item (party_id, item_id, code)
  select w.id, i.id, i.supplier_code from item i
  join party w on w.kind = 'SUPPLIER' and w.name = i.supplier where i.supplier_code <> ''
on duplicate key update code = values(code);
