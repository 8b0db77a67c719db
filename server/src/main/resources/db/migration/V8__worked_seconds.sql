-- How long a round was really worked beside what it was to last, and the longest row in it. Until now a round was kept at the length that was asked.
alter table attempt add column asked_sec integer;
update attempt set asked_sec = work_sec;
alter table attempt add column in_a_row integer;
-- A rung that was chosen in a run is kept beside where a pupil stands, and moves nobody.
alter table attempt add column chosen boolean default false not null;
update ladder_record set for_day = null;
