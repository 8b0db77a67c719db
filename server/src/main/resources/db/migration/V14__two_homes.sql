-- Whether somebody lives below, and the other home of a pupil who has two; a card for each.
alter table pupil add column home_quiet boolean;
alter table pupil add column other_home text;
alter table home_card add column home int default 1 not null;
drop index home_card_of_pupil;
create unique index home_card_of_pupil on home_card (week_id, pupil_id, home);

-- A card behind an address that nobody guesses: its hash, and until when.
alter table home_card add column link_hash varchar(64);
alter table home_card add column link_until date;
create unique index home_card_link on home_card (link_hash);
