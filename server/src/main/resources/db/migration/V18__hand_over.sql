-- A lesson handed to somebody else for a day.
create table hand_over (
    id uuid primary key,
    lesson_id uuid not null references lesson (id) on delete cascade,
    account_id uuid not null references account (id),
    on_day date not null,
    constraint hand_over_once unique (lesson_id, account_id, on_day)
);
create index hand_over_of on hand_over (account_id, on_day);
