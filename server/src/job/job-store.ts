import type { JobState } from '@aurora/wire';
import type { Seat } from '../context/context.ts';
import type { Db, Queryable } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';

/** What work is asked for. */
export type JobKind = 'pack' | 'export' | 'read-file' | 'accept-file';

/** What finished work leaves behind. */
export interface JobResult {
  readonly says: string;
  /** A file to fetch; null when there is none. */
  readonly file: { readonly name: string; readonly type: string; readonly bytes: Uint8Array } | null;
  /** Songs and the set that are there now, where it made some. */
  readonly made?: NonNullable<JobState['made']>;
  /** Of a file that was read: what is shown of it, and all of it, as JSON. */
  readonly read?: { readonly preview: string; readonly whole: string };
}

interface JobWish {
  readonly kind: JobKind;
  readonly wish: unknown;
  readonly input?: Uint8Array;
}

interface StateRow {
  readonly id: string;
  readonly state: JobState['state'] | 'waiting';
  readonly done: number;
  readonly total: number;
  readonly says: string;
  readonly made: JobState['made'];
}

const STATE = 'id, state, done, total, says, made';
const MOST_OPEN = 8;

function stateOf({ state, ...row }: StateRow): JobState {
  // who asked waits in either case
  return { ...row, state: state === 'waiting' ? 'working' : state };
}

/** Puts work down to be taken up. */
export async function startJob(db: Db, seat: Seat, { kind, wish, input }: JobWish): Promise<JobState> {
  return db.transaction(async (client) => {
    const open = await client.query("select 1 from job where band_id = $1 and state in ('waiting', 'working')", [seat.bandId]);
    if ((open.rowCount ?? 0) >= MOST_OPEN)
      throw new HttpFault('too-many', 'The server is at work on a lot for your band already. Wait for some of it, or stop it.');
    const { rows } = await client.query<StateRow>(
      `insert into job (band_id, kind, wish, input, member_id, member_name)
       select id, $2, $3, $4, $5, $6 from band where id = $1 returning ${STATE}`,
      [seat.bandId, kind, JSON.stringify(wish), input === undefined ? null : Buffer.from(input), seat.memberId, seat.name],
    );
    if (rows[0] === undefined) throw new HttpFault('not-found', 'There is no such band here.');
    return stateOf(rows[0]);
  });
}

/** How far work is; undefined when the band has none by that id. */
export async function findJob(db: Queryable, bandId: string, id: string): Promise<JobState | undefined> {
  const { rows } = await db.query<StateRow>(`select ${STATE} from job where band_id = $1 and id = $2`, [bandId, id]);
  return rows[0] === undefined ? undefined : stateOf(rows[0]);
}

/** Stops work that is not at its end; what is done stays done, and says so. */
export async function stopJob(db: Queryable, bandId: string, id: string): Promise<JobState | undefined> {
  await db.query(
    `update job set state = 'stopped', says = 'Stopped.', ended_at = now(), input = null
      where band_id = $1 and id = $2 and state in ('waiting', 'working')`,
    [bandId, id],
  );
  return findJob(db, bandId, id);
}

/** The file that finished work made; undefined when there is none, or not yet. */
export async function findJobFile(db: Queryable, bandId: string, id: string): Promise<JobResult['file'] | undefined> {
  const { rows } = await db.query<{ file_name: string; file_type: string; file: Buffer }>(
    'select file_name, file_type, file from job where band_id = $1 and id = $2 and file is not null',
    [bandId, id],
  );
  return rows[0] === undefined ? undefined : { name: rows[0].file_name, type: rows[0].file_type, bytes: rows[0].file };
}

/** A file that was read, as JSON: what is shown of it, or all of it; undefined when it is not there or not read yet. */
export async function findReadFile(db: Queryable, bandId: string, id: string, part: 'preview' | 'result'): Promise<string | undefined> {
  const { rows } = await db.query<{ text: string }>(
    `select ${part} as text from job where band_id = $1 and id = $2 and kind = 'read-file' and state = 'done'`,
    [bandId, id],
  );
  return rows[0]?.text;
}

/** What a file that was read turned out to be: `songs`, `set` or `backup`; undefined as above. */
export async function findReadKind(db: Queryable, bandId: string, id: string): Promise<string | undefined> {
  const { rows } = await db.query<{ kind: string }>(
    `select preview::json ->> 'kind' as kind from job where band_id = $1 and id = $2 and kind = 'read-file' and state = 'done'`,
    [bandId, id],
  );
  return rows[0]?.kind;
}

/** Work a worker has taken up. */
export interface TakenJob {
  readonly bandId: string;
  readonly id: string;
  readonly kind: JobKind;
  readonly wish: unknown;
  readonly input: Uint8Array | null;
  /** Whose work it is, as they asked. */
  readonly by: { readonly memberId: string | null; readonly name: string };
  /** How often it was taken up: whoever took it up before may not end it any more. */
  readonly tries: number;
}

export async function loadJob(db: Queryable, bandId: string, id: string): Promise<TakenJob | undefined> {
  const { rows } = await db.query<{
    kind: JobKind;
    wish: unknown;
    input: Buffer | null;
    member_id: string | null;
    member_name: string;
    tries: number;
  }>('select kind, wish, input, member_id, member_name, tries from job where band_id = $1 and id = $2', [bandId, id]);
  const row = rows[0];
  if (row === undefined) return undefined;
  const { kind, wish, input, member_id, member_name, tries } = row;
  return { bandId, id, kind, wish, input, by: { memberId: member_id, name: member_name }, tries };
}

/** Says how far work is and that it goes on; false once it was stopped or somebody else has taken it up. */
export async function beat(db: Queryable, { bandId, id, tries }: TakenJob, done: number, total: number): Promise<boolean> {
  const { rowCount } = await db.query(
    "update job set beat_at = clock_timestamp(), done = $4, total = $5 where band_id = $1 and id = $2 and tries = $3 and state = 'working'",
    [bandId, id, tries, done, total],
  );
  return rowCount === 1;
}

/** Ends work; false where it was stopped meanwhile. Within the transaction of what it writes, both happen or neither. */
export async function finishJob(db: Queryable, { bandId, id, tries }: TakenJob, { says, file, made, read }: JobResult): Promise<boolean> {
  const { rowCount } = await db.query(
    `update job set state = 'done', done = total, says = $4, made = $5, file_name = $6, file_type = $7, file = $8, preview = $9, result = $10,
            input = null, ended_at = now()
      where band_id = $1 and id = $2 and tries = $3 and state = 'working'`,
    [
      bandId,
      id,
      tries,
      says,
      made === undefined ? null : JSON.stringify(made),
      file?.name ?? null,
      file?.type ?? null,
      file === null ? null : Buffer.from(file.bytes),
      read?.preview ?? null,
      read?.whole ?? null,
    ],
  );
  return rowCount === 1;
}

export async function failJob(db: Queryable, { bandId, id, tries }: TakenJob, says: string): Promise<void> {
  await db.query(
    `update job set state = 'failed', says = $4, ended_at = now(), input = null
      where band_id = $1 and id = $2 and tries = $3 and state = 'working'`,
    [bandId, id, tries, says],
  );
}
