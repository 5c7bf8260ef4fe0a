-- Items come in the order of their codes from an index; one that is unique gives no order to a list that goes on by id.
create or replace index item_by_code on item (code, id);
