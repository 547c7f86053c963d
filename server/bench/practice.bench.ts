// Prints how fast the log of twenty thousand passes is worked out: medians, nothing judged.
import { randomUUID } from 'node:crypto';
import { diceOf, OUTCOMES, QUESTION_KINDS } from '@aurora/core';
import type { PracticePass } from '@aurora/wire';
import { addMember } from '../src/member/member-store.ts';
import { readLog } from '../src/practice/log-store.ts';
import { addPasses, listPasses } from '../src/practice/pass-store.ts';
import { medianMs, withDatabase } from './bench-database.ts';

const PASSES = 20_000;
const AT_ONCE = 2000;
const KEYS = ['C', 'G', 'D', 'A', 'E', 'B', 'F#', 'Db', 'Ab', 'Eb', 'Bb', 'F'];
const MINUTE = 60_000;

const dice = diceOf(20_261_127);
const now = new Date();

function pass(at: number): PracticePass {
  const isAsked = dice.next() < 0.7;
  const key = `${dice.pick(KEYS)} major`;
  return {
    id: randomUUID(),
    at: new Date(now.getTime() - at * 8 * MINUTE).toISOString(),
    item: isAsked ? `recall/${dice.pick(QUESTION_KINDS)}/${key}` : `runs/arpeggios/${key}`,
    stage: dice.pick(['m7', 'maj7', '7']),
    tempo: isAsked ? null : 60 + dice.below(40),
    answeredMs: isAsked ? 1000 + dice.below(8000) : null,
    outcome: dice.pick(OUTCOMES),
    said: dice.pick(['', '7', 'm7']),
    hidden: true,
    seconds: 10,
    night: null,
  };
}

await withDatabase(async (pool, bandId) => {
  const player = { bandId, memberId: (await addMember(pool, bandId, { name: 'Wren', plays: 'guitar' }))?.id ?? '' };
  for (let at = 0; at < PASSES; at += AT_ONCE)
    await addPasses(
      pool,
      player,
      Array.from({ length: AT_ONCE }, (_, place) => pass(at + place)),
      now,
    );
  await pool.query('analyze practice_pass');
  const log = await medianMs(() => readLog(pool, player, now));
  console.log(`the log of ${PASSES.toLocaleString('en')} passes: ${log.toFixed(1)} ms (goal: under 100 ms)`);
  const page = await medianMs(() => listPasses(pool, player, { limit: 200 }));
  console.log(`a page of 200 of ${PASSES.toLocaleString('en')} passes: ${page.toFixed(1)} ms`);
});
