-- Up Migration

-- every key holds the band, so that a band's rows lie together and could live on a server of their own
alter table chart_version drop constraint chart_version_band_id_song_id_fkey, drop constraint chart_version_band_id_saved_by_fkey;
alter table preference drop constraint preference_band_id_member_id_fkey;
alter table set_entry drop constraint set_entry_band_id_set_id_fkey, drop constraint set_entry_band_id_song_id_fkey;
alter table chord_swap drop constraint chord_swap_band_id_song_id_fkey, drop constraint chord_swap_band_id_member_id_fkey;
alter table practice_pass drop constraint practice_pass_band_id_member_id_fkey;
alter table practice_session drop constraint practice_session_band_id_member_id_fkey;
alter table piece drop constraint piece_band_id_song_id_fkey;

alter table member drop constraint member_pkey, drop constraint member_band_id_id_key, add primary key (band_id, id);
alter table song drop constraint song_pkey, drop constraint song_band_id_id_key, add primary key (band_id, id);
alter table set_list drop constraint set_list_pkey, drop constraint set_list_band_id_id_key, add primary key (band_id, id);
alter table chart_version drop constraint chart_version_pkey, add primary key (band_id, song_id, revision);
alter table set_entry drop constraint set_entry_pkey, add primary key (band_id, set_id, place);
alter table chord_swap drop constraint chord_swap_pkey, add primary key (band_id, song_id, member_id, stretch, chord);

alter table chart_version
  add foreign key (band_id, song_id) references song (band_id, id) on delete cascade,
  add foreign key (band_id, saved_by) references member (band_id, id) on delete set null (saved_by);
alter table preference add foreign key (band_id, member_id) references member (band_id, id) on delete cascade;
alter table set_entry
  add foreign key (band_id, set_id) references set_list (band_id, id) on delete cascade,
  add foreign key (band_id, song_id) references song (band_id, id) on delete cascade;
alter table chord_swap
  add foreign key (band_id, song_id) references song (band_id, id) on delete cascade,
  add foreign key (band_id, member_id) references member (band_id, id) on delete cascade;
alter table practice_pass add foreign key (band_id, member_id) references member (band_id, id) on delete cascade;
alter table practice_session add foreign key (band_id, member_id) references member (band_id, id) on delete cascade;
alter table piece add foreign key (band_id, song_id) references song (band_id, id) on delete set null (song_id);

-- what a foreign key looks for when a row it points at goes
create index chart_version_saved_by on chart_version (band_id, saved_by) where saved_by is not null;
create index set_entry_song on set_entry (band_id, song_id) where song_id is not null;
create index chord_swap_member on chord_swap (band_id, member_id);
create index piece_song on piece (band_id, song_id) where song_id is not null;

-- by id alone, whichever band has it
create index member_id on member (id);
create index song_id on song (id);
create index set_list_id on set_list (id);

-- who saved: the player, and their name as it was, which stays when they leave
alter table chart_version add column saved_name text;
alter table set_list add column saved_by uuid, add column saved_name text,
  add foreign key (band_id, saved_by) references member (band_id, id) on delete set null (saved_by);
update chart_version set saved_name = member.name from member where member.band_id = chart_version.band_id and member.id = saved_by;

-- the shelf in each of its orders, forwards
drop index song_by_saved;
create index song_by_saved on song (band_id, saved_at desc, id desc) where archived_at is null;
create index song_by_key on song (band_id, key_name, id) where archived_at is null;
create index song_by_tempo on song (band_id, coalesce(tempo, 1000), id) where archived_at is null;
create index song_put_away on song (band_id, lower(title), id) where archived_at is not null;

-- what is worked out of a chart carries the version of the rules that made it; older ones are worked out anew meanwhile
alter table song add column rules integer not null default 0;
create index song_by_rules on song (rules, band_id, id);

-- Down Migration

drop index song_by_rules;
alter table song drop column rules;
drop index song_put_away;
drop index song_by_tempo;
drop index song_by_key;
drop index song_by_saved;
create index song_by_saved on song (band_id, saved_at desc, id) where archived_at is null;
alter table set_list drop column saved_by, drop column saved_name;
alter table chart_version drop column saved_name;
drop index set_list_id;
drop index song_id;
drop index member_id;
drop index piece_song;
drop index chord_swap_member;
drop index set_entry_song;
drop index chart_version_saved_by;
alter table piece drop constraint piece_band_id_song_id_fkey;
alter table practice_session drop constraint practice_session_band_id_member_id_fkey;
alter table practice_pass drop constraint practice_pass_band_id_member_id_fkey;
alter table chord_swap drop constraint chord_swap_band_id_song_id_fkey, drop constraint chord_swap_band_id_member_id_fkey;
alter table set_entry drop constraint set_entry_band_id_set_id_fkey, drop constraint set_entry_band_id_song_id_fkey;
alter table preference drop constraint preference_band_id_member_id_fkey;
alter table chart_version drop constraint chart_version_band_id_song_id_fkey, drop constraint chart_version_band_id_saved_by_fkey;
alter table chord_swap drop constraint chord_swap_pkey, add primary key (song_id, member_id, stretch, chord);
alter table set_entry drop constraint set_entry_pkey, add primary key (set_id, place);
alter table chart_version drop constraint chart_version_pkey, add primary key (song_id, revision);
alter table set_list drop constraint set_list_pkey, add primary key (id), add unique (band_id, id);
alter table song drop constraint song_pkey, add primary key (id), add unique (band_id, id);
alter table member drop constraint member_pkey, add primary key (id), add unique (band_id, id);
alter table chart_version
  add foreign key (band_id, song_id) references song (band_id, id) on delete cascade,
  add foreign key (band_id, saved_by) references member (band_id, id);
alter table preference add foreign key (band_id, member_id) references member (band_id, id) on delete cascade;
alter table set_entry
  add foreign key (band_id, set_id) references set_list (band_id, id) on delete cascade,
  add foreign key (band_id, song_id) references song (band_id, id) on delete cascade;
alter table chord_swap
  add foreign key (band_id, song_id) references song (band_id, id) on delete cascade,
  add foreign key (band_id, member_id) references member (band_id, id) on delete cascade;
alter table practice_pass add foreign key (band_id, member_id) references member (band_id, id) on delete cascade;
alter table practice_session add foreign key (band_id, member_id) references member (band_id, id) on delete cascade;
alter table piece add foreign key (band_id, song_id) references song (band_id, id) on delete set null (song_id);
