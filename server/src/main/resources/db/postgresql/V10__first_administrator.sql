-- Until now every teacher changed accounts. From now on an administrator does: to begin with the teacher who has been here longest.
insert into audit (at_ms, account_id, address, kind, about)
select cast(extract(epoch from current_timestamp) * 1000 as bigint), id, null, 'ROLE_CHANGED', cast(id as varchar(40)) || ' ADMINISTRATOR'
from (select id from account where role = 'TEACHER' and active order by ctid fetch first row only) as first_teacher;

update account set role = 'ADMINISTRATOR', version = version + 1
where id in (select account_id from audit where kind = 'ROLE_CHANGED');

-- Whoever is signed in as the teacher signs in anew as what the account is now.
delete from spring_session
where principal_name in (select username from account where role = 'ADMINISTRATOR');
