-- What a pad tells beside the score, whether a round was to find out, and what was said of it.
alter table attempt add column trial boolean default false not null;
alter table attempt add column detail text;

create table remark (
    id uuid primary key,
    class_id uuid not null references school_class (id) on delete cascade,
    pupil_id uuid not null references pupil (id) on delete cascade,
    run_id uuid,
    on_day date not null,
    ladder_id varchar(60),
    rung_id varchar(60),
    kind varchar(20) not null,
    note varchar(60) not null
);
create index remark_of_pupil on remark (pupil_id);
create index remark_of_run on remark (run_id);
