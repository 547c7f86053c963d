// Prints how fast the core is, on one core of this machine: medians of several rounds, nothing judged.
import { Chord as TonalChord, Key as TonalKey } from 'tonal';
import {
  analyze,
  analyzeText,
  applyChange,
  askQuestions,
  checkChart,
  chordNotes,
  compileEdit,
  DEFAULT_NAMING,
  DEPTHS,
  findVoicings,
  harmonize,
  identify,
  isSpellable,
  openChart,
  parseChord,
  planCapo,
  planPractice,
  printChord,
  printNote,
  programmeKeys,
  progressionOf,
  projectChart,
  QUESTION_KINDS,
  readChart,
  readProgression,
  reduce,
  renderChart,
  requireValue,
  SCALE_NAMES,
  STANDARD_GUITAR,
  transposeChord,
} from '../src/index.ts';
import { chartPart } from '../src/part/chart-part.ts';
import type { Score } from '../src/score/score.ts';
import { findPath } from '../src/voicing/path.ts';
import { STYLES } from '../test/planned-piece.ts';
import { plannedPiece } from '../test/planned-pieces.ts';

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
// the public theory library, asked the same things in the same run; it keeps whole chords it read before, we keep qualities and scales
const plain = 'C Ebm7b5 F#7 Bbmaj7 Am9 Cdim7 G13 Dm6 Absus4 E7b9'.split(' ');
const sets = plain.map((symbol) => chordNotes(requireValue(parseChord(symbol))));
const spelled = sets.map((notes) => notes.map((note) => printNote(note)));
const tonics = ['C', 'G', 'D', 'A', 'E', 'B', 'F#', 'F', 'Bb', 'Eb', 'Ab', 'Db'];
const each =
  <T>(items: readonly T[], work: (item: T) => unknown) =>
  () => {
    for (const item of items) work(item);
  };
const majorKeys = Array.from({ length: 12 }, (_, step) => ({ tonic: step - 5, scale: 'major' as const }));
const ratios = [
  compare('chord symbols parsed', plain.length, each(plain, parseChord), each(plain, TonalChord.get)),
  compare(
    'sets of notes named',
    sets.length,
    each(sets, (notes) => identify(notes)),
    each(spelled, (notes) => TonalChord.detect(notes)),
  ),
  compare(
    'major keys harmonized, triads and sevenths',
    tonics.length,
    each(majorKeys, (key) => [harmonize(key, 'triad'), harmonize(key, 'seventh')]),
    each(tonics, TonalKey.majorKey),
  ),
];

function compare(what: string, count: number, ours: () => void, theirs: () => void): string {
  const mine = median(100, ours);
  const other = median(100, theirs);
  const rate = (ms: number) => Math.round((count / ms) * 1000).toLocaleString('en');
  return `${what}: ${rate(mine)} a second; the library ${rate(other)}; ${(other / mine).toFixed(1)} times as fast`;
}

console.log(`chord symbols parsed: ${Math.round((symbols.length / parsing) * 1000).toLocaleString('en')} a second`);
console.log(`parse and project a chart of ${bars} bars: ${reading.toFixed(2)} ms (goal: under 2 ms)`);
const LOOK = {
  naming: DEFAULT_NAMING,
  sounding: -3,
  written: -3,
  show: 'both',
  kind: 'chart',
  capo: 0,
  tonight: '',
  words: true,
  cuesFor: null,
  foot: '',
} as const;
const wholeChart = median(20, () => {
  const progression = readProgression(chart);
  checkChart(progression.chart, analyze(progression));
  chartPart(progression.chart, LOOK);
});
console.log(`parse, analyze, check and lay out ${bars} bars: ${wholeChart.toFixed(2)} ms (goal: under 4 ms)`);
// one key press on the sheet: the bar is written into the text, and everything that is drawn is worked out anew
let pressed = 0;
const open = openChart(chart);
const keyPress = median(20, () => {
  pressed += 1;
  const edit = {
    kind: 'write-bar',
    bar: 40,
    isNew: false,
    typed: pressed % 2 === 0 ? '4-' : '2-7',
    lettersFrom: open.reading.head.key.tonic,
  } as const;
  const change = requireValue(compileEdit(open, edit));
  const after = openChart(change === null ? chart : (applyChange(chart, change) as string));
  checkChart(after.reading, analyze(progressionOf(after)));
  projectChart(after.reading, LOOK);
});
console.log(`one key press on a chart of ${bars} bars: edit, parse, analyze, check, project: ${keyPress.toFixed(2)} ms (goal: under 4 ms)`);
for (const ratio of ratios) console.log(ratio);

// the neck: one chord over fifteen frets, and a path of 32 bars with two chords in every other one
const shapes = ['C', 'Ebmaj7', 'F#m7b5', 'C13', 'Dm11'].map((symbol) => requireValue(parseChord(symbol)));
for (const chord of shapes) {
  const searching = median(5, () => void findVoicings(chord, STANDARD_GUITAR, { maxFret: 15 }));
  const { voicings } = findVoicings(chord, STANDARD_GUITAR, { maxFret: 15 });
  console.log(`every shape of ${printChord(chord)} over 15 frets (${voicings.length}): ${searching.toFixed(1)} ms (goal: under 30 ms)`);
}
const eight = 'Cmaj7 A7 Dm7 G7 Em7 A7b9 Dm7 G7 Gm7 C7 Fmaj7 Bb7'.split(' ');
const progression = Array.from({ length: 4 }, () => eight)
  .flat()
  .map((symbol) => ({ chord: requireValue(parseChord(symbol)), melody: null, locked: null }));
const LIMITS = {
  lowestFret: 0,
  highestFret: 12,
  mostDifficult: 7,
  top: 'smooth',
  holdCommon: true,
  rootLowest: false,
  rootless: false,
} as const;
for (const [what, families] of [
  ['drop-2, drop-3 and shells', ['drop-2', 'drop-3', 'shell']],
  ['open and barre', ['open', 'barre-6', 'barre-5']],
  ['every family', null],
] as const) {
  const solving = median(1, () => void findPath(progression, { ...LIMITS, families }, STANDARD_GUITAR));
  console.log(`the path of 32 bars, ${progression.length} chords, ${what}: ${solving.toFixed(0)} ms (goal: under 300 ms)`);
}

// the analysis: a song of 32 bars, a library of songs in every key, and a song nobody writes
const song = `${'Cmaj7 A7 Dm7 G7 Em7 A7b9 Dm7 G7 '.repeat(2)}Gm7 C7 Fmaj7 Bb7 Cmaj7 A7 Dm7 G7 Cmaj7 E7 Am7 D7 Fm6 Cmaj7 Dm7 Db7`;
const analyzing = median(50, () => void analyzeText(song));
console.log(`analyze ${song.trim().split(' ').length} bars: ${analyzing.toFixed(1)} ms (goal: under 5 ms)`);
const library = Array.from({ length: 200 }, (_, index) => {
  const by = requireValue(parseChord('C')).root + (index % 12) - 5;
  const chords = song.split(' ').slice(index % 16);
  return chords.map((symbol) => printChord(transposeChord(requireValue(parseChord(symbol)), by))).join(' ');
});
const whole = median(3, () => library.forEach((text) => void analyzeText(text)));
console.log(`analyze a library: ${Math.round((library.length / whole) * 1000)} songs a second`);
const endless = Array.from({ length: 50 }, () => song).join(' ');
console.log(`analyze ${endless.trim().split(' ').length} chords: ${median(3, () => void analyzeText(endless)).toFixed(0)} ms`);

// the capo: forty songs in keys all round the circle, every fret of each
const setList = Array.from({ length: 40 }, (_, index) => {
  const key = 'C G D A E B F Bb Eb Ab Db Am Em Bm Gm'.split(' ')[index % 15] as string;
  return readChart(`key: ${key}\n1 5/7 6-7 4maj7 ${index % 2 === 0 ? '2-7 57 b7 3-' : '4 5 1sus4 6-'}\n`);
});
const first = performance.now();
for (const songOfSet of setList) planCapo(songOfSet);
console.log(`a capo for each of ${setList.length} songs, asked first: ${(performance.now() - first).toFixed(0)} ms (goal: under 200 ms)`);
const again = median(1, () => setList.forEach((songOfSet) => void planCapo(songOfSet)));
console.log(`a capo for each of ${setList.length} songs, asked again: ${again.toFixed(1)} ms`);

// practice: questions of every kind in every key, and a plan from what a player did in years
const circle = [0, 1, 2, 3, 4, 5, 6, -5, -4, -3, -2, -1].map((tonic) => ({ tonic, scale: 'major' as const }));
const wish = {
  kinds: QUESTION_KINDS,
  keys: circle,
  depth: null,
  count: 1000,
  seed: 1,
  capo: null,
  tuning: STANDARD_GUITAR.tuning,
  loops: [],
};
console.log(`1,000 questions of every kind in twelve keys: ${median(1, () => void askQuestions(wish)).toFixed(0)} ms (goal: under 50 ms)`);
const passed = Array.from({ length: 4000 }, (_, at) => ({
  id: String(at),
  at: at * 3_600_000,
  item: `recall/${QUESTION_KINDS[at % QUESTION_KINDS.length]}/${['C', 'Eb', 'A', 'Gb'][at % 4]} major`,
  stage: '',
  tempo: null,
  answeredIn: 4000,
  outcome: at % 3 === 0 ? ('wrong' as const) : ('right' as const),
  said: '',
  hidden: true,
  seconds: 5,
  night: null,
}));
const nights = { keys: programmeKeys({ nights: 30, order: 'fourths', first: 0, scales: ['major'] }, new Map()), skipped: [], since: 0 };
const planning = {
  minutes: 45,
  passes: passed,
  programme: nights,
  songs: [],
  tuning: STANDARD_GUITAR.tuning,
  now: 4000 * 3_600_000,
  seed: 1,
};
console.log(`a plan of 45 minutes from 4,000 passes: ${median(1, () => void planPractice(planning)).toFixed(0)} ms`);

const parts = STYLES.map((style) => plannedPiece(style, 5).score);
for (const score of parts) reduce(score);
const long = repeatedScore(plannedPiece('chorale', 5).score, 200);
console.log(
  `200 bars of four parts reduced, ${long.notes.length} notes: ${median(1, () => void reduce(long)).toFixed(0)} ms (goal: well under a second)`,
);

/** A piece again and again until it has so many bars. */
function repeatedScore(score: Score, bars: number): Score {
  const { measures, notes } = score;
  const length = measures.at(-1)?.to ?? 0;
  const rounds = Math.ceil(bars / measures.length);
  const again = <One extends { readonly from: number; readonly to: number }>(things: readonly One[]) =>
    Array.from({ length: rounds }, (_, round) =>
      things.map((one) => ({ ...one, from: one.from + round * length, to: one.to + round * length })),
    ).flat();
  return { ...score, measures: again(measures).map((measure, index) => ({ ...measure, number: index + 1 })), notes: again(notes) };
}
