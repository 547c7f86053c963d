import { randomUUID } from 'node:crypto';
import type { BandSeat, Device, Me } from '@aurora/wire';
import type { House } from '../context/enter.ts';
import { DEVICE_DAYS } from '../context/session-cookie.ts';
import { newToken, tokenHash } from '../context/token.ts';
import type { Db } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import { hashLike } from './password.ts';

/** A fortnight to change one's mind. */
export const FORTNIGHT = "interval '14 days'";

/** Makes an account and answers its id. */
export async function addAccount(house: Pick<House, 'as'>, name: string): Promise<string> {
  const id = randomUUID();
  await house.as({ account: id }).query('insert into account (id, name) values ($1, $2)', [id, name]);
  return id;
}

const MOST_DEVICES = 30;

/** Signs an account in on a device; answers what the device shows from now on. */
export async function addDevice(house: Pick<House, 'as'>, account: string, name: string): Promise<string> {
  const token = newToken();
  const db = house.as({ account });
  await db.transaction(async (client) => {
    await client.query(
      `insert into device (account_id, name, token_hash, expires_at) values ($1, $2, $3, now() + interval '${DEVICE_DAYS} days')`,
      [account, name, tokenHash(token)],
    );
    // whoever signs in again and again leaves old devices behind
    await client.query(
      `delete from device where account_id = $1 and id not in (select id from device where account_id = $1 order by created_at desc limit ${MOST_DEVICES})`,
      [account],
    );
  });
  return token;
}

/** The devices an account is signed in on, the newest first. */
export async function listDevices(db: Db, account: string, here: string | null): Promise<readonly Device[]> {
  const { rows } = await db.query<{ id: string; name: string; created_at: Date; seen_at: Date }>(
    'select id, name, created_at, seen_at from device where account_id = $1 and expires_at > now() order by created_at desc, id',
    [account],
  );
  return rows.map(({ id, name, created_at, seen_at }) => ({
    id,
    name,
    madeAt: created_at.toISOString(),
    seenAt: seen_at.toISOString(),
    isThis: id === here,
  }));
}

/** Signs one device out. Answers whether it was signed in. */
export async function removeDevice(db: Db, account: string, deviceId: string): Promise<boolean> {
  const { rowCount } = await db.query('delete from device where account_id = $1 and id = $2', [account, deviceId]);
  return rowCount === 1;
}

/** Who an account is. */
export async function readPerson(db: Db, account: string): Promise<Me['person']> {
  const { rows } = await db.query<{ id: string; name: string; email: string | null; has: boolean; leaves_at: Date | null }>(
    'select id, name, email, aurora_has_password() as has, leaves_at from account where id = $1',
    [account],
  );
  const row = rows[0];
  if (row === undefined) return null;
  return { id: row.id, name: row.name, email: row.email, hasPassword: row.has, leavesAt: row.leaves_at?.toISOString() ?? null };
}

/** Where an account plays, in the order it came in. */
export async function listSeats(db: Db, account: string): Promise<readonly BandSeat[]> {
  const { rows } = await db.query<{
    id: string;
    name: string;
    role: BandSeat['role'];
    member_id: string;
    player: string;
    guest_set: string | null;
    leaves_at: Date | null;
  }>(
    `select band.id, band.name, member.role, member.id as member_id, member.name as player, member.guest_set, band.leaves_at
       from member join band on band.id = member.band_id
      where member.account_id = $1 and (member.guest_until is null or member.guest_until > now())
      order by band.created_at, band.id`,
    [account],
  );
  return rows.map(({ id, name, role, member_id, player, guest_set, leaves_at }) => ({
    id,
    name,
    role,
    memberId: member_id,
    playerName: player,
    guestSet: guest_set,
    leavesAt: leaves_at?.toISOString() ?? null,
  }));
}

/** What of an account is changed; what is left out stays. */
export interface AccountChange {
  readonly name?: string | undefined;
  readonly email?: string | null | undefined;
  readonly passwordHash?: string | null | undefined;
}

/** Changes an account. */
export async function changeAccount(db: Db, account: string, change: AccountChange): Promise<void> {
  const { name, email, passwordHash } = change;
  try {
    await db.transaction(async (client) => {
      await client.query('update account set name = coalesce($2, name), email = case when $3 then $4 else email end where id = $1', [
        account,
        name ?? null,
        email !== undefined,
        email ?? null,
      ]);
      if (passwordHash !== undefined) await client.query('select aurora_set_password($1)', [passwordHash]);
    });
  } catch (error) {
    // two accounts never share an address
    if ((error as { readonly code?: unknown }).code === '23505')
      throw new HttpFault('taken', 'This address belongs to another account.', { cause: error });
    throw error;
  }
}

/** Has an account deleted in a fortnight, or no more. */
export async function setLeaving(db: Db, account: string, leaves: boolean): Promise<void> {
  await db.query(`update account set leaves_at = case when $2 then now() + ${FORTNIGHT} end where id = $1`, [account, leaves]);
}

/** The account an e-mail address belongs to. */
export async function accountByEmail(db: Db, email: string): Promise<string | null> {
  const { rows } = await db.query<{ id: string | null }>('select aurora_account_by_email($1) as id', [email]);
  return rows[0]?.id ?? null;
}

/** The account of an address and its password; null where they do not belong together. */
export async function accountByPassword(db: Db, email: string, password: string): Promise<string | null> {
  const { rows } = await db.query<{ salt: string | null }>('select aurora_password_salt($1) as salt', [email]);
  const hash = await hashLike(rows[0]?.salt ?? null, password);
  const found = await db.query<{ id: string | null }>('select aurora_account_by_password($1, $2) as id', [email, hash]);
  return found.rows[0]?.id ?? null;
}
