-- How a person likes a list: its order, and which of its columns are left out.
create table list_choice (
  login varchar(60) not null,
  list varchar(120) not null comment 'its address, with # for numbers in it',
  sort varchar(60) not null default '' comment 'empty for the list''s own',
  hidden varchar(600) not null default '' comment 'keys of columns, apart by commas',
  primary key (login, list)
);
