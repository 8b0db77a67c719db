-- Where a device of a run was put by hand: a spot, and the block of its station where several are used at once.
create table device_place (
    run_id uuid not null references run (id) on delete cascade,
    device varchar(40) not null,
    spot integer not null,
    station_block integer,
    primary key (run_id, device)
);
