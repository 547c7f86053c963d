import { DEFAULT_PRACTICE, type PracticeSession, type PracticeSettings, practiceSettings } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';
import { stored, upgraded } from '../db/stored-json.ts';
import type { Player } from './pass-store.ts';

const MOST_SESSIONS = 400;
/** Under this name a member's settings for practising stand among their preferences. */
const PRACTICE = 'practice';

/** The sessions of a player's log, the newest first. */
export async function listSessions(db: Queryable, { bandId, memberId }: Player): Promise<readonly PracticeSession[]> {
  const { rows } = await db.query<Omit<PracticeSession, 'at'> & { at: Date }>(
    `select id, at, minutes, note, gone from practice_session where band_id = $1 and member_id = $2 and not gone order by at desc, id limit ${MOST_SESSIONS}`,
    [bandId, memberId],
  );
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
}

/** Keeps a session as it is now: a new one, or one whose note was changed, taken out or brought back. Undefined when there is no such player. */
export async function saveSession(
  db: Queryable,
  { bandId, memberId }: Player,
  session: PracticeSession,
): Promise<PracticeSession | undefined> {
  const { id, at, minutes, note, gone } = session;
  const { rowCount } = await db.query(
    `insert into practice_session (band_id, member_id, id, at, minutes, note, gone)
     select band_id, id, $3, $4, $5, $6, $7 from member where band_id = $1 and id = $2
     on conflict (band_id, member_id, id) do update set at = excluded.at, minutes = excluded.minutes, note = excluded.note, gone = excluded.gone`,
    [bandId, memberId, id, at, minutes, note, gone],
  );
  return rowCount === 0 ? undefined : session;
}

/** What a player has set for practising; what is stored and no longer fits counts as never set. */
export async function readSettings(db: Queryable, { bandId, memberId }: Player): Promise<PracticeSettings> {
  const { rows } = await db.query<{ value: unknown }>('select value from preference where band_id = $1 and member_id = $2 and name = $3', [
    bandId,
    memberId,
    PRACTICE,
  ]);
  return practiceSettings.safeParse(upgraded(rows[0]?.value)).data ?? DEFAULT_PRACTICE;
}

/** Undefined when there is no such player. */
export async function saveSettings(
  db: Queryable,
  { bandId, memberId }: Player,
  settings: PracticeSettings,
): Promise<PracticeSettings | undefined> {
  const { rowCount } = await db.query(
    `insert into preference (band_id, member_id, name, value) select band_id, id, $3, $4 from member where band_id = $1 and id = $2
     on conflict (band_id, member_id, name) do update set value = excluded.value`,
    [bandId, memberId, PRACTICE, stored(settings)],
  );
  return rowCount === 0 ? undefined : settings;
}
