-- A deleted lesson can come back for some weeks.
alter table lesson add column gone_at timestamp with time zone;
