-- Plain SQL that H2 and PostgreSQL both take.
create table account (
    id uuid primary key,
    username varchar(40) not null unique,
    display_name varchar(60) not null,
    password_hash varchar(200) not null,
    role varchar(10) not null
);

create table school_class (
    id uuid primary key,
    name varchar(40) not null,
    teacher_id uuid not null references account (id),
    version bigint not null
);

create table class_helper (
    class_id uuid not null references school_class (id) on delete cascade,
    account_id uuid not null references account (id) on delete cascade,
    primary key (class_id, account_id)
);

create table pupil (
    id uuid primary key,
    class_id uuid not null references school_class (id) on delete cascade,
    place integer not null,
    first_name varchar(40) not null,
    initial varchar(1) not null,
    birth_year integer,
    strong_hand varchar(5) not null,
    shoe_cm integer,
    reach_cm integer,
    adaptation varchar(120)
);
create index pupil_class on pupil (class_id, place);

create table space (
    id uuid primary key,
    name varchar(40) not null,
    surface varchar(30) not null,
    length_m double precision not null,
    width_m double precision not null,
    ceiling_m double precision,
    wall_run_m double precision,
    wall_depth_m double precision,
    version bigint not null
);

create table lesson (
    id uuid primary key,
    class_id uuid not null references school_class (id) on delete cascade,
    space_id uuid not null references space (id),
    name varchar(80) not null,
    on_day date not null,
    plan text not null,
    version bigint not null
);
create index lesson_class on lesson (class_id, on_day);

-- A run outlives its lesson, hence no reference to it.
create table run (
    id uuid primary key,
    lesson_id uuid not null,
    class_id uuid not null references school_class (id) on delete cascade,
    on_day date not null,
    finished boolean not null,
    sheet text not null
);
create index run_class on run (class_id, finished);
create index run_lesson on run (lesson_id, finished);

create table run_event (
    id uuid primary key,
    run_id uuid not null references run (id) on delete cascade,
    account_id uuid not null,
    body varchar(1000) not null
);
create index run_event_run on run_event (run_id);

create table attempt (
    id uuid primary key,
    class_id uuid not null references school_class (id) on delete cascade,
    pupil_id uuid not null references pupil (id) on delete cascade,
    run_id uuid references run (id) on delete cascade,
    on_day date not null,
    ladder_id varchar(60) not null,
    rung_id varchar(60) not null,
    modifiers varchar(200) not null,
    side varchar(20) not null,
    set_number integer not null,
    score integer not null,
    hits integer,
    misses integer,
    tries integer,
    work_sec integer,
    ball varchar(80),
    space varchar(40),
    counted_by varchar(10) not null,
    joint_with varchar(300) not null
);
create index attempt_class on attempt (class_id, on_day);
create index attempt_pupil on attempt (pupil_id, on_day);
create index attempt_run on attempt (run_id);

-- Spring Session's own two tables.
create table spring_session (
    primary_id char(36) not null primary key,
    session_id char(36) not null unique,
    creation_time bigint not null,
    last_access_time bigint not null,
    max_inactive_interval int not null,
    expiry_time bigint not null,
    principal_name varchar(100)
);
create index spring_session_expiry on spring_session (expiry_time);
create index spring_session_principal on spring_session (principal_name);

create table spring_session_attributes (
    session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
    attribute_name varchar(200) not null,
    attribute_bytes bytea not null,
    primary key (session_primary_id, attribute_name)
);
