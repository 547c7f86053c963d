-- Up Migration

-- every answer and every time through an item; none is ever changed
create table practice_pass (
  band_id uuid not null,
  member_id uuid not null,
  -- given where it was played: sent twice it is kept once
  id uuid not null,
  at timestamptz not null,
  received_at timestamptz not null default now(),
  study text not null,
  what text not null,
  key_name text not null,
  -- where within the item; for an answer, what was right
  stage text not null,
  tempo real,
  answered_ms integer,
  outcome text not null,
  said text not null,
  hidden boolean not null,
  seconds real not null,
  night integer,
  primary key (band_id, member_id, id),
  foreign key (band_id, member_id) references member (band_id, id) on delete cascade
);

create index practice_pass_by_time on practice_pass (band_id, member_id, at desc, id desc);
-- for the log: few rows of many
create index practice_pass_seams on practice_pass (band_id, member_id, key_name, what) where study = 'chain';
create index practice_pass_mistaken on practice_pass (band_id, member_id, stage, said)
  where what in ('degree-quality', 'ear-quality') and outcome = 'wrong' and said <> '';

create table practice_session (
  band_id uuid not null,
  member_id uuid not null,
  id uuid not null,
  at timestamptz not null,
  minutes real not null,
  note text not null,
  -- taken out of the log; it can be brought back
  gone boolean not null default false,
  primary key (band_id, member_id, id),
  foreign key (band_id, member_id) references member (band_id, id) on delete cascade
);

create index practice_session_by_time on practice_session (band_id, member_id, at desc);

-- Down Migration

drop table practice_session;
drop table practice_pass;
