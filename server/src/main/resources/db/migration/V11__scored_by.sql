-- By what a result was scored where that was another measure than its rung's: it compares only with its like.
alter table attempt add column scored_by varchar(1000);
update ladder_record set for_day = null;
