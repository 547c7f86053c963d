import type { PracticeLog } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';
import type { Player } from './pass-store.ts';

/** Weeks a picture goes back. */
const WEEKS = 26;

const OWN = 'band_id = $1 and member_id = $2';
const RECENT = `${OWN} and at > $3::timestamptz - interval '${WEEKS} weeks'`;
const GOOD = `outcome in ('clean', 'right')`;
const BAD = `outcome in ('stopped', 'wrong')`;
const WEEK = `to_char(date_trunc('week', at at time zone 'UTC'), 'YYYY-MM-DD')`;
/** Kinds of questions whose answer is a quality. */
const QUALITIES = `('degree-quality', 'ear-quality')`;
const MOST_TEMPOS = 600;
const MOST_MISTAKEN = 100;

/** What a player's passes come to, worked out where they lie. */
export async function readLog(db: Queryable, { bandId, memberId }: Player, now: Date): Promise<PracticeLog> {
  const own = [bandId, memberId];
  const recent = [...own, now];
  const ask = async <Row extends object>(text: string, values: readonly unknown[]): Promise<Row[]> =>
    (await db.query<Row>(text, [...values])).rows;
  const [count] = await ask<{ passes: number }>(`select count(*)::int as passes from practice_pass where ${OWN}`, own);
  const cells = await ask<Omit<PracticeLog['cells'][number], 'lastAt'> & { last_at: Date }>(
    `select key_name as key, study, what, count(*)::int as passes, (count(*) filter (where ${GOOD}))::int as good, max(at) as last_at
       from practice_pass where ${OWN} and key_name <> '' group by key_name, study, what order by key_name, study, what`,
    own,
  );
  const recall = await ask<PracticeLog['recall'][number]>(
    `select what, ${WEEK} as week, count(*)::int as answers, (count(*) filter (where ${GOOD}))::int as right,
            percentile_cont(0.5) within group (order by answered_ms) as "medianMs"
       from practice_pass where ${RECENT} and study = 'recall' group by what, week order by what, week`,
    recent,
  );
  const mistaken = await ask<PracticeLog['mistaken'][number]>(
    `select stage as wanted, said, count(*)::int as times from practice_pass
      where ${OWN} and what in ${QUALITIES} and outcome = 'wrong' and said <> '' group by stage, said order by times desc, stage, said limit ${MOST_MISTAKEN}`,
    own,
  );
  const seams = await ask<PracticeLog['seams'][number]>(
    `select key_name as from, substring(what from 9) as to, count(*)::int as passes, (count(*) filter (where ${BAD}))::int as failed
       from practice_pass where ${OWN} and study = 'chain' and what like 'seam to %' group by key_name, what order by failed desc, key_name`,
    own,
  );
  const tempos = await ask<PracticeLog['tempos'][number]>(
    `select study || '/' || what || '/' || key_name as item, to_char(at at time zone 'UTC', 'YYYY-MM-DD') as day, max(tempo) as tempo
       from practice_pass where ${RECENT} and tempo is not null and outcome = 'clean' group by item, day order by day desc, item limit ${MOST_TEMPOS}`,
    recent,
  );
  const weeks = await ask<PracticeLog['weeks'][number]>(
    `select ${WEEK} as week, round((sum(seconds) / 60)::numeric, 1)::float as minutes, count(*)::int as passes
       from practice_pass where ${RECENT} group by week order by week`,
    recent,
  );
  return {
    passes: count?.passes ?? 0,
    cells: cells.map(({ last_at, ...cell }) => ({ ...cell, lastAt: last_at.toISOString() })),
    recall,
    mistaken,
    seams,
    tempos,
    weeks,
  };
}
