-- Practice at home: a week for a class, a card for each pupil, and what came back.
create table home_week (
    id uuid primary key,
    class_id uuid not null references school_class (id) on delete cascade,
    first_day date not null,
    practices int not null,
    minutes int not null,
    quiet boolean not null,
    helper boolean not null,
    lesson_id uuid,
    for_pupils text not null,
    made_at timestamp with time zone not null
);
create index home_week_of_class on home_week (class_id);

create table home_card (
    id uuid primary key,
    week_id uuid not null references home_week (id) on delete cascade,
    pupil_id uuid not null references pupil (id) on delete cascade,
    card_number int not null unique,
    secret varchar(32) not null,
    body text not null,
    withdrawn_at timestamp with time zone
);
create unique index home_card_of_pupil on home_card (week_id, pupil_id);
create index home_card_pupil on home_card (pupil_id);

create table home_came (
    id uuid primary key,
    card_id uuid not null references home_card (id) on delete cascade,
    practice int not null,
    numbers varchar(80) not null,
    felt varchar(10),
    on_day date not null,
    came_at timestamp with time zone not null,
    by_paper boolean not null,
    state varchar(10) not null
);
create unique index home_came_once on home_came (card_id, practice, numbers);
