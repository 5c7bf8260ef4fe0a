-- Cost centres: branches, departments, projects. Off until there is one.

create table centre (
  id bigint primary key auto_increment,
  name varchar(80) not null unique,
  parent_id bigint null references centre (id),
  active boolean not null default true
);

alter table place add column centre_id bigint null comment 'bears what is sold and lost there' references centre (id);
alter table item_group add column centre_id bigint null comment 'bears what its items earn and cost' references centre (id);
alter table app_user add column centre_id bigint null comment 'stands in the head of papers that are begun by them' references centre (id);

alter table paper_line add column centre_id bigint null references centre (id);
alter table cost_event add column centre_id bigint not null default 0;
alter table journal_line add column centre_id bigint not null default 0 comment 'zero for none';
