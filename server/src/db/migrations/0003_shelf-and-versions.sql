-- Up Migration

create extension if not exists pg_trgm;

-- words the band sorts its songs by, and whether a song is put away
alter table song add column tags text[] not null default '{}';
alter table song add column archived_at timestamptz;

-- the chord changes as one word that is the same in every key; worked out at each save, null for
-- songs saved before there was one
alter table song add column changes text;
alter table song add column search text generated always as (lower(title || ' ' || by_line || ' ' || key_name)) stored;

create index song_search on song using gin (search gin_trgm_ops);
create index song_changes on song using gin (changes gin_trgm_ops);
create index song_tags on song using gin (tags);
create index song_by_title on song (band_id, lower(title), id) where archived_at is null;
create index song_by_saved on song (band_id, saved_at desc, id) where archived_at is null;

drop index song_shelf;

-- Down Migration

create index song_shelf on song (band_id, lower(title), id);

drop index song_by_saved;
drop index song_by_title;
drop index song_tags;
drop index song_changes;
drop index song_search;
alter table song drop column search;
alter table song drop column changes;
alter table song drop column archived_at;
alter table song drop column tags;
