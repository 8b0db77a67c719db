-- What the school's own records have taught about abilities and rungs; the newest version holds, each is kept with what was concluded by it.
create table learnt_skill (
    version int primary key,
    learnt_at timestamp with time zone not null,
    told text not null
);

-- Which share of tries holds a rung: the one that its own gate asks for, or one for all where a class had set its own.
alter table readiness add column standard varchar(20) default 'OWN_GATE' not null;
update readiness set standard = 'ONE_FOR_ALL' where abs(hold_share - 0.8) > 0.001;
alter table ladder_record alter column made_by set data type varchar(60);
