-- What opens the wall face of one run, as long as that run goes on.
alter table run add column wall_code varchar(12);
create unique index run_wall_code on run (wall_code);
