-- In which set a fault was seen, or a cue called: rounds before it and after it can be told apart. Older remarks do not say.
alter table remark add column set_number integer;
