-- Backups that were read back and checked, as the launcher made them.
create table backup_made (
  id bigint primary key auto_increment,
  made_at datetime not null comment 'of the moment that it holds',
  file varchar(500) not null,
  bytes bigint not null,
  seconds int not null comment 'it took, reading back and checking included',
  index backup_by_time (made_at)
);
