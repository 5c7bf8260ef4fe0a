-- A line with several events, as one with serial numbers has, told them apart by counting in
-- millions within the line's number. The part is a column of its own now. Where two events of one
-- paper stand to each other stays as it was: parts first, then lines.
-- Each statement may be run again: an upgrade that is cut off goes on where it was.

alter table cost_event
  add column if not exists part int not null default 0 comment 'of the line, from zero' after line;
update cost_event set part = line div 1000000, line = line mod 1000000 where line >= 1000000;
alter table cost_event
  modify column line int not null,
  drop index if exists event_in_order,
  add index event_in_order (item_id, date, sequence, part, line);

alter table quantity_move
  add column if not exists part int not null default 0 comment 'of the line, from zero' after line;
update quantity_move set part = line div 1000000, line = line mod 1000000 where line >= 1000000;
alter table quantity_move modify column line int not null;

alter table cost_pool add column if not exists last_part int not null default 0 after last_line;
update cost_pool set last_part = last_line div 1000000, last_line = last_line mod 1000000
  where last_line >= 1000000;
alter table cost_pool modify column last_line int not null;

alter table cost_checkpoint add column if not exists part int not null default 0 after line;
alter table cost_checkpoint
  drop primary key,
  add primary key (item_id, date, sequence, part, line);
update cost_checkpoint set part = line div 1000000, line = line mod 1000000 where line >= 1000000;
alter table cost_checkpoint modify column line int not null;
