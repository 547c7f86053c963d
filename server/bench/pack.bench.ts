// Prints how fast a band's evening is laid out and set: parts for everyone, and capos for a long set. Nothing is judged.
import { planCapo, planSetCapos, readChart, STANDARD_GUITAR } from '@aurora/core';
import { DEFAULT_PREFERENCES, DEFAULT_READS, type Member } from '@aurora/wire';
import { DEMO_SONGS } from '../src/demo/demo-song-table.ts';
import { makePack } from '../src/pack/pack.ts';

const SONGS = 20;
const MEMBERS = 7;
const SET = 40;
const PLAYS = ['voice', 'guitar', 'second guitar', 'bass', 'alto saxophone', 'trumpet', 'drums'];

const songs = Array.from({ length: SONGS }, (_, index) => {
  const reading = readChart(DEMO_SONGS[index % DEMO_SONGS.length] as string);
  return { songId: String(index), reading, tonic: reading.head.key.tonic, capos: {}, tonight: 'Rosa counts in' };
});
const members = Array.from({ length: MEMBERS }, (_, index): Member => {
  const plays = PLAYS[index] as string;
  return {
    id: String(index),
    name: `Player ${index + 1}`,
    plays,
    reads: { ...DEFAULT_READS, transpose: index === 4 ? 9 : 0 },
    instrument: null,
    isIn: false,
  };
});
let steps = 0;
const start = performance.now();
const content = {
  band: 'The Bench',
  title: 'Evening',
  songs,
  swaps: new Map(),
  members,
  naming: DEFAULT_PREFERENCES.naming,
  paper: 'A4',
  set: null,
} as const;
const { file } = await makePack(content, async () => {
  steps += 1;
});
const packing = (performance.now() - start) / 1000;
const kilobytes = Math.round((file?.bytes.length ?? 0) / 1024);
console.log(
  `parts for ${MEMBERS} players, ${SONGS} songs each (${kilobytes} KB, progress told ${steps} times): ${packing.toFixed(1)} s (goal: under 20 s)`,
);

/** As the interface asks: to the highest fret a player usually goes. */
const WISH = { maxFret: DEFAULT_READS.maxCapo };
const set = Array.from({ length: SET }, (_, index) => readChart(DEMO_SONGS[index % DEMO_SONGS.length] as string));
// a guitar in another tuning has shapes of its own: nothing is remembered for it
const openTuning = { ...STANDARD_GUITAR, tuning: [38, 45, 50, 55, 57, 62] };
for (const [turn, wish] of [
  ['by a program just started', WISH],
  ['asked again', WISH],
  ['for a guitar in another tuning', { ...WISH, instrument: openTuning }],
] as const) {
  const before = performance.now();
  planSetCapos(set.map((reading) => planCapo(reading, wish)));
  console.log(`capos for a set of ${SET} songs, ${turn}: ${(performance.now() - before).toFixed(0)} ms (goal: under 200 ms)`);
}
