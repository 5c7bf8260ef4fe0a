-- In what condition goods are, and whose: each is a row of place of its own, at the place it is of.
-- Goods that are mended, ours and customers'.

create table if not exists standing (
  id bigint primary key auto_increment,
  name varchar(60) not null unique,
  sold boolean not null comment 'whether goods in it may be sold',
  free boolean not null comment 'whether they count as free',
  active boolean not null default true
);
insert ignore into standing (id, name, sold, free) values
  (1, 'Good', true, true), (2, 'Damaged', false, false), (3, 'On hold', false, false),
  (4, 'In service', false, false);

alter table place
  add column if not exists at_id bigint null comment 'the place alone; null for itself' references place (id),
  add column if not exists standing_id bigint not null default 1 references standing (id),
  add column if not exists owner_id bigint null comment 'whose goods they are; null: ours' references party (id),
  add column if not exists host_id bigint null comment 'at whose premises; null: ours' references party (id),
  add column if not exists formerly varchar(120) null comment 'what older papers call it',
  modify name varchar(255) not null,
  add index if not exists place_by_site (at_id, standing_id, owner_id),
  add index if not exists place_by_host (kind, host_id);

-- Damaged goods were at a place of their own; now they are damaged at the first place of all.
update place d
  join (select min(id) as id from place where kind = 'STORE' and for_sale and active) f
  join place s on s.id = f.id
  set d.at_id = s.id, d.standing_id = 2, d.formerly = d.name, d.name = concat(s.name, ', damaged')
  where d.name = 'Damaged goods' and not d.for_sale and d.kind = 'STORE' and d.at_id is null
    and not exists (select 1 from (select name from place) o where o.name = concat(s.name, ', damaged'));

insert ignore into paper_kind (kind, words, side, sign, sale, tax_role, tax_sign)
  values ('REPAIR_OUT', 'Out for repair', '', 1, 0, '', 0),
    ('REPAIR_BACK', 'Back from repair', '', 1, 0, '', 0),
    ('TAKEN_IN', 'Taken in for repair', '', 1, 0, '', 0),
    ('GIVEN_BACK', 'Given back after repair', '', 1, 0, '', 0);
