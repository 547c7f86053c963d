// Prints how fast the core is, on one core of this machine: medians of several rounds, nothing judged.
import { DEPTHS, harmonize, isSpellable, parseChord, readChart, renderChart, SCALE_NAMES } from '../src/index.ts';

const ROUNDS = 9;

/** Milliseconds one call takes, as the median of rounds of `times` calls. */
function median(times: number, work: () => void): number {
  for (let call = 0; call < times; call += 1) work();
  const rounds = Array.from({ length: ROUNDS }, () => {
    const start = performance.now();
    for (let call = 0; call < times; call += 1) work();
    return (performance.now() - start) / times;
  });
  return rounds.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)] as number;
}

const keys = SCALE_NAMES.flatMap((scale) => Array.from({ length: 35 }, (_, index) => ({ tonic: index - 15, scale }))).filter(isSpellable);
const symbols = 'C Ebm7b5 F#7(b9,#11) Bbmaj13#11 D/F# Am(maj7) G13sus4 C6/9 Db7alt Cdim7'.split(' ');
const line = '1 5/7 (6-7 57) 4maj7\n(1.. 4. 5.) >2-7 <1> b77#11\n';
const chart = `title: Bench\nkey: Eb\n\n[A]\n${line.repeat(4)}\n[B]\n${line.repeat(4)}`;
const bars = readChart(chart).bars.length;

const harmonizing = median(3, () => {
  for (const key of keys) for (const depth of DEPTHS) harmonize(key, depth);
});
const parsing = median(200, () => {
  for (const symbol of symbols) parseChord(symbol);
});
const reading = median(50, () => void renderChart(readChart(chart), -3, 'letters'));

console.log(`harmonize every key × scale × depth (${keys.length * DEPTHS.length} times seven chords): ${harmonizing.toFixed(1)} ms`);
console.log(`chord symbols parsed: ${Math.round((symbols.length / parsing) * 1000).toLocaleString('en')} a second`);
console.log(`parse and project a chart of ${bars} bars: ${reading.toFixed(2)} ms (goal: under 2 ms)`);
