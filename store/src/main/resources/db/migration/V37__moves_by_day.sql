-- What moved in some days is added up from here alone.
alter table quantity_move add index move_added_up (date, item_id, place_id, quantity);
