import {
  DEFAULT_READS,
  instrument as instrumentSchema,
  type Member,
  type MemberChange,
  type MemberCreateRequest,
  type MemberReads,
  memberReads,
} from '@aurora/wire';
import type { Db, Queryable } from '../db/pool.ts';
import { stored, upgraded } from '../db/stored-json.ts';

/** Under this name a member's instrument stands among their preferences. */
const INSTRUMENT = 'instrument';

interface MemberRow {
  readonly id: string;
  readonly name: string;
  readonly plays: string;
  readonly reader: unknown;
  readonly instrument: unknown;
  readonly is_in: boolean;
}

const MEMBERS = `
  select member.id, member.name, member.instrument as plays, member.reader, member.account_id is not null as is_in, preference.value as instrument
  from member left join preference on preference.band_id = member.band_id and preference.member_id = member.id and preference.name = $2
  where member.band_id = $1 and member.role <> 'guest'`;

/** The band's members in the order they joined. What is stored and no longer fits counts as never said. */
export async function listMembers(db: Queryable, bandId: string): Promise<readonly Member[]> {
  const { rows } = await db.query<MemberRow>(`${MEMBERS} order by member.created_at, member.name`, [bandId, INSTRUMENT]);
  return rows.map(memberOf);
}

/** A member; undefined when the band has none by that id. */
async function findMember(db: Queryable, bandId: string, memberId: string): Promise<Member | undefined> {
  const { rows } = await db.query<MemberRow>(`${MEMBERS} and member.id = $3`, [bandId, INSTRUMENT, memberId]);
  return rows[0] === undefined ? undefined : memberOf(rows[0]);
}

/** Adds a member. Undefined when there is no such band. */
export async function addMember(db: Queryable, bandId: string, { name, plays, reads }: MemberCreateRequest): Promise<Member | undefined> {
  const { rows } = await db.query<{ id: string }>(
    // clock_timestamp: members added in one transaction keep their order
    `insert into member (band_id, name, instrument, reader, created_at)
     select id, $2, $3, $4, clock_timestamp() from band where id = $1 returning id`,
    [bandId, name, plays, stored({ ...DEFAULT_READS, ...reads })],
  );
  return rows[0] === undefined ? undefined : findMember(db, bandId, rows[0].id);
}

/** Changes what is said of a member; the rest stays. Undefined when the band has no such member. */
export async function changeMember(db: Db, bandId: string, memberId: string, change: MemberChange): Promise<Member | undefined> {
  return db.transaction(async (client) => {
    await client.query('select 1 from member where band_id = $1 and id = $2 for update', [bandId, memberId]);
    const before = await findMember(client, bandId, memberId);
    if (before === undefined) return undefined;
    const after = { ...before, ...withoutUndefined(change), reads: { ...before.reads, ...withoutUndefined(change.reads ?? {}) } };
    await client.query('update member set name = $3, instrument = $4, reader = $5 where band_id = $1 and id = $2', [
      bandId,
      memberId,
      after.name,
      after.plays,
      stored(after.reads),
    ]);
    return findMember(client, bandId, memberId);
  });
}

function withoutUndefined<Given extends object>(given: Given): Given {
  return Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined)) as Given;
}

/** Keeps how a member's instrument is set up. Undefined when the band has no such member. */
export async function saveInstrument(db: Queryable, bandId: string, memberId: string, instrument: object): Promise<Member | undefined> {
  const { rowCount } = await db.query(
    `insert into preference (band_id, member_id, name, value)
     select band_id, id, $3, $4 from member where band_id = $1 and id = $2
     on conflict (band_id, member_id, name) do update set value = excluded.value`,
    [bandId, memberId, INSTRUMENT, stored(instrument)],
  );
  return rowCount === 0 ? undefined : findMember(db, bandId, memberId);
}

function memberOf({ id, name, plays, reader, instrument, is_in: isIn }: MemberRow): Member {
  const read = instrumentSchema.safeParse(upgraded(instrument));
  return { id, name, plays, reads: readsOf(reader), instrument: read.success ? read.data : null, isIn };
}

function readsOf(reader: unknown): MemberReads {
  const found = upgraded(reader);
  const kept: Readonly<Record<string, unknown>> = typeof found === 'object' && found !== null ? { ...found } : {};
  const fitting = Object.entries(memberReads.shape).flatMap(([name, schema]) => {
    const read = schema.safeParse(kept[name]);
    return read.success ? [[name, read.data] as const] : [];
  });
  return { ...DEFAULT_READS, ...Object.fromEntries(fitting) };
}
