-- A ledger of many years is added up from its months and the days of one: those are read from an
-- index alone. Account by account it is read in its order, with its balance, from an index alone, too.
create index if not exists line_added_up on journal_line (date, account_id, item_id, amount);
create index if not exists line_of_account on journal_line (account_id, date, id, amount);
drop index if exists line_by_account on journal_line;
