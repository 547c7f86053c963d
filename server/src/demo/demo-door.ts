import type { Person, Seat } from '../context/context.ts';
import type { OpenHouse } from '../context/enter.ts';
import type { Scope } from '../context/scope.ts';
import type { Db } from '../db/pool.ts';
import { bandIds } from '../db/whole-house.ts';
import type { DemoDoor } from '../people/people-deps.ts';
import { DEMO_LEADER } from './seed-demo.ts';

interface PlayerRow {
  readonly id: string;
  readonly name: string;
  readonly plays: string;
  readonly account_id: string;
}

/** Opens the database for a scope; the house itself comes later than its door. */
type Opens = (scope: Scope) => Db;

/** The players of the demo's first band whom one can be. */
async function players(as: Opens): Promise<readonly PlayerRow[]> {
  const [bandId] = await bandIds(as({}));
  if (bandId === undefined) return [];
  const { rows } = await as({ band: bandId }).query<PlayerRow>(
    `select id, name, instrument as plays, account_id from member
      where band_id = $1 and account_id is not null and role <> 'guest' order by created_at, name`,
    [bandId],
  );
  return rows;
}

/** The demo's door: one can be any of its players. */
export function demoDoor(as: Opens): DemoDoor {
  return {
    players: async () => (await players(as)).map(({ id, name, plays }) => ({ memberId: id, name, plays })),
    accountOf: async (memberId) => (await players(as)).find(({ id }) => id === memberId)?.account_id,
  };
}

/** Whoever comes to the demo without having said who they are is its leader. */
export function demoHouse(as: Opens): NonNullable<OpenHouse> {
  return async (bandId) => {
    const person = await leaderOf(as);
    if (person === null) return null;
    return { person, seat: bandId === null ? null : await seatOf(as, person.accountId, bandId) };
  };
}

async function leaderOf(as: Opens): Promise<Person | null> {
  const all = await players(as);
  const leader = all.find(({ name }) => name === DEMO_LEADER) ?? all[0];
  return leader === undefined ? null : { accountId: leader.account_id, name: leader.name, deviceId: null };
}

async function seatOf(as: Opens, account: string, bandId: string): Promise<Seat | null> {
  const { rows } = await as({ band: bandId }).query<{ id: string; name: string; role: 'leader' | 'member' }>(
    "select id, name, role from member where band_id = $1 and account_id = $2 and role <> 'guest'",
    [bandId, account],
  );
  const mine = rows[0];
  return mine === undefined ? null : { bandId, role: mine.role, memberId: mine.id, name: mine.name, guestSet: null };
}
