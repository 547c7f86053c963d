-- Up Migration

-- songs that were begun and never written: no bars, no name, saved by nobody since; a day is enough to come back to one
create function aurora_forget_begun_songs() returns void
  language sql volatile security definer set search_path = public, pg_temp as $$
  delete from song
   where bars = 0 and title = '' and tags = '{}' and revision = 1 and saved_at < now() - interval '1 day'
     and not exists (select 1 from set_entry where set_entry.band_id = song.band_id and set_entry.song_id = song.id)
$$;

revoke execute on all functions in schema public from public;

-- Down Migration

drop function aurora_forget_begun_songs;
