-- what experience suggests for reordering; worked out anew each day it is looked at

create table reorder_advice (
  item_id bigint primary key references item (id),
  made_on date not null,
  weekly decimal(18,2) not null comment 'base units sold in a week',
  spread decimal(18,2) not null,
  lead_days decimal(9,1) not null,
  point bigint not null comment 'millionths',
  quantity bigint not null comment 'millionths',
  reason varchar(400) not null,
  index advice_by_day (made_on)
);
