-- The flat lateral pass has a ladder of its own: core's MovedRungs says the same for files.
update attempt set ladder_id = 'lateral-pass-flat', rung_id = 'no-spin' where ladder_id = 'lateral-pass' and rung_id = 'late-school';
update standing set ladder_id = 'lateral-pass-flat', rung_id = 'no-spin' where ladder_id = 'lateral-pass' and rung_id = 'late-school';
update remark set ladder_id = 'lateral-pass-flat', rung_id = 'no-spin' where ladder_id = 'lateral-pass' and rung_id = 'late-school';
update lesson set plan = replace(plan, '"ladderId":"lateral-pass","rungId":"late-school"', '"ladderId":"lateral-pass-flat","rungId":"no-spin"') where plan like '%"late-school"%';
update run set sheet = replace(sheet, '"ladderId":"lateral-pass","rungId":"late-school"', '"ladderId":"lateral-pass-flat","rungId":"no-spin"') where sheet like '%"late-school"%';
update home_card set body = replace(body, '"ladderId":"lateral-pass","rungId":"late-school"', '"ladderId":"lateral-pass-flat","rungId":"no-spin"') where body like '%"late-school"%';
delete from ladder_record where ladder_id = 'lateral-pass';
insert into ladder_record (class_id, pupil_id, ladder_id, stamp)
select distinct class_id, pupil_id, ladder_id, 0 from attempt where ladder_id in ('lateral-pass', 'lateral-pass-flat')
union select distinct class_id, pupil_id, ladder_id, 0 from standing where ladder_id in ('lateral-pass', 'lateral-pass-flat');
