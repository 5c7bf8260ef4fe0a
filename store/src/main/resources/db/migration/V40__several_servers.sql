-- Several database servers may keep one book. Numbers are handed out with none kept ahead, so that
-- each server knows what another handed out; and one row says which server is written to.
alter sequence item_id nocache;
alter sequence paper_sequence nocache;
alter sequence cost_event_id nocache;
alter sequence journal_id nocache;

create table if not exists writing_server (
  id tinyint not null primary key check (id = 1),
  address varchar(120) not null comment 'host and port; empty while there is one server only',
  since datetime(3) not null
);

insert ignore into writing_server values (1, '', current_timestamp(3));
