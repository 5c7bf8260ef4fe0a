-- What is kept about suppliers and customers can be given to them, and taken out again when nothing
-- needs it any more. Papers are kept for some years after the year they are of, as the law has it.

alter table book
  add column if not exists keep_years tinyint not null default 10 comment 'after the end of the year a paper is of';

alter table party
  add column if not exists erased_at datetime(3) null comment 'when what nothing needs of them was taken out',
  add index if not exists party_by_name (name, id);

-- Takes texts about a party out of what the application can only add to, in the rights of the
-- account that migrates: what stood on their card before and after each change; and, once the
-- papers need not be kept any more, their name and delivery address as typed on each version.
-- Figures, dates, numbers, who did it and when stay. Refuses a party that is not marked as erased.
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
        '$.fields.address', '')
      where p.party_id = whom;
  end if;
end //
delimiter ;
