-- How much of an item a place should have at least, and is filled up to.

create table if not exists item_place (
  item_id bigint not null references item (id),
  place_id bigint not null references place (id),
  least bigint not null comment 'millionths; with less the place is short of it',
  most bigint null comment 'millionths it is filled up to; null: to the least',
  primary key (item_id, place_id),
  index item_place_by_place (place_id, item_id)
);
