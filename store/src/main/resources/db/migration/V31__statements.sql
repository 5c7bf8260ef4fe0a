-- Statements: headings over accounts, the book's year, and the moment at which each entry was made.

create table section (
  id bigint primary key auto_increment,
  part varchar(8) not null comment 'ASSETS, CLAIMS (equity and liabilities) or RESULT',
  parent_id bigint null references section (id),
  place int not null comment 'its order among those under the same heading',
  name varchar(80) not null,
  activity varchar(10) not null default 'OPERATING' comment 'where the cash flow shows what changes here',
  subtotal varchar(80) not null default '' comment 'what a result comes to down to here is called; empty: it is not said',
  unique (part, name)
);

alter table account add column section_id bigint null references section (id);

insert into section (part, place, name, activity, subtotal) values
  ('ASSETS', 1, 'Non-current assets', 'INVESTING', ''),
  ('ASSETS', 2, 'Current assets', 'OPERATING', ''),
  ('CLAIMS', 1, 'Equity', 'FINANCING', ''),
  ('CLAIMS', 2, 'Non-current liabilities', 'FINANCING', ''),
  ('CLAIMS', 3, 'Current liabilities', 'OPERATING', ''),
  ('RESULT', 1, 'Revenue', 'OPERATING', ''),
  ('RESULT', 2, 'Cost of sales', 'OPERATING', 'Gross profit'),
  ('RESULT', 3, 'Other costs', 'OPERATING', '');

insert into section (part, parent_id, place, name)
  select 'ASSETS', id, 1, 'Stock' from section where name = 'Current assets'
  union all select 'ASSETS', id, 2, 'Receivables' from section where name = 'Current assets'
  union all select 'ASSETS', id, 3, 'Cash' from section where name = 'Current assets';

update account a join section s on s.name =
  case
    when a.kind = 'INCOME' then 'Revenue'
    when a.kind = 'EQUITY' then 'Equity'
    when a.role in ('COST_OF_GOODS_SOLD', 'PRICE_DIFFERENCES', 'COUNT_DIFFERENCES', 'WRITE_DOWNS')
      or a.kind = 'EXPENSE' and a.code in ('5210', '5220') then 'Cost of sales'
    when a.kind = 'EXPENSE' then 'Other costs'
    when a.role in ('STOCK', 'BILLED_NOT_RECEIVED', 'SENT_NOT_INVOICED') then 'Stock'
    when a.role = 'MONEY' then 'Cash'
    when a.role in ('RECEIVABLES', 'PURCHASE_TAX') then 'Receivables'
    when a.code = '1600' then 'Non-current assets'
    when a.kind = 'ASSET' then 'Current assets'
    when a.code = '2500' then 'Non-current liabilities'
    else 'Current liabilities'
  end
  set a.section_id = s.id;

alter table book add column year_from tinyint not null default 1 comment 'the month in which the book''s year begins';

-- papers that take over what was there before are no flows of a period
alter table paper_kind add column opening boolean not null default false;
update paper_kind set opening = true where kind in ('OPENING_BALANCES', 'OPENING_STOCK', 'OPENING_PARTIES');

-- an entry is of a day, and was made at a moment

alter table journal add column entered_at datetime(3) not null default current_timestamp(3);
alter table cost_entry add column entered_at datetime(3) not null default current_timestamp(3);

update journal j join paper_version v on v.paper_id = j.paper_id and v.version = j.version
  set j.entered_at = v.posted_at;
update journal j
  join (select subject_id, max(at) as at from audit
        where subject = 'paper' and what like 'voided %' group by subject_id) a on a.subject_id = j.paper_id
  join paper p on p.id = j.paper_id and p.state = 'VOID' and p.version = j.version
  set j.entered_at = a.at
  where j.reverses;
update cost_entry c join paper p on p.id = c.cause_id
  left join journal j on j.id = c.journal_id
  set c.entered_at = coalesce(j.entered_at, p.posted_at);

alter table journal add index journal_by_moment (entered_at, id);
alter table cost_entry add index entry_by_moment (entered_at, item_id);

-- what was handed out: by which address, and of which moment its figures are
create table handed_out (
  id bigint primary key auto_increment,
  at datetime(3) not null comment 'what was entered up to then is in its figures',
  login varchar(60) not null,
  name varchar(160) not null,
  how varchar(8) not null comment 'csv, xlsx, pdf or sent',
  address varchar(1000) not null comment 'gives it again, with the moment added',
  index handed_out_by_time (at, id)
);
