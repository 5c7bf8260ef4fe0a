create table sign_in_try (
  what varchar(140) primary key comment 'a name or an address, with its kind before it',
  failures int not null comment 'tries since the last that was right',
  latest datetime(3) not null
);
