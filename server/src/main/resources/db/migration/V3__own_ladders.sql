-- A ladder of the school's own, kept as its file has it: docs/formats.md, in JSON.
create table own_ladder (
    id varchar(60) primary key,
    body text not null,
    retired boolean not null,
    version bigint not null
);
