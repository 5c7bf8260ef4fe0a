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
  modify name varchar(300) not null,
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

-- Two rows of place turn out to be one, because two parties did: all that moved there moved at one.
-- Refuses rows that are not of the same place, standing and owner, or not of anybody.
delimiter //
create or replace procedure fold_place(in gone bigint, in stays bigint)
  sql security definer
  modifies sql data
begin
  if gone = stays or not exists (
    select 1 from place g join place s on s.id = stays and s.kind = g.kind
      and s.standing_id = g.standing_id and s.owner_id <=> g.owner_id and s.host_id <=> g.host_id
      and s.at_id <=> g.at_id
    where g.id = gone and (g.owner_id is not null or g.host_id is not null)
      and not exists (select 1 from place o where o.at_id = gone)) then
    signal sqlstate '45000' set message_text = 'these are not one place';
  end if;
  update quantity_move set place_id = stays where place_id = gone;
  update paper_line set place_id = stays where place_id = gone;
  update paper set place_id = stays where place_id = gone;
  update count_sheet set place_id = stays where place_id = gone;
  insert into place_stock (item_id, place_id, quantity)
    select item_id, stays, quantity from place_stock o where o.place_id = gone
    on duplicate key update quantity = place_stock.quantity + values(quantity);
  delete from place_stock where place_id = gone;
  insert into lot_stock (lot_id, place_id, quantity)
    select lot_id, stays, quantity from lot_stock o where o.place_id = gone
    on duplicate key update quantity = lot_stock.quantity + values(quantity);
  delete from lot_stock where place_id = gone;
  delete from place where id = gone;
end //

-- As before; also who repaired, and whose goods a paper took from a place.
create or replace procedure erase_person(in whom bigint)
  sql security definer
  modifies sql data
begin
  declare shown varchar(120);
  declare kept_until date;
  select name into shown from party where id = whom and erased_at is not null;
  if shown is null then
    signal sqlstate '45000' set message_text = 'only what is marked as erased is taken out';
  end if;
  update audit set before_text = null, after_text = null
    where subject in ('customer', 'supplier')
      and subject_id in (select id from party where id = whom or merged_into = whom);
  select makedate(year(max(p.date)) + b.keep_years + 1, 1) - interval 1 day into kept_until
    from paper p join book b on b.id = 1 where p.party_id = whom;
  if kept_until is null or kept_until < current_date() then
    update paper_version v join paper p on p.id = v.paper_id
      set v.text = json_replace(v.text, '$.fields.customer', shown, '$.fields.supplier', shown,
        '$.fields.repairer', shown, '$.fields.address', '')
      where p.party_id = whom;
    update paper_version v join quantity_move m on m.paper_id = v.paper_id and m.quantity < 0
      join place p on p.id = m.place_id and p.owner_id = whom
      set v.text = json_replace(v.text, '$.fields.place', p.name)
      where json_value(v.text, '$.fields.place') like '%, of %';
  end if;
end //
delimiter ;
