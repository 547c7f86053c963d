import { instrument as instrumentSchema, type Member } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';

/** Under this name a member's instrument stands among their preferences. */
const INSTRUMENT = 'instrument';

interface MemberRow {
  readonly id: string;
  readonly name: string;
  readonly plays: string;
  readonly instrument: unknown;
}

const MEMBERS = `
  select member.id, member.name, member.instrument as plays, preference.value as instrument
  from member left join preference on preference.band_id = member.band_id and preference.member_id = member.id and preference.name = $2
  where member.band_id = $1`;

/** The band's members in the order they joined. An instrument that no longer fits counts as never set up. */
export async function listMembers(db: Queryable, bandId: string): Promise<readonly Member[]> {
  const { rows } = await db.query<MemberRow>(`${MEMBERS} order by member.created_at, member.name`, [bandId, INSTRUMENT]);
  return rows.map(memberOf);
}

/** Keeps how a member's instrument is set up. Undefined when the band has no such member. */
export async function saveInstrument(db: Queryable, bandId: string, memberId: string, instrument: object): Promise<Member | undefined> {
  const { rowCount } = await db.query(
    `insert into preference (band_id, member_id, name, value)
     select band_id, id, $3, $4 from member where band_id = $1 and id = $2
     on conflict (band_id, member_id, name) do update set value = excluded.value`,
    [bandId, memberId, INSTRUMENT, JSON.stringify(instrument)],
  );
  if (rowCount === 0) return undefined;
  const { rows } = await db.query<MemberRow>(`${MEMBERS} and member.id = $3`, [bandId, INSTRUMENT, memberId]);
  return memberOf(rows[0] as MemberRow);
}

function memberOf({ id, name, plays, instrument }: MemberRow): Member {
  const read = instrumentSchema.safeParse(instrument);
  return { id, name, plays, instrument: read.success ? read.data : null };
}
