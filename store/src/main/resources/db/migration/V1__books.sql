-- Money is in whole minor units of the book's currency, quantities in millionths of the base unit.

create table book (
  id tinyint primary key,
  name varchar(120) not null,
  currency char(3) not null,
  cut_over date not null,
  closed_to date null comment 'last day of the latest closed period',
  prices_include_tax boolean not null default false,
  check (id = 1)
);

create table app_user (
  id bigint primary key auto_increment,
  login varchar(60) not null unique,
  name varchar(120) not null,
  password varchar(100) not null,
  role varchar(20) not null,
  active boolean not null default true
);

create table account (
  id bigint primary key auto_increment,
  code varchar(20) not null unique,
  name varchar(120) not null,
  kind varchar(12) not null,
  role varchar(24) not null,
  active boolean not null default true,
  index account_by_role (role),
  index account_by_name (name)
);

create table place (
  id bigint primary key auto_increment,
  name varchar(80) not null unique,
  active boolean not null default true
);

create table tax_rate (
  id bigint primary key auto_increment,
  code varchar(20) not null unique,
  name varchar(80) not null,
  percent decimal(9,4) not null,
  active boolean not null default true
);

create table reason (
  id bigint primary key auto_increment,
  name varchar(80) not null unique,
  account_id bigint not null references account (id),
  active boolean not null default true
);

create table item_group (
  id bigint primary key auto_increment,
  parent_id bigint null references item_group (id),
  name varchar(80) not null unique,
  method varchar(10) null comment 'null: as the group above',
  stock_account bigint null references account (id),
  sales_account bigint null references account (id),
  cost_account bigint null references account (id)
);

create sequence item_id start with 1 increment by 1 cache 1000;
create table item (
  id bigint primary key,
  code varchar(40) not null unique,
  name varchar(120) not null,
  kind varchar(12) not null,
  group_id bigint not null references item_group (id),
  method varchar(10) not null,
  base_unit varchar(12) not null comment 'UN/ECE Recommendation 20 code',
  pack_name varchar(12) not null default '',
  pack_size bigint not null default 1000000,
  stock_account bigint null references account (id),
  sales_account bigint null references account (id),
  cost_account bigint null references account (id),
  sale_wording varchar(200) not null default '',
  purchase_wording varchar(200) not null default '',
  supplier varchar(120) not null default '',
  supplier_code varchar(60) not null default '',
  gtin varchar(14) null unique,
  shelf varchar(40) not null default '',
  reorder_point bigint null,
  reorder_quantity bigint null,
  notes varchar(2000) not null default '',
  active boolean not null default true,
  index item_by_name (name, id),
  index item_by_group (group_id, code)
);

create table price_list (
  id bigint primary key auto_increment,
  name varchar(60) not null unique
);

create table item_price (
  item_id bigint not null references item (id),
  list_id bigint not null references price_list (id),
  price decimal(18,6) not null comment 'for one base unit',
  primary key (item_id, list_id)
);

create table party (
  id bigint primary key auto_increment,
  kind varchar(10) not null,
  name varchar(120) not null,
  terms_days int not null default 30,
  active boolean not null default true,
  unique (kind, name)
);

create table draft (
  id bigint primary key auto_increment,
  kind varchar(24) not null,
  text longtext not null check (json_valid(text)),
  revision int not null default 0,
  saved_at datetime(3) not null,
  saved_by varchar(60) not null,
  paper_id bigint null comment 'the paper it was posted as',
  index draft_open (paper_id, saved_at)
);

create sequence paper_sequence start with 1 increment by 1 cache 100;
create table paper (
  id bigint primary key auto_increment,
  kind varchar(24) not null,
  number varchar(40) not null unique,
  state varchar(10) not null,
  version int not null,
  date date not null,
  sequence bigint not null unique,
  party_id bigint null references party (id),
  reference varchar(120) not null default '' comment 'the party''s own number for it',
  due date null,
  place_id bigint null references place (id),
  net bigint not null,
  tax bigint not null,
  total bigint not null,
  stock_value bigint not null comment 'what it did to stock when posted',
  posted_at datetime(3) not null,
  posted_by varchar(60) not null,
  index paper_by_date (date, id),
  index paper_by_kind (kind, date, id),
  index paper_by_party (party_id, date),
  index paper_by_reference (reference)
);

create table paper_version (
  paper_id bigint not null references paper (id),
  version int not null,
  text longtext not null check (json_valid(text)),
  posted_at datetime(3) not null,
  posted_by varchar(60) not null,
  primary key (paper_id, version)
);

create table paper_line (
  paper_id bigint not null references paper (id),
  version int not null,
  line int not null,
  item_id bigint null references item (id),
  account_id bigint null references account (id),
  place_id bigint null references place (id),
  wording varchar(500) not null default '',
  quantity bigint null,
  unit varchar(12) not null default '',
  price decimal(24,6) null,
  discount decimal(7,4) not null default 0 comment 'percent off the price',
  net bigint not null,
  tax bigint not null default 0,
  tax_rate_id bigint null references tax_rate (id),
  primary key (paper_id, version, line),
  index line_by_item (item_id, paper_id)
);

create table paper_number (
  kind varchar(24) not null,
  year int not null,
  last int not null,
  primary key (kind, year)
);

create table open_item (
  id bigint primary key auto_increment,
  paper_id bigint not null references paper (id),
  line int not null,
  party_id bigint not null references party (id),
  number varchar(120) not null,
  date date not null,
  due date not null,
  amount bigint not null comment 'above zero: owed to us',
  open bigint not null,
  index open_by_party (party_id, date),
  index open_by_due (open, due)
);

create table settlement (
  paper_id bigint not null references paper (id),
  open_item_id bigint not null references open_item (id),
  amount bigint not null,
  date date not null,
  primary key (paper_id, open_item_id),
  index settlement_by_item (open_item_id)
);

-- the stock book

create sequence cost_event_id start with 1 increment by 1 cache 1000;
create table cost_event (
  id bigint primary key,
  item_id bigint not null references item (id),
  date date not null,
  sequence bigint not null,
  line int not null,
  kind varchar(8) not null,
  quantity bigint not null,
  value bigint not null comment 'as given, for in, charge and revalue',
  charges bigint not null default 0 comment 'sum of charges that belong to it',
  target_id bigint not null default 0,
  contra_account bigint not null default 0 comment 'bears the other side; 0: the paper''s own lines do',
  booked bigint not null comment 'signed sum of its cost entries',
  paper_id bigint not null references paper (id),
  index event_in_order (item_id, date, sequence, line),
  index event_by_paper (paper_id, line),
  index event_by_target (target_id)
);

create table cost_entry (
  id bigint primary key auto_increment,
  item_id bigint not null references item (id),
  event_id bigint not null references cost_event (id),
  posting_date date not null,
  quantity bigint not null,
  value bigint not null,
  account_id bigint not null comment 'the stock account it is booked on',
  cause_id bigint not null comment 'the paper whose posting wrote it',
  journal_id bigint not null,
  index entry_by_item (item_id, posting_date, id),
  index entry_by_event (event_id),
  index entry_by_date (posting_date, item_id),
  index entry_by_cause (cause_id)
);

create table cost_pool (
  item_id bigint primary key references item (id),
  on_hand bigint not null,
  worth bigint not null,
  layers mediumtext not null,
  last_date date not null,
  last_sequence bigint not null,
  last_line int not null,
  since_checkpoint int not null,
  latest_quantity bigint not null,
  latest_value bigint not null
);

create table cost_checkpoint (
  item_id bigint not null references item (id),
  date date not null,
  sequence bigint not null,
  line int not null,
  layers mediumtext not null,
  latest_quantity bigint not null,
  latest_value bigint not null,
  primary key (item_id, date, sequence, line)
);

create table quantity_move (
  id bigint primary key auto_increment,
  item_id bigint not null references item (id),
  place_id bigint not null references place (id),
  date date not null,
  quantity bigint not null,
  paper_id bigint not null references paper (id),
  line int not null,
  index move_by_place (item_id, place_id, date),
  index move_by_paper (paper_id)
);

create table place_stock (
  item_id bigint not null references item (id),
  place_id bigint not null references place (id),
  quantity bigint not null,
  primary key (item_id, place_id)
);

-- the ledger

create sequence journal_id start with 1 increment by 1 cache 100;
create table journal (
  id bigint primary key,
  date date not null,
  paper_id bigint not null references paper (id),
  version int not null,
  index journal_by_date (date, id),
  index journal_by_paper (paper_id)
);

create table journal_line (
  id bigint primary key auto_increment,
  journal_id bigint not null references journal (id),
  line int not null,
  account_id bigint not null references account (id),
  date date not null,
  item_id bigint not null default 0,
  party_id bigint not null default 0,
  amount bigint not null comment 'debit above zero',
  memo varchar(500) not null default '',
  index line_by_journal (journal_id, line),
  index line_by_date (date, id),
  index line_by_account (account_id, date, id),
  index line_by_account_item (account_id, item_id, date, amount)
);

-- totals by month, kept in the posting transaction

create table account_month (
  account_id bigint not null references account (id),
  month date not null,
  debit bigint not null,
  credit bigint not null,
  primary key (account_id, month)
);

create table stock_month (
  account_id bigint not null references account (id),
  month date not null,
  value bigint not null,
  primary key (account_id, month)
);

create table item_month (
  item_id bigint not null references item (id),
  month date not null,
  quantity bigint not null,
  value bigint not null,
  primary key (item_id, month)
);

create table opening_target (
  subject varchar(24) primary key comment 'group:ID, RECEIVABLES or PAYABLES',
  amount bigint not null
);

create table audit (
  id bigint primary key auto_increment,
  at datetime(3) not null,
  login varchar(60) not null,
  subject varchar(40) not null,
  subject_id bigint not null,
  what varchar(200) not null,
  before_text text null,
  after_text text null,
  index audit_by_subject (subject, subject_id, id)
);

-- sessions of the web application, as Spring Session lays them out

create table SPRING_SESSION (
  PRIMARY_ID char(36) not null primary key,
  SESSION_ID char(36) not null,
  CREATION_TIME bigint not null,
  LAST_ACCESS_TIME bigint not null,
  MAX_INACTIVE_INTERVAL int not null,
  EXPIRY_TIME bigint not null,
  PRINCIPAL_NAME varchar(100),
  unique index SPRING_SESSION_IX1 (SESSION_ID),
  index SPRING_SESSION_IX2 (EXPIRY_TIME),
  index SPRING_SESSION_IX3 (PRINCIPAL_NAME)
);

create table SPRING_SESSION_ATTRIBUTES (
  SESSION_PRIMARY_ID char(36) not null,
  ATTRIBUTE_NAME varchar(200) not null,
  ATTRIBUTE_BYTES blob not null,
  primary key (SESSION_PRIMARY_ID, ATTRIBUTE_NAME),
  foreign key (SESSION_PRIMARY_ID) references SPRING_SESSION (PRIMARY_ID) on delete cascade
);

-- what every book starts with; all of it can be changed

insert into account (code, name, kind, role) values
  ('1000', 'Bank', 'ASSET', 'MONEY'),
  ('1010', 'Cash', 'ASSET', 'MONEY'),
  ('1100', 'Trade receivables', 'ASSET', 'RECEIVABLES'),
  ('1300', 'Purchase tax', 'ASSET', 'PURCHASE_TAX'),
  ('1400', 'Stock on hand', 'ASSET', 'STOCK'),
  ('1410', 'Billed, not received', 'ASSET', 'BILLED_NOT_RECEIVED'),
  ('1420', 'Sent, not invoiced', 'ASSET', 'SENT_NOT_INVOICED'),
  ('1600', 'Equipment', 'ASSET', 'NONE'),
  ('2000', 'Trade payables', 'LIABILITY', 'PAYABLES'),
  ('2100', 'Received, not billed', 'LIABILITY', 'RECEIVED_NOT_BILLED'),
  ('2110', 'Billed ahead', 'LIABILITY', 'BILLED_AHEAD'),
  ('2120', 'Owed for consigned goods', 'LIABILITY', 'OWED_FOR_CONSIGNED'),
  ('2200', 'Sales tax', 'LIABILITY', 'SALES_TAX'),
  ('2500', 'Loans', 'LIABILITY', 'NONE'),
  ('3000', 'Capital', 'EQUITY', 'NONE'),
  ('3100', 'Retained earnings', 'EQUITY', 'NONE'),
  ('3900', 'Opening clearing', 'EQUITY', 'OPENING_CLEARING'),
  ('4000', 'Sales', 'INCOME', 'SALES'),
  ('4050', 'Sales returns', 'INCOME', 'SALES_RETURNS'),
  ('4100', 'Carriage charged', 'INCOME', 'NONE'),
  ('5000', 'Cost of goods sold', 'EXPENSE', 'COST_OF_GOODS_SOLD'),
  ('5100', 'Purchase price differences', 'EXPENSE', 'PRICE_DIFFERENCES'),
  ('5200', 'Stock count differences', 'EXPENSE', 'COUNT_DIFFERENCES'),
  ('5210', 'Breakage', 'EXPENSE', 'NONE'),
  ('5220', 'Own use and samples', 'EXPENSE', 'NONE'),
  ('5300', 'Stock write-downs', 'EXPENSE', 'WRITE_DOWNS'),
  ('6000', 'Rent', 'EXPENSE', 'NONE'),
  ('6100', 'Wages', 'EXPENSE', 'NONE'),
  ('6200', 'Carriage inwards', 'EXPENSE', 'NONE'),
  ('6300', 'Other costs', 'EXPENSE', 'NONE');

insert into item_group (name, method, stock_account, sales_account, cost_account)
  select 'Goods', 'FIFO', s.id, r.id, c.id
  from account s, account r, account c
  where s.code = '1400' and r.code = '4000' and c.code = '5000';

insert into place (name) values ('Store');
insert into price_list (name) values ('Retail'), ('Trade');
insert into tax_rate (code, name, percent) values
  ('S', 'Standard rate', 20), ('R', 'Reduced rate', 5), ('Z', 'Zero rate', 0);
insert into reason (name, account_id)
  select r.name, a.id from (
    select 'Breakage' as name, '5210' as code union all
    select 'Own use', '5220' union all
    select 'Sample', '5220' union all
    select 'Expired', '5210' union all
    select 'Found', '5200' union all
    select 'Miscounted', '5200') r
  join account a on a.code = r.code;
