-- What waits on the Day page is counted from indexes alone.
create or replace index open_by_due on open_item (open, due, party_id);
create or replace index tax_by_return on tax_entry (return_id, date, account_id, side, rate, base, tax);
create index item_to_complete on item (to_complete);
create index item_reordered on item (reorder_point);
