-- Up Migration

create table set_list (
  id uuid primary key default gen_random_uuid(),
  band_id uuid not null references band (id) on delete cascade,
  name text not null,
  place text not null,
  -- a time of day, empty when nobody knows
  starts_at text not null,
  gap_seconds integer not null,
  revision integer not null default 1,
  created_at timestamptz not null default now(),
  saved_at timestamptz not null default now(),
  unique (band_id, id)
);

create table set_entry (
  band_id uuid not null,
  set_id uuid not null,
  place integer not null,
  -- null for a break
  song_id uuid,
  -- tonight's key, capos, tempo and so on, or the break
  entry jsonb not null,
  primary key (set_id, place),
  foreign key (band_id, set_id) references set_list (band_id, id) on delete cascade,
  foreign key (band_id, song_id) references song (band_id, id) on delete cascade
);

-- Down Migration

drop table set_entry;
drop table set_list;
