-- What papers bear of tax by day and rate, the boxes of a return, and which return declares what.

create table tax_entry (
  id bigint primary key auto_increment,
  posting_id bigint not null,
  paper_id bigint not null references paper (id),
  date date not null,
  account_id bigint not null references account (id),
  side varchar(12) not null comment 'SALES_TAX or PURCHASE_TAX',
  rate varchar(20) not null comment 'its code; empty for none',
  base bigint not null comment 'without tax; below zero where it takes back',
  tax bigint not null comment 'of sales what is owed, of purchases what is reclaimed',
  return_id bigint null comment 'the tax return that declares it' references paper (id),
  index tax_by_day (date, side, rate),
  index tax_by_paper (paper_id),
  index tax_by_return (return_id, date)
);

insert into tax_entry (posting_id, paper_id, date, account_id, side, rate, base, tax)
  select j.posting_id, j.paper_id, l.date, l.account_id, a.role,
    if(k.by_hand or not exists (select 1 from tax_rate t where t.code = l.memo), 'by hand', l.memo),
    if(k.head_taxed, if(j.reverses, -p.net, p.net), 0), if(a.role = 'SALES_TAX', -1, 1) * l.amount
  from account a join journal_line l on l.account_id = a.id
  join journal j on j.id = l.journal_id join paper p on p.id = j.paper_id
  join paper_kind k on k.kind = p.kind
  where a.role in ('SALES_TAX', 'PURCHASE_TAX') and not k.opening;

insert into tax_entry (posting_id, paper_id, date, account_id, side, rate, base, tax)
  select (select max(t.id) from posting t where t.paper_id = p.id and t.version = p.version and t.what <> 'voided'),
    p.id, p.date, a.id, k.tax_role, coalesce(t.code, ''),
    if(k.tax_role = 'SALES_TAX', -1, 1) * k.tax_sign * sum(l.net), 0
  from paper p join paper_kind k on k.kind = p.kind and k.tax_role <> ''
  join paper_line l on l.paper_id = p.id and l.version = p.version and l.net <> 0
  join account a on a.id = (select min(id) from account where role = k.tax_role)
  left join tax_rate t on t.id = l.tax_rate_id
  group by p.id, coalesce(t.code, '');

insert into tax_entry (posting_id, paper_id, date, account_id, side, rate, base, tax)
  select t.id, e.paper_id, v.day, e.account_id, e.side, e.rate, -sum(e.base), 0
  from posting t join paper p on p.id = t.paper_id and p.state = 'VOID'
  join paper_kind k on k.kind = p.kind and not k.head_taxed
  join (select posting_id, min(date) as day from journal where reverses group by posting_id) v
    on v.posting_id = t.id
  join tax_entry e on e.paper_id = p.id
  where t.what = 'voided' group by t.id, e.account_id, e.side, e.rate having sum(e.base) <> 0;

create table tax_return (
  paper_id bigint primary key references paper (id),
  from_day date not null,
  to_day date not null
);

create table tax_box (
  id bigint primary key auto_increment,
  place int not null comment 'its order on the return',
  code varchar(12) not null unique,
  words varchar(120) not null,
  counts varchar(16) not null,
  of varchar(200) not null default '' comment 'codes of rates, a comma between; empty: all; or of boxes, with signs'
);

insert into tax_box (place, code, words, counts, of) values
  (1, '1', 'Tax on sales', 'SALES_TAX', ''),
  (2, '2', 'Tax on purchases', 'PURCHASE_TAX', ''),
  (3, '3', 'To pay', 'BOXES', '1 - 2'),
  (4, '4', 'Sales without tax', 'SALES', ''),
  (5, '5', 'Purchases without tax', 'PURCHASES', '');

alter table paper_kind add column declares boolean not null default false comment 'it moves what is declared off the tax accounts';
insert into paper_kind (kind, words, side, sign, sale, tax_role, tax_sign, declares) values
  ('TAX_RETURN', 'Tax return', 'SUPPLIER', 1, 0, '', 0, true);

-- said in the posting itself now
alter table paper_kind drop column head_taxed, drop column tax_sign;
