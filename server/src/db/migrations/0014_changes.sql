-- Up Migration

-- what changed in a band, by name and revision: told to every server as it happens, and kept for a day for whoever was away
create table change (
  band_id uuid not null,
  seq bigint generated always as identity,
  kind text not null,
  -- the song, set, piece, player or work; null for what there is one of
  id uuid,
  revision integer,
  at timestamptz not null default clock_timestamp(),
  primary key (band_id, seq)
);
create index change_by_time on change (at);
alter table change enable row level security, force row level security;
create policy of_the_band on change using (band_id = aurora_band());
-- a guest hears of the one set and its songs
create policy guest_change on change as restrictive using (aurora_guest_set() is null
  or (kind = 'set' and id = aurora_guest_set())
  or (kind = 'song' and exists (
    select 1 from set_entry where set_entry.band_id = change.band_id and set_entry.song_id = change.id and set_entry.set_id = aurora_guest_set())));

-- notes what happened to a row, of the kind the trigger names, and tells every server when it is kept
create function aurora_changed() returns trigger
  language plpgsql security definer set search_path = public, pg_temp as $$
declare
  row record;
  which uuid;
  now_at integer;
  noted bigint;
begin
  if tg_op = 'DELETE' then row := old; else row := new; end if;
  if tg_argv[0] = 'swap' then which := row.song_id;
  elsif tg_argv[0] = 'preference' then which := row.member_id;
  else which := row.id;
  end if;
  if tg_op <> 'DELETE' and tg_argv[0] in ('song', 'set', 'piece') then now_at := row.revision; end if;
  insert into change (band_id, kind, id, revision) values (row.band_id, tg_argv[0], which, now_at) returning seq into noted;
  perform pg_notify('aurora_change', json_build_object('band', row.band_id, 'seq', noted, 'kind', tg_argv[0], 'id', which, 'revision', now_at)::text);
  return null;
end $$;

-- what is only worked out anew by newer rules is no change
create trigger song_made after insert or delete on song for each row execute function aurora_changed('song');
create trigger song_changed after update on song for each row
  when ((old.revision, old.tags, old.archived_at) is distinct from (new.revision, new.tags, new.archived_at))
  execute function aurora_changed('song');
create trigger set_changed after insert or update or delete on set_list for each row execute function aurora_changed('set');
create trigger piece_changed after insert or update or delete on piece for each row execute function aurora_changed('piece');
create trigger member_changed after insert or update or delete on member for each row execute function aurora_changed('member');
create trigger preference_changed after insert or update or delete on preference for each row execute function aurora_changed('preference');
create trigger swap_changed after insert or update or delete on chord_swap for each row execute function aurora_changed('swap');
-- a worker says again and again that it is still at it: that is no change
create trigger job_made after insert on job for each row execute function aurora_changed('job');
create trigger job_changed after update on job for each row
  when ((old.state, old.done, old.total, old.says) is distinct from (new.state, new.done, new.total, new.says))
  execute function aurora_changed('job');

-- changes are kept for a day, and the last of each band, so that whoever comes after longer sees that there were others
create function aurora_forget_changes() returns void
  language sql volatile security definer set search_path = public, pg_temp as $$
  delete from change
   where at < now() - interval '1 day'
     and (exists (select 1 from change later where later.band_id = change.band_id and later.seq > change.seq)
          or not exists (select 1 from band where band.id = change.band_id))
$$;

revoke execute on all functions in schema public from public;

-- Down Migration

drop trigger job_changed on job;
drop trigger job_made on job;
drop trigger swap_changed on chord_swap;
drop trigger preference_changed on preference;
drop trigger member_changed on member;
drop trigger piece_changed on piece;
drop trigger set_changed on set_list;
drop trigger song_changed on song;
drop trigger song_made on song;
drop function aurora_forget_changes, aurora_changed;
drop table change;
