-- What each book takes, as it was seen last, for who keeps the house to see which are near their limits.

alter table hosted
  add column people int not null default 0,
  add column megabytes decimal(12, 1) not null default 0,
  add column seen_at datetime(3) null;
