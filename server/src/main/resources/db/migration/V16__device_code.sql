-- What pairs devices with one run, as long as that run goes on, and on whose account they count.
create table device_code (
    run_id uuid primary key references run (id) on delete cascade,
    code varchar(12) not null,
    until_ms bigint not null,
    account_id uuid not null
);
create unique index device_code_code on device_code (code);
