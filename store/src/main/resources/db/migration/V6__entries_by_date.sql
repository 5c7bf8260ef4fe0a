-- What was posted on some days is added up from the index alone.
alter table cost_entry
  drop index entry_by_date,
  add index entry_by_date (posting_date, item_id, account_id, quantity, value);
