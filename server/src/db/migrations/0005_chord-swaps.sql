-- Up Migration

-- another chord that one player plays where the chart has this one
create table chord_swap (
  band_id uuid not null,
  song_id uuid not null,
  member_id uuid not null,
  -- the chart's number, and the stretch of the chart (its keys counted from 0) it stands in
  chord text not null,
  stretch integer not null,
  instead text not null,
  -- whoever would rather hear the chord as written; empty while nobody minds
  refused_by text not null default '',
  primary key (song_id, member_id, stretch, chord),
  foreign key (band_id, song_id) references song (band_id, id) on delete cascade,
  foreign key (band_id, member_id) references member (band_id, id) on delete cascade
);

-- Down Migration

drop table chord_swap;
