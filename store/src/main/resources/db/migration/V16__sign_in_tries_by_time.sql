alter table sign_in_try add index try_by_time (latest);
