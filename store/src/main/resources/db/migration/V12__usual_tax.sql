-- What a line usually bears: by its account, and where nothing else says.
alter table account
  add column tax_rate_id bigint null comment 'what a line on it usually bears' references tax_rate (id);
alter table book
  add column tax_rate_id bigint null comment 'what a line bears where nothing else says' references tax_rate (id);
