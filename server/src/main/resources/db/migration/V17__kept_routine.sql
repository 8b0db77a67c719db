-- Routines that the school keeps under their names, for any lesson.
create table kept_routine (
    id uuid primary key,
    name varchar(60) not null,
    body text not null,
    version bigint not null
);
create unique index kept_routine_name on kept_routine (name);
