-- Each posting is a row, to which belongs all that it wrote; and all of it is sealed.

create table posting (
  id bigint primary key auto_increment,
  paper_id bigint not null references paper (id),
  version int not null,
  what varchar(10) not null comment 'posted, amended or voided',
  at datetime(3) not null,
  login varchar(60) not null,
  index posting_by_paper (paper_id, version)
);

insert into posting (paper_id, version, what, at, login)
  select paper_id, version, what, posted_at, posted_by from paper_version order by posted_at, paper_id, version;
insert into posting (paper_id, version, what, at, login)
  select p.id, p.version, 'voided', a.at, a.login from paper p
  join audit a on a.id = (select max(id) from audit
    where subject = 'paper' and subject_id = p.id and what like 'voided %')
  where p.state = 'VOID' order by a.at, p.id;

alter table journal add column posting_id bigint not null default 0;
alter table cost_entry add column posting_id bigint not null default 0;
alter table quantity_move add column posting_id bigint not null default 0;

update journal j join paper p on p.id = j.paper_id
  join posting t on t.paper_id = j.paper_id and t.version = j.version
    and (t.what = 'voided') = (j.reverses and p.state = 'VOID' and j.version = p.version)
  set j.posting_id = t.id;
update journal j join posting t on t.paper_id = j.paper_id and t.version = j.version and t.what <> 'voided'
  set j.posting_id = t.id where j.posting_id = 0;
update cost_entry c join journal j on j.id = c.journal_id set c.posting_id = j.posting_id;
-- what was written without an entry in the ledger, or before postings were rows, belongs to the first of its paper
update cost_entry c join (select paper_id, min(id) as id from posting group by paper_id) t on t.paper_id = c.cause_id
  set c.posting_id = t.id where c.posting_id = 0;
update quantity_move m join (select paper_id, min(id) as id from posting group by paper_id) t on t.paper_id = m.paper_id
  set m.posting_id = t.id where m.posting_id = 0;

alter table journal add index journal_by_posting (posting_id);
alter table cost_entry add index entry_by_posting (posting_id);
alter table quantity_move add index move_by_posting (posting_id);

create table seal (
  no bigint primary key,
  at datetime(3) not null,
  leaves int not null,
  root binary(32) not null comment 'of the tree over its leaves',
  before_hash binary(32) not null comment 'of the seal before; zeros for the first',
  hash binary(32) not null
);

create table seal_leaf (
  kind varchar(8) not null comment 'posting, audit or change',
  of_id bigint not null,
  seal_no bigint not null references seal (no),
  place int not null comment 'among the leaves of its seal, from zero',
  figures binary(32) not null,
  words binary(32) not null,
  primary key (kind, of_id),
  index leaf_by_seal (seal_no, place)
);

create table seal_change (
  id bigint primary key auto_increment,
  kind varchar(8) not null,
  of_id bigint not null,
  was binary(32) not null comment 'of its words',
  becomes binary(32) not null,
  at datetime(3) not null,
  login varchar(60) not null,
  why varchar(200) not null,
  index change_by_leaf (kind, of_id, id)
);

-- held by who seals, so that it is one at a time
create table sealer (id tinyint primary key);
insert into sealer values (1);

alter table period add column seal_no bigint null comment 'the seal that was made when it was closed';
