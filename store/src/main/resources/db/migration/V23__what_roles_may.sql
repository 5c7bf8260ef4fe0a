-- What the owner lets those do and see who do not do the books; a role that is not here may do all.
create table if not exists role_may (
  role varchar(12) primary key,
  costs boolean not null comment 'sees what goods cost and what is earned',
  ledger boolean not null comment 'sees the ledger',
  any_price boolean not null comment 'sells under the list price by any amount',
  discount decimal(7, 4) not null comment 'percent that may come off the list price',
  under_cost boolean not null,
  over_limit boolean not null,
  changes boolean not null comment 'amends and voids what is posted'
);
-- in a book that is in use nobody loses what he could do; a new one begins carefully
insert ignore into role_may
  select 'COUNTER', used, used, used, if(used, 100, 0), used, used, used
  from (select exists (select 1 from app_user) as used) x;
insert ignore into role_may values ('READER', true, true, false, 0, false, false, false);
