-- Journals by hand on control accounts that no check has seen yet, one row for each time one is posted or voided.
create table if not exists by_hand_unchecked (
  id bigint primary key auto_increment,
  paper_id bigint not null references paper (id)
);
