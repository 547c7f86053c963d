import { oneQuality } from '@aurora/core';
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
/** Ways of saying that are looked at, and mistakes that are told. */
const MOST_SAID = 1000;
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
      where ${OWN} and what in ${QUALITIES} and outcome = 'wrong' and said <> '' group by stage, said order by times desc, stage, said limit ${MOST_SAID}`,
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
  // a session counts as long as it lasted; of what was played outside of one, the playing
  const weeks = ask<PracticeLog['weeks'][number]>(
    `with session as (select at, minutes from practice_session where ${RECENT} and not gone),
          within as (select range_agg(tstzrange(at, at + (minutes + 1) * interval '1 minute')) as times from session)
     select ${WRITTEN} as week, round(sum(minutes)::numeric, 1)::float as minutes, sum(passes)::int as passes from (
       select ${WEEK} as week, minutes::float as minutes, 0 as passes from session
       union all
       select ${WEEK}, case when at <@ coalesce(times, '{}') then 0 else seconds / 60 end, 1 from practice_pass, within where ${RECENT}
     ) counted group by week order by counted.week`,
    recent,
  );
  // asked together: each has a connection of its own
  const [counted, ...others] = await Promise.all([cells, recall, mistaken, seams, tempos, weeks]);
  const [told, taken, joints, clean, minutes] = others;
  return {
    passes: counted.reduce((sum, { passes }) => sum + passes, 0),
    cells: counted.filter(({ key }) => key !== '').map(({ last_at, ...cell }) => ({ ...cell, lastAt: last_at.toISOString() })),
    recall: told,
    mistaken: byOneName(taken),
    seams: joints,
    tempos: clean,
    weeks: withEmptyWeeks(minutes, now),
  };
}

type Mistaken = PracticeLog['mistaken'];

/** Mistakes by the qualities meant, however each was said. */
function byOneName(mistaken: Mistaken): Mistaken {
  const counted = new Map<string, Mistaken[number]>();
  for (const { wanted, said, times } of mistaken) {
    const [one, other] = [oneQuality(wanted), oneQuality(said)];
    const before = counted.get(`${one} ${other}`)?.times ?? 0;
    counted.set(`${one} ${other}`, { wanted: one, said: other, times: before + times });
  }
  return [...counted.values()].sort((a, b) => b.times - a.times).slice(0, MOST_MISTAKEN);
}

const WEEK_MS = 7 * 24 * 60 * 60_000;

/** Every week from the first one to this one: those without practice too. */
function withEmptyWeeks(weeks: PracticeLog['weeks'], now: Date): PracticeLog['weeks'] {
  const first = weeks[0];
  if (first === undefined) return [];
  const known = new Map(weeks.map((one) => [one.week, one]));
  const all: PracticeLog['weeks'] = [];
  for (let at = Date.parse(first.week); at <= now.getTime(); at += WEEK_MS) {
    const week = new Date(at).toISOString().slice(0, 10);
    all.push(known.get(week) ?? { week, minutes: 0, passes: 0 });
  }
  return all;
}
