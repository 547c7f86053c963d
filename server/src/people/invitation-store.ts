import { randomUUID } from 'node:crypto';
import { DEFAULT_READS, type InvitationLook, type InvitationRequest, type People } from '@aurora/wire';
import { bandName } from '../band/band-store.ts';
import type { Seat } from '../context/context.ts';
import type { House } from '../context/enter.ts';
import { bandOfToken, bandToken, tokenHash } from '../context/token.ts';
import type { Db, Queryable } from '../db/pool.ts';
import { stored } from '../db/stored-json.ts';
import { HttpFault } from '../http-fault.ts';
import { notFound } from '../validate.ts';
import { note } from './audit-store.ts';

const DAYS = 14;

/** Noon of the day after, where the server stands: by then an evening is over. */
export function nextNoon(now: Date): Date {
  const noon = new Date(now);
  noon.setDate(noon.getDate() + 1);
  noon.setHours(12, 0, 0, 0);
  return noon;
}

/** Invites a player of the band, or a guest; the link's content is answered, and only its hash kept. */
export async function invite(
  db: Db,
  seat: Seat,
  wish: InvitationRequest,
  now: Date,
): Promise<{ id: string; token: string; expiresAt: string }> {
  const token = bandToken(seat.bandId);
  const guest = wish.role === 'guest' ? { set: wish.setId, until: guestUntil(wish.until, now) } : null;
  const expiresAt = guest?.until ?? new Date(now.getTime() + DAYS * 86_400_000);
  return db.transaction(async (client) => {
    const memberId = wish.role === 'guest' ? null : wish.memberId;
    const name = wish.role === 'guest' ? wish.name : await nameOf(client, seat.bandId, wish.memberId);
    if (name === null) throw notFound('player');
    if (guest !== null) await requireSet(client, seat.bandId, guest.set);
    // an older link for the same player opens no more
    await client.query(
      'update invitation set revoked_at = now() where band_id = $1 and member_id = $2 and opened_at is null and revoked_at is null',
      [seat.bandId, memberId],
    );
    const { rows } = await client.query<{ id: string }>(
      `insert into invitation (band_id, token_hash, role, member_id, guest_set, guest_until, name, made_by, expires_at)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9) returning id`,
      [seat.bandId, tokenHash(token), wish.role, memberId, guest?.set ?? null, guest?.until ?? null, name, seat.name, expiresAt],
    );
    await note(client, seat.bandId, seat.name, 'invited', name);
    return { id: rows[0]?.id as string, token, expiresAt: expiresAt.toISOString() };
  });
}

const MOST_GUEST_DAYS = 7;

function guestUntil(wished: string | undefined, now: Date): Date {
  if (wished === undefined) return nextNoon(now);
  const until = new Date(wished);
  if (until <= now || until.getTime() - now.getTime() > MOST_GUEST_DAYS * 86_400_000) {
    const message = 'a guest stays at least until later today, and a week at most';
    throw new HttpFault('invalid', `until: ${message}`, { errors: [{ message, path: 'until' }] });
  }
  return until;
}

async function nameOf(client: Queryable, bandId: string, memberId: string): Promise<string | null> {
  const { rows } = await client.query<{ name: string }>("select name from member where band_id = $1 and id = $2 and role <> 'guest'", [
    bandId,
    memberId,
  ]);
  return rows[0]?.name ?? null;
}

async function requireSet(client: Queryable, bandId: string, setId: string): Promise<void> {
  const { rowCount } = await client.query('select 1 from set_list where band_id = $1 and id = $2', [bandId, setId]);
  if (rowCount === 0) throw notFound('set');
}

interface InvitationRow {
  readonly id: string;
  readonly role: InvitationLook['role'];
  readonly member_id: string | null;
  readonly guest_set: string | null;
  readonly guest_until: Date | null;
  readonly name: string;
  readonly made_by: string;
}

const OPEN = 'opened_at is null and revoked_at is null and expires_at > now()';
const USED_UP = 'This link is used up, taken back, or too old. Ask the leader of your band for a new one.';

/** The band of a link, and the database with the link shown; refuses what is no link. */
function shown(house: Pick<House, 'as'>, token: string): { readonly bandId: string; readonly hash: Buffer; readonly db: Db } {
  const bandId = bandOfToken(token);
  if (bandId === null) throw new HttpFault('not-found', USED_UP);
  const hash = tokenHash(token);
  return { bandId, hash, db: house.as({ key: hash }) };
}

async function find(db: Queryable, bandId: string, hash: Buffer, lock = ''): Promise<InvitationRow> {
  const { rows } = await db.query<InvitationRow>(
    `select id, role, member_id, guest_set, guest_until, name, made_by from invitation where band_id = $1 and token_hash = $2 and ${OPEN} ${lock}`,
    [bandId, hash],
  );
  if (rows[0] === undefined) throw new HttpFault('not-found', USED_UP);
  return rows[0];
}

/** What a link would open, before it is opened. */
export async function lookAt(house: Pick<House, 'as'>, token: string): Promise<InvitationLook> {
  const { bandId, hash, db } = shown(house, token);
  const found = await find(db, bandId, hash);
  const inBand = house.as({ band: bandId });
  const set = await inBand.query<{ name: string }>('select name from set_list where band_id = $1 and id = $2', [bandId, found.guest_set]);
  return {
    band: (await bandName(inBand, bandId)) ?? '',
    name: found.name,
    role: found.role,
    set: set.rows[0]?.name ?? null,
    madeBy: found.made_by,
    until: found.guest_until?.toISOString() ?? null,
  };
}

/**
 * Opens a link: the player it is for becomes this account's, and the link opens no more. Where somebody else
 * was signed in as that player, they are no longer. Answers the account.
 */
export async function openInvitation(
  house: Pick<House, 'as'>,
  token: string,
  accountFor: (name: string) => Promise<string>,
): Promise<string> {
  const { bandId, hash, db } = shown(house, token);
  // before an account is made for it
  const { name } = await find(db, bandId, hash);
  const accountId = await accountFor(name);
  await house.as({ band: bandId, account: accountId }).transaction(async (client) => {
    const found = await find(client, bandId, hash, 'for update');
    const already = await client.query<{ id: string; role: string }>('select id, role from member where band_id = $1 and account_id = $2', [
      bandId,
      accountId,
    ]);
    const mine = already.rows[0];
    // a guest of last week may come in as a guest, or as a player, again
    if (mine?.role === 'guest') await client.query('delete from member where band_id = $1 and id = $2', [bandId, mine.id]);
    else if (mine !== undefined && mine.id !== found.member_id)
      throw new HttpFault('taken', 'You play in this band already. Sign out on this device to open the link as somebody else.');
    if (found.role === 'guest')
      await client.query(
        `insert into member (band_id, id, name, instrument, reader, account_id, role, guest_set, guest_until)
         values ($1, $2, $3, '', $4, $5, 'guest', $6, $7)`,
        [bandId, randomUUID(), found.name, stored(DEFAULT_READS), accountId, found.guest_set, found.guest_until],
      );
    else
      await client.query(
        // nobody loses the lead by opening a link
        "update member set account_id = $3, role = case when role = 'leader' then role else $4 end where band_id = $1 and id = $2",
        [bandId, found.member_id, accountId, found.role],
      );
    await client.query('update invitation set opened_at = now() where band_id = $1 and id = $2', [bandId, found.id]);
    await note(client, bandId, found.name, 'came in', found.role);
  });
  return accountId;
}

/** Takes a link back. Answers whether it was open. */
export async function revoke(db: Db, seat: Seat, id: string): Promise<boolean> {
  return db.transaction(async (client) => {
    const { rows } = await client.query<{ name: string }>(
      `update invitation set revoked_at = now() where band_id = $1 and id = $2 and ${OPEN} returning name`,
      [seat.bandId, id],
    );
    if (rows[0] !== undefined) await note(client, seat.bandId, seat.name, 'took an invitation back', rows[0].name);
    return rows[0] !== undefined;
  });
}

/** Who is in the band, and who is invited; links are shown to the leader alone. */
export async function listPeople(db: Db, seat: Seat): Promise<People> {
  const people = await db.query<{ id: string; name: string; role: InvitationLook['role']; is_in: boolean; guest_until: Date | null }>(
    `select id, name, role, account_id is not null as is_in, guest_until from member
      where band_id = $1 and (guest_until is null or guest_until > now()) order by created_at, name`,
    [seat.bandId],
  );
  const invitations =
    seat.role === 'leader'
      ? await db.query<InvitationRow & { made_at: Date; expires_at: Date }>(
          `select id, role, member_id, name, made_by, made_at, expires_at from invitation where band_id = $1 and ${OPEN} order by made_at`,
          [seat.bandId],
        )
      : { rows: [] };
  return {
    people: people.rows.map(({ id, name, role, is_in, guest_until }) => ({
      memberId: id,
      name,
      role,
      isIn: is_in,
      isYou: id === seat.memberId,
      guestUntil: guest_until?.toISOString() ?? null,
    })),
    invitations: invitations.rows.map(({ id, member_id, name, role, made_by, made_at, expires_at }) => ({
      id,
      memberId: member_id,
      name,
      role,
      madeBy: made_by,
      madeAt: made_at.toISOString(),
      expiresAt: expires_at.toISOString(),
    })),
  };
}
