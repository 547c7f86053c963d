-- Up Migration

-- whose rows a transaction may see: set by the server for each, and gone with it
create function aurora_band() returns uuid language sql stable as $$ select nullif(current_setting('aurora.band', true), '')::uuid $$;
create function aurora_account() returns uuid language sql stable as $$ select nullif(current_setting('aurora.account', true), '')::uuid $$;
create function aurora_guest_set() returns uuid language sql stable as $$ select nullif(current_setting('aurora.guest_set', true), '')::uuid $$;
-- the hash of a link or of what a device shows: who knows it may see what it opens
create function aurora_key() returns bytea language sql stable as $$ select decode(nullif(current_setting('aurora.key', true), ''), 'hex') $$;

do $$
declare one text;
begin
  foreach one in array array['member', 'song', 'chart_version', 'preference', 'set_list', 'set_entry', 'chord_swap', 'practice_pass',
                             'practice_session', 'piece', 'invitation', 'audit', 'job'] loop
    execute format('alter table %I enable row level security, force row level security', one);
    execute format('create policy of_the_band on %I using (band_id = aurora_band()) with check (band_id = aurora_band())', one);
  end loop;
  foreach one in array array['band', 'account', 'device', 'one_time_link', 'mail'] loop
    execute format('alter table %I enable row level security, force row level security', one);
  end loop;
end $$;

-- one's own rows in other bands, to list them
create policy own_rows on member for select using (account_id = aurora_account());
create policy own_bands on band for select
  using (id = aurora_band() or exists (select 1 from member where member.band_id = band.id and member.account_id = aurora_account()));
create policy this_band on band for update using (id = aurora_band()) with check (id = aurora_band());
create policy gone_band on band for delete using (id = aurora_band());
create policy new_band on band for insert with check (id = aurora_band());

create policy opened_by_link on invitation for select using (token_hash = aurora_key());

create policy own_account on account using (id = aurora_account()) with check (id = aurora_account());
create policy own_devices on device using (account_id = aurora_account()) with check (account_id = aurora_account());
create policy links on one_time_link using (token_hash = aurora_key()) with check (true);
create policy mailbox on mail using (true) with check (true);

-- a guest reads one set and its songs
create policy guest_set on set_list as restrictive using (aurora_guest_set() is null or id = aurora_guest_set());
create policy guest_entry on set_entry as restrictive using (aurora_guest_set() is null or set_id = aurora_guest_set());
create policy guest_song on song as restrictive using (aurora_guest_set() is null or exists (
  select 1 from set_entry where set_entry.band_id = song.band_id and set_entry.song_id = song.id and set_entry.set_id = aurora_guest_set()));
create policy guest_version on chart_version as restrictive using (aurora_guest_set() is null or exists (
  select 1 from song where song.band_id = chart_version.band_id and song.id = chart_version.song_id and song.revision = chart_version.revision));

-- who shows this, and what they are in that band: the one question asked before anything is known.
-- The token before counts until the new one has been shown.
create function aurora_enter(shown bytea, band uuid)
  returns table (account_id uuid, account_name text, device_id uuid, is_due boolean, is_new boolean, member_id uuid, member_name text,
                 role text, guest_set uuid)
  language sql stable security definer set search_path = public, pg_temp as $$
  select account.id, account.name, device.id, device.rotated_at < now() - interval '1 day',
         device.token_hash = shown and device.token_before is not null, member.id, member.name, member.role, member.guest_set
    from device join account on account.id = device.account_id
    left join member on member.band_id = band and member.account_id = account.id and (member.guest_until is null or member.guest_until > now())
   where (device.token_hash = shown or device.token_before = shown) and device.expires_at > now()
$$;

-- sign-in by address: the account and what its password is compared with
create function aurora_account_by_email(given text) returns table (account_id uuid, account_name text, password_hash text)
  language sql stable security definer set search_path = public, pg_temp as $$
  select id, name, password_hash from account where lower(email) = lower(given)
$$;

-- how many bands and accounts there are: the first start asks
create function aurora_is_empty() returns boolean
  language sql stable security definer set search_path = public, pg_temp as $$ select not exists (select 1 from band) $$;

-- the bands of this house, for the demo's door and for the worker's rounds
create function aurora_bands() returns setof uuid
  language sql stable security definer set search_path = public, pg_temp as $$ select id from band order by created_at, id $$;

-- work that waits, or whose worker has not been heard of
create function aurora_claim_job(silent interval) returns table (band_id uuid, id uuid)
  language sql volatile security definer set search_path = public, pg_temp as $$
  update job set state = 'working', beat_at = clock_timestamp(), tries = tries + 1
   where (job.band_id, job.id) = (
     select one.band_id, one.id from job one
      where one.state = 'waiting' or (one.state = 'working' and one.beat_at < clock_timestamp() - silent)
      order by one.made_at for update skip locked limit 1)
  returning job.band_id, job.id
$$;

-- songs whose outline was made by older rules
create function aurora_outdated_songs(newest integer, at_most integer) returns table (band_id uuid, id uuid)
  language sql stable security definer set search_path = public, pg_temp as $$
  select song.band_id, song.id from song where song.rules < newest order by song.rules, song.band_id, song.id limit at_most
$$;

-- what is done with at last: accounts and bands whose fortnight is over, guests of yesterday, old work, mail and links
create function aurora_sweep() returns void
  language sql volatile security definer set search_path = public, pg_temp as $$
  delete from band where leaves_at < now();
  -- where a band would be left without a leader, whoever has been in it longest leads it
  update member set role = 'leader'
   where (band_id, id) in (
     select distinct on (heir.band_id) heir.band_id, heir.id
       from member heir join account stays on stays.id = heir.account_id
      where heir.role = 'member' and coalesce(stays.leaves_at > now(), true)
        and exists (select 1 from member led join account goes on goes.id = led.account_id
                     where led.band_id = heir.band_id and led.role = 'leader' and goes.leaves_at < now())
        and not exists (select 1 from member led join account other on other.id = led.account_id
                         where led.band_id = heir.band_id and led.role = 'leader' and coalesce(other.leaves_at > now(), true))
      order by heir.band_id, heir.created_at, heir.id);
  delete from account where leaves_at < now();
  delete from member where guest_until < now();
  delete from invitation where expires_at < now() - interval '30 days';
  delete from one_time_link where expires_at < now() - interval '1 day';
  delete from device where expires_at < now();
  -- whom no device, no band and no address leads back to: guests of old, and openings that were refused half way
  delete from account
   where email is null and created_at < now() - interval '1 day'
     and not exists (select 1 from device where device.account_id = account.id)
     and not exists (select 1 from member where member.account_id = account.id);
  delete from job where ended_at < now() - interval '1 day';
  delete from mail where at < now() - interval '30 days';
$$;

-- the saves of a song are thinned: those of the last week stay all, of older days the last of each, and every named one and the newest
create function aurora_thin_versions() returns bigint
  language sql volatile security definer set search_path = public, pg_temp as $$
  with gone as (
    delete from chart_version version using song
     where song.band_id = version.band_id and song.id = version.song_id and version.revision < song.revision
       and version.name is null and version.saved_at < date_trunc('day', now()) - interval '7 days'
       and exists (select 1 from chart_version later
                    where later.band_id = version.band_id and later.song_id = version.song_id and later.revision > version.revision
                      and date_trunc('day', later.saved_at) = date_trunc('day', version.saved_at))
    returning 1)
  select count(*) from gone
$$;

-- which of these ids another band has: a backup comes back under its own ids where they are free
create function aurora_taken_ids(kind text, ids uuid[]) returns setof uuid
  language sql stable security definer set search_path = public, pg_temp as $$
  select id from member where kind = 'member' and id = any (ids) and band_id <> aurora_band()
  union all select id from song where kind = 'song' and id = any (ids) and band_id <> aurora_band()
  union all select id from set_list where kind = 'set_list' and id = any (ids) and band_id <> aurora_band()
$$;

-- how much each band keeps, counted anew
create function aurora_weigh() returns void
  language sql volatile security definer set search_path = public, pg_temp as $$
  update band set bytes = weighed.bytes
    from (select band.id,
                 coalesce((select sum(octet_length(source)) from chart_version where band_id = band.id), 0)
                 + coalesce((select sum(octet_length(source)) from piece where band_id = band.id), 0) as bytes from band) weighed
   where weighed.id = band.id and band.bytes <> weighed.bytes
$$;

-- what is counted for whoever watches the house
create function aurora_counts() returns table (bands bigint, waiting bigint, working bigint, failed bigint)
  language sql stable security definer set search_path = public, pg_temp as $$
  select (select count(*) from band), count(*) filter (where state = 'waiting'), count(*) filter (where state = 'working'),
         count(*) filter (where state = 'failed') from job
$$;

revoke execute on all functions in schema public from public;

-- Down Migration

drop function aurora_weigh, aurora_taken_ids, aurora_counts, aurora_thin_versions, aurora_sweep, aurora_outdated_songs, aurora_claim_job, aurora_bands, aurora_is_empty,
  aurora_account_by_email, aurora_enter;
drop policy guest_version on chart_version;
drop policy guest_song on song;
drop policy guest_entry on set_entry;
drop policy guest_set on set_list;
drop policy mailbox on mail;
drop policy links on one_time_link;
drop policy own_devices on device;
drop policy own_account on account;
drop policy opened_by_link on invitation;
drop policy new_band on band;
drop policy gone_band on band;
drop policy this_band on band;
drop policy own_bands on band;
drop policy own_rows on member;
do $$
declare one text;
begin
  foreach one in array array['member', 'song', 'chart_version', 'preference', 'set_list', 'set_entry', 'chord_swap', 'practice_pass',
                             'practice_session', 'piece', 'invitation', 'audit', 'job'] loop
    execute format('drop policy of_the_band on %I', one);
  end loop;
  foreach one in array array['member', 'song', 'chart_version', 'preference', 'set_list', 'set_entry', 'chord_swap', 'practice_pass',
                             'practice_session', 'piece', 'invitation', 'audit', 'job', 'band', 'account', 'device', 'one_time_link', 'mail'] loop
    execute format('alter table %I disable row level security, no force row level security', one);
  end loop;
end $$;
drop function aurora_key, aurora_guest_set, aurora_account, aurora_band;
grant execute on all functions in schema public to public;
