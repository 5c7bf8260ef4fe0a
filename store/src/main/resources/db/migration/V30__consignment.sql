-- Goods of suppliers here on consignment, ours at customers', and what customers bought and left.

alter table paper_kind
  add column if not exists consigns tinyint not null default 0 comment 'goods of others come with it as such (1), or go back (-1)';

insert ignore into paper_kind (kind, words, side, sign, sale, tax_role, tax_sign, consigns)
  values ('AGREEMENT', 'Consignment agreement', 'SUPPLIER', 1, 0, '', 0, 0),
    ('CONSIGNMENT_IN', 'Consignment in', 'SUPPLIER', 1, 0, '', 0, 1),
    ('CONSIGNMENT_BACK', 'Consignment back', 'SUPPLIER', 1, 0, '', 0, -1),
    ('SETTLEMENT', 'Consignment settlement', 'SUPPLIER', 1, 0, 'PURCHASE_TAX', 1, 0),
    ('CONSIGNMENT_OUT', 'Consignment out', 'CUSTOMER', 1, 0, '', 0, 0),
    ('HANDED_OVER', 'Handed over', 'CUSTOMER', 1, 0, '', 0, 0);

alter table awaits_role
  add column if not exists by_value boolean not null default false comment 'open while anything stands on its account, whatever its quantity';
insert ignore into awaits_role values ('CONSIGNED_SOLD', 'OWED_FOR_CONSIGNED', -1, true);
alter table awaited add index if not exists awaited_open_value (what, open_value, party_id);

create table if not exists agreement_line (
  paper_id bigint not null references paper (id),
  line int not null,
  party_id bigint not null references party (id),
  date date not null comment 'from this day on it is agreed so',
  item_id bigint null references item (id),
  group_id bigint null comment 'null, as the item: everything' references item_group (id),
  each_cost decimal(18,6) null comment 'for one base unit; null: a share',
  percent decimal(7,4) null comment 'of the price, theirs; null: a cost for each',
  least decimal(18,6) null comment 'for one base unit, whatever the share comes to',
  discounts varchar(8) not null comment 'who bears what comes off a price: BOTH, OURS, THEIRS',
  loss_ours boolean not null comment 'whether we bear what is lost here',
  primary key (paper_id, line),
  index agreement_by_party (party_id, date),
  index agreement_by_item (item_id)
);

alter table lot add column if not exists price decimal(18,6) null comment 'of this piece alone, for one base unit';

alter table quantity_move add index if not exists move_by_place_alone (place_id, item_id, date);

-- As before; also the names of places at them, and of theirs here, in the lines of papers.
delimiter //
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
    update paper_version v
      join (select distinct m.paper_id, p.name from quantity_move m
        join place p on p.id = m.place_id and (p.owner_id = whom or p.host_id = whom)) t
        on t.paper_id = v.paper_id
      set v.text = regexp_replace(v.text, '"(place|into)":"([^"]*, of |At )[^"]*"',
        concat('"\\1":"', replace(t.name, '\\', ''), '"'));
  end if;
end //
delimiter ;
