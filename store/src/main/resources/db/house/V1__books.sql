-- The books that one house keeps, and who opens which of them as whom. Who signs in at the house stands in app_user.

create table hosted (
  name varchar(30) not null primary key, -- as it stands in the address
  title varchar(120) not null,
  open boolean not null default true,
  people_most int not null,
  at_once_most int not null,
  megabytes_most int not null,
  made_at datetime(3) not null
);

create table house_key (
  id bigint not null auto_increment primary key,
  person_id bigint not null,
  book varchar(30) not null,
  login varchar(60) not null,
  fits char(64) not null, -- digest of what was kept of the password in the book when the key was made
  unique key key_of_person (person_id, book, login),
  constraint key_person foreign key (person_id) references app_user (id),
  constraint key_book foreign key (book) references hosted (name)
);

create table house_ticket (
  digest char(64) not null primary key,
  book varchar(30) not null,
  login varchar(60) not null,
  until datetime(3) not null,
  key ticket_until (until)
);
