-- The trail of all that was done is read from its end.
create index audit_by_time on audit (at, id);
