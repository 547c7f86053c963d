import type { PassesTaken, PracticePass } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';

/** Whose practice it is. */
export interface Player {
  readonly bandId: string;
  readonly memberId: string;
}

/** Clocks of devices are a little apart; what is further ahead is a clock that is wrong. */
const MOST_AHEAD_MS = 5 * 60_000;

/**
 * Keeps passes, each once however often it is sent. A pass from the future is kept as played now, and said.
 * Undefined when the band has no such player.
 */
export async function addPasses(
  db: Queryable,
  { bandId, memberId }: Player,
  passes: readonly PracticePass[],
  now: Date,
): Promise<PassesTaken | undefined> {
  const known = await db.query('select 1 from member where band_id = $1 and id = $2', [bandId, memberId]);
  if (known.rows.length === 0) return undefined;
  const rows = passes.map((pass) => {
    const [study, what, key] = pass.item.split('/');
    const at = Date.parse(pass.at) - now.getTime() > MOST_AHEAD_MS ? now.toISOString() : pass.at;
    return { ...pass, study, what, key, at };
  });
  const { rowCount } = await db.query(
    `insert into practice_pass (band_id, member_id, id, at, study, what, key_name, stage, tempo, answered_ms, outcome, said, hidden, seconds, night)
     select $1, $2, given.id, given.at, given.study, given.what, given.key, given.stage, given.tempo, given."answeredMs", given.outcome, given.said,
            given.hidden, given.seconds, given.night
       from jsonb_to_recordset($3::jsonb) as given
            (id uuid, at timestamptz, study text, what text, key text, stage text, tempo real, "answeredMs" int, outcome text, said text, hidden boolean, seconds real, night int)
     on conflict do nothing`,
    [bandId, memberId, JSON.stringify(rows)],
  );
  const stored = rowCount ?? 0;
  const remarks = aheadRemarks(passes.map(({ at }) => Date.parse(at) - now.getTime()));
  return { stored, known: passes.length - stored, remarks: [...remarks] };
}

/** What is said of a clock that is ahead, from how far each pass lies after now in milliseconds; nothing where none does. */
export function aheadRemarks(afterNow: readonly number[]): readonly string[] {
  const ms = afterNow.reduce((most, one) => Math.max(most, one), 0);
  if (ms <= MOST_AHEAD_MS) return [];
  const minutes = Math.round(ms / 60_000);
  const long =
    minutes < 120 ? `${minutes} minutes` : minutes < 48 * 60 ? `${Math.round(minutes / 60)} hours` : `${Math.round(minutes / 1440)} days`;
  return [`The clock of this device is ${long} ahead: what it says was played later than now is kept as played now.`];
}

interface PassRow {
  readonly id: string;
  readonly at: Date;
  readonly study: string;
  readonly what: string;
  readonly key_name: string;
  readonly stage: string;
  readonly tempo: number | null;
  readonly answered_ms: number | null;
  readonly outcome: PracticePass['outcome'];
  readonly said: string;
  readonly hidden: boolean;
  readonly seconds: number;
  readonly night: number | null;
  /** The time to the microsecond: pages begin behind it. */
  readonly exact: string;
}

const COLUMNS = 'id, at, at::text as exact, study, what, key_name, stage, tempo, answered_ms, outcome, said, hidden, seconds, night';

function passOf({
  id,
  at,
  study,
  what,
  key_name,
  stage,
  tempo,
  answered_ms,
  outcome,
  said,
  hidden,
  seconds,
  night,
}: PassRow): PracticePass {
  const item = `${study}/${what}/${key_name}`;
  return { id, at: at.toISOString(), item, stage, tempo, answeredMs: answered_ms, outcome, said, hidden, seconds, night };
}

/** A page of passes, the newest first. Pages begin behind a pass, so that one played meanwhile shifts nothing. */
export async function listPasses(
  db: Queryable,
  { bandId, memberId }: Player,
  { after, limit }: { readonly after?: string | undefined; readonly limit: number },
): Promise<{ readonly passes: readonly PracticePass[]; readonly next: string | null }> {
  const place = after === undefined ? null : readPlace(after);
  const { rows } = await db.query<PassRow>(
    `select ${COLUMNS} from practice_pass
      where band_id = $1 and member_id = $2 and ($3::timestamptz is null or (at, id) < ($3::timestamptz, $4::uuid))
      order by at desc, id desc limit $5`,
    [bandId, memberId, place?.at ?? null, place?.id ?? null, limit + 1],
  );
  const page = rows.slice(0, limit);
  const last = page.at(-1);
  return { passes: page.map(passOf), next: rows.length > limit && last !== undefined ? writePlace(last) : null };
}

function writePlace({ exact, id }: PassRow): string {
  return Buffer.from(JSON.stringify([exact, id])).toString('base64url');
}

const TIME = /^\d{4}-\d\d-\d\d [\d:.]{8,15}[+-]\d\d(:\d\d)?$/;
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

function readPlace(text: string): { readonly at: string; readonly id: string } {
  const [at, id] = parsed(text);
  if (typeof at === 'string' && typeof id === 'string' && TIME.test(at) && UUID.test(id)) return { at, id };
  throw new HttpFault('invalid', 'after: this is no place in the list; take the one a page ends with.');
}

function parsed(text: string): readonly unknown[] {
  try {
    const value: unknown = JSON.parse(Buffer.from(text, 'base64url').toString('utf8'));
    return Array.isArray(value) ? value : [];
  } catch {
    return [];
  }
}

/** Every pass of a player, the oldest first: for a backup, a plan, a table. */
export async function allPasses(db: Queryable, { bandId, memberId }: Player): Promise<readonly PracticePass[]> {
  const { rows } = await db.query<PassRow>(`select ${COLUMNS} from practice_pass where band_id = $1 and member_id = $2 order by at, id`, [
    bandId,
    memberId,
  ]);
  return rows.map(passOf);
}
