-- The shares that hold single rungs in a class, where its teacher says another than the rung's gate gives.
alter table readiness add column of_rungs varchar(60000);
