-- Up Migration

-- a piece with every note written, as its file came, and what the players say of its harmony
create table piece (
  band_id uuid not null references band (id) on delete cascade,
  id uuid not null default gen_random_uuid(),
  title text not null,
  by_line text not null,
  format text not null,
  source bytea not null,
  rhythm text not null,
  -- versioned: what is decided against or beside the rules
  said jsonb not null,
  -- the chart that was made of it
  song_id uuid,
  revision integer not null default 1,
  saved_at timestamptz not null default now(),
  primary key (band_id, id),
  foreign key (band_id, song_id) references song (band_id, id) on delete set null (song_id)
);

create index piece_by_time on piece (band_id, saved_at desc, id);

-- Down Migration

drop table piece;
