-- Up Migration

-- a person, in however many bands
create table account (
  id uuid primary key default gen_random_uuid(),
  name text not null,
  -- only for a lost phone, and to sign in with a password
  email text,
  password_hash text,
  created_at timestamptz not null default now(),
  -- the person wants it gone; it goes a fortnight later
  leaves_at timestamptz
);
create unique index account_email on account (lower(email));

-- a device somebody is signed in on; of what it shows only the hash is kept
create table device (
  id uuid primary key default gen_random_uuid(),
  account_id uuid not null references account (id) on delete cascade,
  name text not null,
  token_hash bytea not null,
  -- the one before it: it counts until the new one has been shown once
  token_before bytea,
  rotated_at timestamptz not null default now(),
  created_at timestamptz not null default now(),
  seen_at timestamptz not null default now(),
  expires_at timestamptz not null
);
create unique index device_token on device (token_hash);
create unique index device_token_before on device (token_before);
create index device_account on device (account_id);

-- a link sent to a mailbox, or printed where the first server starts; it opens once
create table one_time_link (
  id uuid primary key default gen_random_uuid(),
  token_hash bytea not null,
  purpose text not null check (purpose in ('first-band', 'sign-in', 'email')),
  account_id uuid references account (id) on delete cascade,
  email text,
  expires_at timestamptz not null,
  used_at timestamptz
);
create unique index one_time_link_token on one_time_link (token_hash);

alter table member
  add column account_id uuid references account (id) on delete set null,
  add column role text not null default 'member' check (role in ('leader', 'member', 'guest')),
  -- of a guest: the one set that may be read, and until when
  add column guest_set uuid,
  add column guest_until timestamptz,
  add foreign key (band_id, guest_set) references set_list (band_id, id) on delete cascade,
  add check ((role = 'guest') = (guest_set is not null and guest_until is not null));
create unique index member_account on member (band_id, account_id);
create index member_by_account on member (account_id);

alter table band
  add column leaves_at timestamptz,
  -- of charts and files, added up as they are saved and counted anew each night
  add column bytes bigint not null default 0;

-- a personal way in; of the link only the hash is kept
create table invitation (
  band_id uuid not null references band (id) on delete cascade,
  id uuid not null default gen_random_uuid(),
  token_hash bytea not null,
  role text not null check (role in ('leader', 'member', 'guest')),
  -- whose row it becomes; null for a guest, who gets a row of their own
  member_id uuid,
  guest_set uuid,
  guest_until timestamptz,
  name text not null,
  made_by text not null,
  made_at timestamptz not null default now(),
  expires_at timestamptz not null,
  opened_at timestamptz,
  revoked_at timestamptz,
  primary key (band_id, id),
  unique (band_id, token_hash),
  foreign key (band_id, member_id) references member (band_id, id) on delete cascade,
  foreign key (band_id, guest_set) references set_list (band_id, id) on delete cascade
);

-- what happened in the band that its leader may want to look up; nothing here is changed
create table audit (
  band_id uuid not null references band (id) on delete cascade,
  id uuid not null default gen_random_uuid(),
  at timestamptz not null default clock_timestamp(),
  who text not null,
  what text not null,
  about text not null,
  primary key (band_id, id)
);
create index audit_by_time on audit (band_id, at desc, id desc);

-- what would have been sent, where no mail server is named
create table mail (
  id uuid primary key default gen_random_uuid(),
  at timestamptz not null default now(),
  recipient text not null,
  subject text not null,
  body text not null
);
create index mail_by_time on mail (at desc, id);

-- Down Migration

drop table mail;
drop table audit;
drop table invitation;
alter table band drop column bytes, drop column leaves_at;
alter table member drop column guest_until, drop column guest_set, drop column role, drop column account_id;
drop table one_time_link;
drop table device;
drop table account;
