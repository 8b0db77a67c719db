-- What is concluded from a pupil's attempts on a ladder, so that a look at a class does not read five years of them. Made of the attempts alone, and
-- made anew where for_day is not today or another build made it: an attempt, a word or a ladder that changes empties it.
create table ladder_record (
    class_id uuid not null references school_class (id) on delete cascade,
    pupil_id uuid not null references pupil (id) on delete cascade,
    ladder_id varchar(60) not null,
    stamp bigint not null,
    for_day date,
    made_by varchar(40),
    brief varchar(1000000),
    whole varchar(1000000),
    primary key (pupil_id, ladder_id)
);
create index ladder_record_of_class on ladder_record (class_id);
create index ladder_record_of_ladder on ladder_record (ladder_id);

insert into ladder_record (class_id, pupil_id, ladder_id, stamp)
select distinct class_id, pupil_id, ladder_id, 0 from attempt
union select distinct class_id, pupil_id, ladder_id, 0 from standing;

drop index attempt_class;
create index attempt_of_class on attempt (class_id, on_day, set_number);
create index attempt_of_class_on_ladder on attempt (class_id, ladder_id, pupil_id);
drop index attempt_pupil;
-- Of one day what was noted last comes first.
alter table attempt add column noted_at timestamp with time zone default current_timestamp not null;
create index attempt_of_pupil on attempt (pupil_id, on_day desc, noted_at desc, set_number desc, id);
create index attempt_days_of_pupil on attempt (pupil_id, struck, on_day);
create index attempt_of_pupil_on_ladder on attempt (pupil_id, ladder_id);
create index attempt_of_ladder on attempt (ladder_id, rung_id);
-- Beside the row, not in a file of its own: a page reads hundreds of them.
alter table attempt alter column detail set data type varchar(1000000);
