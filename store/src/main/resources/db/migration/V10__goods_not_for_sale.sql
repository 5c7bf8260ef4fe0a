-- Goods at some places are ours but not free to be sold, as those that came back damaged.
alter table place add column for_sale boolean not null default true
  comment 'whether goods there count as free';
insert ignore into place (name, for_sale) values ('Damaged goods', false);
