-- Up Migration

create table band (
  id uuid primary key default gen_random_uuid(),
  name text not null,
  created_at timestamptz not null default now()
);

create table member (
  id uuid primary key default gen_random_uuid(),
  band_id uuid not null references band (id) on delete cascade,
  name text not null,
  instrument text not null,
  -- how the member reads: transposition, capo, tuning
  reader jsonb not null default '{}',
  created_at timestamptz not null default now(),
  unique (band_id, id)
);

create table song (
  id uuid primary key default gen_random_uuid(),
  band_id uuid not null references band (id) on delete cascade,
  -- taken from the chart's head at each save, so that the shelf need not read charts
  title text not null,
  by_line text not null,
  key_name text not null,
  tempo numeric,
  bars integer not null,
  -- the first bars as numbers, so that a song is known at sight
  opening text[] not null,
  revision integer not null,
  created_at timestamptz not null default now(),
  saved_at timestamptz not null default now(),
  unique (band_id, id)
);

create index song_shelf on song (band_id, lower(title), id);

-- every save adds a row; none is ever changed or removed
create table chart_version (
  band_id uuid not null,
  song_id uuid not null,
  revision integer not null check (revision >= 1),
  source text not null,
  name text,
  saved_by uuid,
  saved_at timestamptz not null default now(),
  primary key (song_id, revision),
  foreign key (band_id, song_id) references song (band_id, id) on delete cascade,
  foreign key (band_id, saved_by) references member (band_id, id)
);

create table preference (
  band_id uuid not null references band (id) on delete cascade,
  -- null: the band's own
  member_id uuid,
  name text not null,
  value jsonb not null,
  foreign key (band_id, member_id) references member (band_id, id) on delete cascade,
  unique nulls not distinct (band_id, member_id, name)
);

-- Down Migration

drop table preference;
drop table chart_version;
drop table song;
drop table member;
drop table band;
