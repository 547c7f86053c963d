-- Up Migration

-- how far each chord stands from home, and the rounds of chords the song is made of; both are worked
-- out at each save, null for songs saved before there were any
alter table song add column ridge real[];
alter table song add column rounds text[];

create index song_rounds on song using gin (rounds);

-- Down Migration

drop index song_rounds;
alter table song drop column rounds;
alter table song drop column ridge;
