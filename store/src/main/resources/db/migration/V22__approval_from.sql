alter table book add column if not exists approve_from bigint not null default 0
  comment 'minor units: orders that come to less stand without approval';
