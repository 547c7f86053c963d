import type { House } from '../context/enter.ts';
import { listMembers } from '../member/member-store.ts';
import { allPasses } from '../practice/pass-store.ts';
import { listSessions, readSettings } from '../practice/session-store.ts';
import { listDevices, listSeats, readPerson } from './account-store.ts';

/** Everything that is kept about one person: the account, its devices, and in each band their reading and practice. */
export async function exportAccount(house: Pick<House, 'as'>, accountId: string): Promise<object> {
  const db = house.as({ account: accountId });
  const bands = [];
  for (const seat of await listSeats(db, accountId)) {
    const inBand = house.as({ account: accountId, band: seat.id, guestSet: seat.guestSet ?? undefined });
    const player = { bandId: seat.id, memberId: seat.memberId };
    bands.push({
      band: seat.name,
      role: seat.role,
      player: (await listMembers(inBand, seat.id)).find(({ id }) => id === seat.memberId) ?? { name: seat.playerName },
      practice: {
        settings: await readSettings(inBand, player),
        sessions: await listSessions(inBand, player),
        passes: await allPasses(inBand, player),
      },
    });
  }
  return { account: await readPerson(db, accountId), devices: await listDevices(db, accountId, null), bands };
}
