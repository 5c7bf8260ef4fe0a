-- What was sold in some days is added up from indexes alone.
create or replace index line_of_account on journal_line
  (account_id, date, id, amount, item_id, worked, journal_id);
create or replace index entry_by_date on cost_entry
  (posting_date, item_id, value, quantity, event_id);
