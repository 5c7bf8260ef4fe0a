-- Suppliers or customers that turned out to be one: the name of the one leads to the other.
alter table party
  add column merged_into bigint null comment 'whose name this is too' references party (id);
-- Items too: the code and name of one that is no longer used lead to the other.
alter table item
  add column merged_into bigint null comment 'which it is, while it is not in use' references item (id);
