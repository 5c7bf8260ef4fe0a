-- Questions that people have built, when they are asked by themselves, and what is sent of it.

create table question (
  id bigint primary key auto_increment,
  owner varchar(60) not null,
  name varchar(120) not null,
  asked text not null comment 'as it stands in an address',
  roles varchar(200) not null default '' comment 'with whom it is shared; empty: with nobody',
  changed_at datetime(3) not null,
  unique (owner, name)
);

create table question_pin (
  login varchar(60) not null,
  question_id bigint not null references question (id) on delete cascade,
  primary key (login, question_id)
);

create table question_schedule (
  id bigint primary key auto_increment,
  question_id bigint not null references question (id) on delete cascade,
  every varchar(10) not null comment 'DAY, WEEK or MONTH',
  on_day tinyint not null comment 'of the week from Monday 1, or of the month; zero for every day',
  at_time time not null,
  form varchar(8) not null comment 'csv, xlsx or pdf',
  sent_to varchar(1000) not null comment 'addresses, a comma between',
  login varchar(60) not null comment 'whose it is, and whose rights it has',
  next_at datetime not null,
  index schedule_by_time (next_at)
);

create table outbox (
  id bigint primary key auto_increment,
  at datetime(3) not null,
  sent_to varchar(1000) not null,
  subject varchar(200) not null,
  words text not null,
  file_name varchar(120) not null,
  file longblob not null,
  login varchar(60) not null,
  state varchar(8) not null comment 'WAITS, SENT or FAILED; where no mail goes out it stays here: KEPT',
  sent_at datetime(3) null,
  fault varchar(400) not null default '',
  index outbox_by_time (at, id),
  index outbox_by_state (state, id)
);

alter table quantity_move add index move_by_date (date, id);
