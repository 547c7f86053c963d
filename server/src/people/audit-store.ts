import type { AuditEntry } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';

/** What a leader may want to look up later. */
export type Deed =
  | 'invited'
  | 'came in'
  | 'took an invitation back'
  | 'sent a link to'
  | 'took a link back'
  | 'was taken out'
  | 'left'
  | 'changed the role of'
  | 'named the band'
  | 'restored a backup'
  | 'took a backup'
  | 'deleted the set'
  | 'deleted the piece'
  | 'deletes the band'
  | 'keeps the band'
  | 'began the band';

/** Notes a deed; `who` is the name as it was then. */
export async function note(db: Queryable, bandId: string, who: string, what: Deed, about = ''): Promise<void> {
  await db.query('insert into audit (band_id, who, what, about) values ($1, $2, $3, $4)', [bandId, who, what, about]);
}

const PAGE = 100;

/** A page of what happened, the newest first. */
export async function listAudit(
  db: Queryable,
  bandId: string,
  before: string | undefined,
): Promise<{ readonly entries: readonly AuditEntry[]; readonly next: string | null }> {
  const { rows } = await db.query<{ at: Date; who: string; what: string; about: string }>(
    `select at, who, what, about from audit where band_id = $1 and ($2::timestamptz is null or at < $2) order by at desc, id limit $3`,
    [bandId, before ?? null, PAGE + 1],
  );
  const entries = rows.slice(0, PAGE).map(({ at, ...rest }) => ({ at: at.toISOString(), ...rest }));
  return { entries, next: rows.length > PAGE ? (entries.at(-1)?.at ?? null) : null };
}
