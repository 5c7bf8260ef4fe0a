-- A posted paper may get a new version or be voided; what it wrote before stays and is reversed.

alter table draft
  add column amends bigint not null default 0 comment 'the posted paper it is a new version of',
  add column amends_version int not null default 0,
  add index draft_amending (amends, paper_id);

alter table paper_version
  add column what varchar(10) not null default 'posted' comment 'posted or amended';

alter table cost_event
  add column gone boolean not null default false comment 'no longer part of the pool: voided or amended away';

alter table journal
  add column reverses boolean not null default false comment 'takes back what an earlier version wrote';

alter table journal_line
  add column worked boolean not null default false comment 'written from cost entries, not by the paper itself';

update journal_line l set l.worked = true
where l.item_id <> 0 and exists (
  select 1 from cost_entry n join cost_event e on e.id = n.event_id
  where n.journal_id = l.journal_id and n.item_id = l.item_id
    and l.account_id in (n.account_id, e.contra_account));

alter table settlement
  drop primary key,
  add column id bigint not null auto_increment primary key first,
  add index settlement_by_paper (paper_id),
  add index settlement_by_date (date);

-- Short stock: only when the book allows it, and only by those who may.

alter table book add column short_stock boolean not null default false;
alter table app_user add column may_sell_short boolean not null default false;
alter table item add column standard_cost decimal(18,6) null comment 'assumed for goods never yet received, for one base unit';
