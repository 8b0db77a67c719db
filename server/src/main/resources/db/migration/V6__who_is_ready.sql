-- What makes two results comparable, what was corrected and why, where somebody said that a pupil stands, and how a class decides who goes up.
alter table attempt add column distance_m double precision;
alter table attempt add column target varchar(60);
alter table attempt add column with_whom varchar(60);
alter table attempt add column place varchar(10) default 'SCHOOL' not null;
alter table attempt add column confirmed boolean default true not null;
alter table attempt add column struck boolean default false not null;
alter table attempt add column typed boolean default false not null;

create table correction (
    id uuid primary key,
    attempt_id uuid not null,
    class_id uuid not null references school_class (id) on delete cascade,
    pupil_id uuid not null references pupil (id) on delete cascade,
    corrected_at timestamp with time zone not null,
    by_name varchar(80) not null,
    reason varchar(200) not null,
    before_score int not null,
    before_hits int,
    before_misses int,
    after_score int not null,
    after_hits int,
    after_misses int,
    struck boolean not null
);
create index correction_of_attempt on correction (attempt_id);
create index correction_of_pupil on correction (pupil_id);

create table standing (
    id uuid primary key,
    class_id uuid not null references school_class (id) on delete cascade,
    pupil_id uuid not null references pupil (id) on delete cascade,
    ladder_id varchar(60) not null,
    rung_id varchar(60) not null,
    on_day date not null,
    said_at timestamp with time zone not null,
    by_name varchar(80) not null,
    reason varchar(200) not null
);
create index standing_of_pupil on standing (pupil_id);
create index standing_of_class on standing (class_id);

create table readiness (
    class_id uuid primary key references school_class (id) on delete cascade,
    version bigint not null,
    school varchar(20) not null,
    in_a_row int not null,
    of_met int not null,
    of_rounds int not null,
    hold_share double precision not null,
    floor_share double precision not null,
    sure double precision not null,
    min_tries double precision not null,
    half_life_days double precision not null,
    unconfirmed_weight double precision not null
);
