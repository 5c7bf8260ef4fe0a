-- Links by which somebody sets a new password once; of a link only its digest is kept.
create table password_link (
  digest char(64) primary key,
  user_id bigint not null,
  made_by varchar(60) not null,
  until datetime(3) not null,
  foreign key (user_id) references app_user (id)
);
