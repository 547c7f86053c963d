-- Up Migration

-- a chart or a set sent by a link: whoever has it reads, and no account is needed; of the link only the hash is kept
create table sent_chart (
  band_id uuid not null references band (id) on delete cascade,
  id uuid not null default gen_random_uuid(),
  token_hash bytea not null,
  song_id uuid,
  set_id uuid,
  -- the key a song was read in when it was sent; empty for its own
  key_name text not null default '',
  made_by text not null,
  made_at timestamptz not null default now(),
  -- null until it is taken back
  expires_at timestamptz,
  primary key (band_id, id),
  unique (band_id, token_hash),
  foreign key (band_id, song_id) references song (band_id, id) on delete cascade,
  foreign key (band_id, set_id) references set_list (band_id, id) on delete cascade,
  check ((song_id is null) <> (set_id is null))
);

alter table sent_chart enable row level security, force row level security;
create policy of_the_band on sent_chart using (band_id = aurora_band()) with check (band_id = aurora_band());
create policy opened_by_link on sent_chart for select using (token_hash = aurora_key());
create policy no_guest on sent_chart as restrictive using (aurora_guest_set() is null);

-- Down Migration

drop table sent_chart;
