-- Deliveries: goods that are sent before they are invoiced stand at cost until they are.

alter table fulfilment
  add column account_id bigint null comment 'where a difference of cost that came later went';

-- Which account what is awaited adds up to, and on which side.
create table awaits_role (
  what varchar(16) primary key,
  role varchar(24) not null,
  sign int not null comment '1: debit, -1: credit',
  index awaits_by_role (role)
);
insert into awaits_role values
  ('RECEIVED_BILL', 'RECEIVED_NOT_BILLED', -1),
  ('BILLED_GOODS', 'BILLED_NOT_RECEIVED', 1),
  ('SENT_INVOICE', 'SENT_NOT_INVOICED', 1),
  ('INVOICED_GOODS', 'BILLED_AHEAD', -1);

-- Customers: what they pay, what they may owe, where their goods go.
alter table party
  add column price_list_id bigint null references price_list (id),
  add column discount decimal(7,4) not null default 0 comment 'percent off every price',
  add column credit_limit bigint null comment 'minor units they may owe; null: no limit',
  add column tax_rate_id bigint null comment 'their rate, whatever the item''s' references tax_rate (id),
  add column places varchar(2000) not null default '' comment 'delivery addresses, one a line';

alter table item add column tax_rate_id bigint null references tax_rate (id);
alter table place add column tax_rate_id bigint null comment 'for items that have none' references tax_rate (id);

-- Prices from a date, and from a quantity, on.
alter table item_price
  add column from_date date not null default '1000-01-01',
  add column min_quantity bigint not null default 0 comment 'millionths of the base unit',
  drop primary key,
  add primary key (item_id, list_id, from_date, min_quantity);

alter table item add column to_complete boolean not null default false comment 'made from a line of a paper';
alter table book add column tax_on_sums boolean not null default false comment 'tax is rounded on the sum of each rate';
alter table journal_line add index line_by_party (party_id, account_id, date);

-- How papers look that are handed over.
alter table party add column language char(2) not null default 'en' comment 'of the papers they are handed';
create table paper_look (
  id tinyint primary key check (id = 1),
  header varchar(500) not null default '' comment 'under the name of the book',
  footer varchar(1000) not null default '',
  columns varchar(100) not null default 'code,discount,tax',
  logo mediumblob null,
  logo_type varchar(20) not null default ''
);
insert into paper_look (id) values (1);
create table paper_wording (
  kind varchar(24) primary key,
  words varchar(1000) not null comment 'below the lines of such a paper'
);

-- The counter: who sells, what takes which kind of payment, the till of a day.
alter table app_user
  add column initials varchar(6) null unique;
alter table paper
  add column seller varchar(60) not null default '' comment 'login of who sold',
  add column till_id bigint null comment 'the till it went through',
  add index paper_by_seller (seller, date),
  add index paper_by_till (till_id);
update paper set seller = posted_by;

insert ignore into account (code, name, kind, role) values
  ('1020', 'Card payments to come', 'ASSET', 'MONEY'),
  ('2300', 'Vouchers given out', 'LIABILITY', 'NONE'),
  ('6310', 'Till differences', 'EXPENSE', 'NONE'),
  ('6320', 'Small rests written off', 'EXPENSE', 'NONE');
create table tender (
  kind varchar(8) primary key,
  account_id bigint not null references account (id)
);
insert into tender
  select t.kind, a.id from (
    select 'CASH' as kind, '1010' as code union all select 'CARD', '1020'
    union all select 'VOUCHER', '2300') t
  join account a on a.code = t.code;

create table till (
  id bigint primary key auto_increment,
  place_id bigint not null references place (id),
  opened_at datetime(3) not null,
  opened_by varchar(60) not null,
  opening_float bigint not null,
  closed_at datetime(3) null,
  closed_by varchar(60) null,
  expected bigint null,
  counted bigint null,
  paper_id bigint null comment 'the journal of the difference',
  index till_open (place_id, closed_at)
);
insert into tender
  select t.kind, a.id from (select 'GAP' as kind, '6310' as code union all select 'REST', '6320') t
  join account a on a.code = t.code;

-- What customers are asked for again; a draft until it is sent.
create table reminder (
  id bigint primary key auto_increment,
  party_id bigint not null references party (id),
  made_at datetime(3) not null,
  made_by varchar(60) not null,
  words varchar(2000) not null default '',
  sent_at datetime(3) null,
  index reminder_by_party (party_id, sent_at),
  index reminder_by_date (made_at, id)
);
