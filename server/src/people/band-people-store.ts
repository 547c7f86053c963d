import type { Seat } from '../context/context.ts';
import type { Db, Queryable } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import { notFound } from '../validate.ts';
import { FORTNIGHT } from './account-store.ts';
import { note } from './audit-store.ts';

const LAST = 'A band has a leader: hand the band over to somebody who is signed in first.';

/** Changes what a player is in the band. There is always a leader somebody has signed in as. */
export async function changeRole(db: Db, seat: Seat, memberId: string, role: 'leader' | 'member'): Promise<void> {
  await db.transaction(async (client) => {
    await inTurn(client, seat.bandId);
    const { rows } = await client.query<{ name: string }>(
      "update member set role = $3 where band_id = $1 and id = $2 and role <> 'guest' returning name",
      [seat.bandId, memberId, role],
    );
    if (rows[0] === undefined) throw notFound('player');
    await requireLeader(client, seat.bandId);
    await note(client, seat.bandId, seat.name, 'changed the role of', `${rows[0].name}: ${role}`);
  });
}

/** Takes a player out: what they made stays the band's. Answers whether there was one. */
export async function takeOut(db: Db, seat: Seat, memberId: string): Promise<boolean> {
  return db.transaction(async (client) => {
    await inTurn(client, seat.bandId);
    const wasLed = await hasLeader(client, seat.bandId);
    const { rows } = await client.query<{ name: string }>('delete from member where band_id = $1 and id = $2 returning name', [
      seat.bandId,
      memberId,
    ]);
    if (rows[0] === undefined) return false;
    if (wasLed) await requireLeader(client, seat.bandId);
    await note(client, seat.bandId, rows[0].name, 'was taken out', `by ${seat.name}`);
    return true;
  });
}

/** Leaves the band: the player stays, as nobody's, with everything they made. */
export async function leave(db: Db, seat: Seat): Promise<void> {
  await db.transaction(async (client) => {
    await inTurn(client, seat.bandId);
    if (seat.role === 'guest') await client.query('delete from member where band_id = $1 and id = $2', [seat.bandId, seat.memberId]);
    else {
      await client.query("update member set account_id = null, role = 'member' where band_id = $1 and id = $2", [
        seat.bandId,
        seat.memberId,
      ]);
      await requireLeader(client, seat.bandId);
    }
    await note(client, seat.bandId, seat.name, 'left');
  });
}

/** Whoever changes who leads does so one after the other. */
async function inTurn(client: Queryable, bandId: string): Promise<void> {
  await client.query('select 1 from band where id = $1 for update', [bandId]);
}

async function hasLeader(client: Queryable, bandId: string): Promise<boolean> {
  const { rowCount } = await client.query("select 1 from member where band_id = $1 and role = 'leader' and account_id is not null", [
    bandId,
  ]);
  return (rowCount ?? 0) > 0;
}

async function requireLeader(client: Queryable, bandId: string): Promise<void> {
  if (!(await hasLeader(client, bandId))) throw new HttpFault('taken', LAST);
}

/** Names the band. */
export async function nameBand(db: Db, seat: Seat, name: string): Promise<void> {
  await db.transaction(async (client) => {
    await client.query('update band set name = $2 where id = $1', [seat.bandId, name]);
    await note(client, seat.bandId, seat.name, 'named the band', name);
  });
}

/** Has the band deleted in a fortnight, or no more. */
export async function setBandLeaving(db: Db, seat: Seat, leaves: boolean): Promise<void> {
  await db.transaction(async (client) => {
    await client.query(`update band set leaves_at = case when $2 then now() + ${FORTNIGHT} end where id = $1`, [seat.bandId, leaves]);
    await note(client, seat.bandId, seat.name, leaves ? 'deletes the band' : 'keeps the band');
  });
}
