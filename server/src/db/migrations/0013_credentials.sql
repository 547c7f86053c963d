-- Up Migration

-- what passwords are compared with stands where the application's role reads nothing: it may ask what is needed to work out a
-- hash, whether a hash is right, and set its own
create table credential (
  account_id uuid primary key references account (id) on delete cascade,
  password_hash text not null
);
insert into credential (account_id, password_hash) select id, password_hash from account where password_hash is not null;
drop function aurora_account_by_email;
alter table account drop column password_hash;
alter table credential enable row level security, force row level security;

-- the account of an address
create function aurora_account_by_email(given text) returns uuid
  language sql stable security definer set search_path = public, pg_temp as $$
  select id from account where lower(email) = lower(given)
$$;

-- with what a password of this address is hashed: everything of the hash but the hash; null where there is none
create function aurora_password_salt(given text) returns text
  language sql stable security definer set search_path = public, pg_temp as $$
  select regexp_replace(credential.password_hash, '\$[^$]*$', '')
    from account join credential on credential.account_id = account.id where lower(account.email) = lower(given)
$$;

-- the account of an address, where this is its hash: the one place where a hash is compared
create function aurora_account_by_password(given text, hash text) returns uuid
  language sql stable security definer set search_path = public, pg_temp as $$
  select account.id from account join credential on credential.account_id = account.id
   where lower(account.email) = lower(given) and credential.password_hash = hash
$$;

create function aurora_has_password() returns boolean
  language sql stable security definer set search_path = public, pg_temp as $$
  select exists (select 1 from credential where account_id = aurora_account())
$$;

-- sets one's own; null for none
create function aurora_set_password(hash text) returns void
  language sql volatile security definer set search_path = public, pg_temp as $$
  delete from credential where account_id = aurora_account();
  insert into credential (account_id, password_hash) select aurora_account(), hash where hash is not null;
$$;

-- letters that were not sent are written by anybody and read by the mailbox page alone, which speaks for no band and no account
drop policy mailbox on mail;
create policy written on mail for insert with check (true);
create function aurora_mailbox(at_most integer) returns table (id uuid, at timestamptz, recipient text, subject text, body text)
  language sql stable security definer set search_path = public, pg_temp as $$
  select id, at, recipient, subject, body from mail where aurora_band() is null and aurora_account() is null
   order by at desc, id limit at_most
$$;

revoke execute on all functions in schema public from public;

-- Down Migration

drop function aurora_mailbox, aurora_set_password, aurora_has_password, aurora_account_by_password, aurora_password_salt, aurora_account_by_email;
drop policy written on mail;
create policy mailbox on mail using (true) with check (true);
alter table account add column password_hash text;
update account set password_hash = credential.password_hash from credential where credential.account_id = account.id;
drop table credential;
create function aurora_account_by_email(given text) returns table (account_id uuid, account_name text, password_hash text)
  language sql stable security definer set search_path = public, pg_temp as $$
  select id, name, password_hash from account where lower(email) = lower(given)
$$;
revoke execute on all functions in schema public from public;
