-- Two pupils who are better apart in groups and pairs, or belong together: the teacher's own, shown to nobody else.
create table company (
    id uuid primary key,
    class_id uuid not null references school_class (id) on delete cascade,
    one_pupil_id uuid not null references pupil (id) on delete cascade,
    other_pupil_id uuid not null references pupil (id) on delete cascade,
    apart boolean not null
);
create index company_of on company (class_id);
