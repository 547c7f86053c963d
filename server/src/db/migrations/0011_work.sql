-- Up Migration

-- work that is done meanwhile: any worker may take it up, any server may tell of it
create table job (
  band_id uuid not null references band (id) on delete cascade,
  id uuid not null default gen_random_uuid(),
  kind text not null,
  wish jsonb not null,
  -- a file that was brought in
  input bytea,
  state text not null default 'waiting' check (state in ('waiting', 'working', 'done', 'failed', 'stopped')),
  done integer not null default 0,
  total integer not null default 0,
  says text not null default '',
  made jsonb,
  -- of a file that was read: what is shown of it, and all of it
  preview text,
  result text,
  file_name text,
  file_type text,
  file bytea,
  -- the player who asked
  member_id uuid,
  member_name text,
  tries integer not null default 0,
  made_at timestamptz not null default clock_timestamp(),
  -- a worker says again and again that it is still at it
  beat_at timestamptz,
  ended_at timestamptz,
  primary key (band_id, id)
);
create index job_open on job (made_at) where state in ('waiting', 'working');
create index job_ended on job (ended_at) where ended_at is not null;

-- Down Migration

drop table job;
