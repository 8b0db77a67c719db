-- Codes that came back and could not be read, until somebody puts them right or drops them.
create table home_unread (
    id uuid primary key,
    class_id uuid not null references school_class (id) on delete cascade,
    line varchar(40) not null,
    wrong varchar(20) not null,
    came_at timestamp with time zone not null
);
create unique index home_unread_once on home_unread (class_id, line);
