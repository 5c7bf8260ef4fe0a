-- Cash goes through a till journal by journal, so that what is taken back later goes through the
-- till that is open then.
alter table journal
  add column till_id bigint null comment 'the till through which its cash went',
  add index journal_by_till (till_id);
update journal j join paper p on p.id = j.paper_id set j.till_id = p.till_id
where p.till_id is not null;
update journal j join till t on t.paper_id = j.paper_id set j.till_id = t.id;

-- A draft is saved by a window that has seen its latest revision, or that saved it last itself.
alter table draft
  add column saved_in varchar(40) not null default '' comment 'the window that saved it last',
  add column begun_by varchar(60) not null default '',
  add column shared boolean not null default false comment 'those at the counter may write in it';
update draft set begun_by = saved_by;

-- What a card was asked for: written before the reader is asked, so that no charge is forgotten.
create table card_payment (
  id bigint primary key auto_increment,
  draft_id bigint not null,
  amount bigint not null comment 'minor units',
  state varchar(10) not null comment 'ASKED, CHARGED, DECLINED, BOOKED, DUE_BACK, BACK',
  reference varchar(80) not null default '' comment 'the reader''s own number',
  paper_id bigint null references paper (id),
  at datetime(3) not null,
  login varchar(60) not null,
  under_way bigint as (if(state in ('ASKED', 'CHARGED'), draft_id, null)) persistent unique
    comment 'one payment of a sale at a time',
  index card_by_state (state, at),
  index card_by_paper (paper_id)
);

-- One reminder in draft a customer; a paper repeats once in the same rhythm from the same day.
delete r from reminder r join reminder first
  on first.party_id = r.party_id and first.sent_at is null and first.id < r.id
where r.sent_at is null;
alter table reminder
  add column draft_for bigint as (if(sent_at is null, party_id, null)) persistent unique;
alter table repeating
  add column paper_id bigint null comment 'the paper it repeats',
  add unique (paper_id, every, start);

alter table till
  add column whole boolean not null default true comment 'all that moved its cash is known';
update till set whole = false;

-- What the latest checks of all that must hold have found.
create table check_run (
  id bigint primary key auto_increment,
  began_at datetime(3) not null,
  ended_at datetime(3) not null,
  cause varchar(20) not null,
  rules int not null,
  faults bigint not null,
  index check_by_time (began_at)
);
create table check_finding (
  run_id bigint not null references check_run (id),
  line int not null,
  what varchar(200) not null,
  looked bigint not null,
  count bigint not null,
  faults text not null comment 'a line each',
  items text not null comment 'codes of items that a recosting puts right, a line each',
  primary key (run_id, line)
);

-- The part of a line counts in millions, of which more fit than an int holds.
alter table cost_event modify column line bigint not null;
alter table quantity_move modify column line bigint not null;
alter table cost_pool modify column last_line bigint not null;
alter table cost_checkpoint modify column line bigint not null;

-- In which form figures are written: the book's, and a person's own.
alter table book add column figures varchar(12) not null default 'POINT';
alter table app_user add column figures varchar(12) null comment 'null: as the book';

alter table price_list add column with_tax boolean not null default false comment 'what its prices are';
update price_list set with_tax = true where exists (select 1 from book where prices_include_tax);

-- What papers that are handed over say of the business.
alter table book
  add column address varchar(500) not null default '',
  add column tax_number varchar(60) not null default '',
  add column bank varchar(300) not null default '';
