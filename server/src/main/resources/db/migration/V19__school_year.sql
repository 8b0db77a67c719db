-- A pupil who left a class keeps the record and can come back.
alter table pupil add column left_on date;

-- Classes that a pupil was in before: their sheets of runs and notes name the pupil, too.
create table pupil_former_class (
    pupil_id uuid not null references pupil (id) on delete cascade,
    class_id uuid not null references school_class (id) on delete cascade,
    primary key (pupil_id, class_id)
);
