-- What lists say of a lesson, so that they read no plans; HeadsOfOldLessons writes it for lessons that are there.
alter table lesson add column head text;
