-- Deliveries: goods that are sent before they are invoiced stand at cost until they are.

alter table fulfilment
  add column account_id bigint null comment 'where a difference of cost that came later went';

-- Which account what is awaited adds up to, and on which side.
create table awaits_role (
  what varchar(16) primary key,
  role varchar(24) not null,
  sign int not null comment '1: debit, -1: credit',
  index awaits_by_role (role)
);
insert into awaits_role values
  ('RECEIVED_BILL', 'RECEIVED_NOT_BILLED', -1),
  ('BILLED_GOODS', 'BILLED_NOT_RECEIVED', 1),
  ('SENT_INVOICE', 'SENT_NOT_INVOICED', 1),
  ('INVOICED_GOODS', 'BILLED_AHEAD', -1);
