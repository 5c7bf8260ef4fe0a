-- A code from a device of one's own, asked for after the password.
create table second_step (
  user_id bigint primary key references app_user (id),
  secret varbinary(64) not null,
  last_step bigint not null comment 'of half a minute; a code is good once'
);
create table spare_code (
  user_id bigint not null references app_user (id),
  digest char(64) not null comment 'of the code, which is kept nowhere',
  primary key (user_id, digest)
);
create table second_step_role (
  role varchar(12) primary key comment 'of whom it is demanded'
);
