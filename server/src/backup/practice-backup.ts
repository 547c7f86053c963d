import type { BandBackup } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';
import { addPasses, allPasses } from '../practice/pass-store.ts';
import { listSessions, readSettings, saveSession, saveSettings } from '../practice/session-store.ts';

type Practice = BandBackup['practice'];

/** What everybody in the band practised; players who never did are left out. */
export async function readPractice(db: Queryable, bandId: string, memberIds: readonly string[]): Promise<Practice> {
  const practice: Practice = [];
  for (const memberId of memberIds) {
    const player = { bandId, memberId };
    const settings = await readSettings(db, player);
    const passes = [...(await allPasses(db, player))];
    const sessions = [...(await listSessions(db, player))];
    if (passes.length > 0 || sessions.length > 0 || settings.programme !== null) practice.push({ memberId, settings, passes, sessions });
  }
  return practice;
}

/** Puts practice back, under the ids its players are restored under; that of players who are not in the backup is left out. */
export async function restorePractice(
  db: Queryable,
  bandId: string,
  practice: Practice,
  members: ReadonlyMap<string, string>,
  now: Date,
): Promise<void> {
  for (const { memberId, settings, passes, sessions } of practice) {
    const restored = members.get(memberId);
    if (restored === undefined) continue;
    const player = { bandId, memberId: restored };
    await saveSettings(db, player, settings);
    for (let at = 0; at < passes.length; at += PASSES_AT_ONCE) await addPasses(db, player, passes.slice(at, at + PASSES_AT_ONCE), now);
    for (const session of sessions) await saveSession(db, player, session);
  }
}

const PASSES_AT_ONCE = 2000;
