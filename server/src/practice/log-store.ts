import type { PracticeLog } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';
import type { Player } from './pass-store.ts';

/** Weeks a picture goes back. */
const WEEKS = 26;

const OWN = 'band_id = $1 and member_id = $2';
const RECENT = `${OWN} and at > $3::timestamptz - interval '${WEEKS} weeks'`;
const GOOD = `outcome in ('clean', 'right')`;
const BAD = `outcome in ('stopped', 'wrong')`;
/** The Monday of a pass; written out where weeks are counted already, for it is written for every row otherwise. */
const WEEK = `date_trunc('week', at, 'UTC')`;
const WRITTEN = `to_char(week at time zone 'UTC', 'YYYY-MM-DD')`;
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
  const cells = ask<Omit<PracticeLog['cells'][number], 'lastAt'> & { last_at: Date }>(
    `select key_name as key, study, what, count(*)::int as passes, (count(*) filter (where ${GOOD}))::int as good, max(at) as last_at
       from practice_pass where ${OWN} group by key_name, study, what order by key_name, study, what`,
    own,
  );
  const recall = ask<PracticeLog['recall'][number]>(
    `select what, ${WRITTEN} as week, answers, "right", "medianMs" from (
       select what, ${WEEK} as week, count(*)::int as answers, (count(*) filter (where ${GOOD}))::int as "right",
              percentile_cont(0.5) within group (order by answered_ms) as "medianMs"
         from practice_pass where ${RECENT} and study = 'recall' group by what, 2) counted order by what, week`,
    recent,
  );
  const mistaken = ask<PracticeLog['mistaken'][number]>(
    `select stage as wanted, said, count(*)::int as times from practice_pass
      where ${OWN} and what in ${QUALITIES} and outcome = 'wrong' and said <> '' group by stage, said order by times desc, stage, said limit ${MOST_MISTAKEN}`,
    own,
  );
  const seams = ask<PracticeLog['seams'][number]>(
    `select key_name as from, substring(what from 9) as to, count(*)::int as passes, (count(*) filter (where ${BAD}))::int as failed
       from practice_pass where ${OWN} and study = 'chain' and what like 'seam to %' group by key_name, what order by failed desc, key_name`,
    own,
  );
  const tempos = ask<PracticeLog['tempos'][number]>(
    `select study || '/' || what || '/' || key_name as item, to_char(day, 'YYYY-MM-DD') as day, tempo from (
       select study, what, key_name, (at at time zone 'UTC')::date as day, max(tempo) as tempo from practice_pass
        where ${RECENT} and tempo is not null and outcome = 'clean' group by study, what, key_name, 4) counted
      order by counted.day desc, item limit ${MOST_TEMPOS}`,
    recent,
  );
  const weeks = ask<PracticeLog['weeks'][number]>(
    `select ${WRITTEN} as week, round((seconds / 60)::numeric, 1)::float as minutes, passes from (
       select ${WEEK} as week, sum(seconds) as seconds, count(*)::int as passes from practice_pass where ${RECENT} group by 1) counted order by week`,
    recent,
  );
  // asked together: each has a connection of its own
  const [counted, ...others] = await Promise.all([cells, recall, mistaken, seams, tempos, weeks]);
  const [told, taken, joints, clean, minutes] = others;
  return {
    passes: counted.reduce((sum, { passes }) => sum + passes, 0),
    cells: counted.filter(({ key }) => key !== '').map(({ last_at, ...cell }) => ({ ...cell, lastAt: last_at.toISOString() })),
    recall: told,
    mistaken: taken,
    seams: joints,
    tempos: clean,
    weeks: minutes,
  };
}
