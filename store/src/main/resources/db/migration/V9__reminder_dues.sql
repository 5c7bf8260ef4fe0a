-- What a reminder asked for on the day it was sent.
create table reminder_due (
  reminder_id bigint not null references reminder (id),
  line int not null,
  number varchar(60) not null,
  date date not null,
  due date not null,
  open bigint not null,
  primary key (reminder_id, line)
);
