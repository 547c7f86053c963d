import { describe, expect, test } from '@jest/globals';
import { drillFor, INSTRUMENTS, itemIn, parseKey, RUN_STUDIES, requireValue } from '../src/index.ts';
import { fillBars } from '../src/run/fill-bars.ts';

const KEYS = ['C', 'G', 'D', 'A', 'E', 'B', 'F', 'Bb', 'Eb', 'Ab', 'Db', 'F#', 'A minor', 'F# harmonic minor'];
const PLAYED = INSTRUMENTS.filter(({ name }) =>
  ['Guitar', 'Guitar, low D', 'Seven-string guitar', 'Bass', 'Five-string bass'].includes(name),
);

/** Where each chord of a study begins, in beats, and how long it lasts. */
function chordsOf(what: string, keyName: string, instrument: (typeof INSTRUMENTS)[number]) {
  const item = itemIn('runs', what, requireValue(parseKey(keyName)));
  const run = drillFor(item, { instrument, seed: 1, isCalled: false })?.run ?? null;
  const found: { from: number; beats: number }[] = [];
  let at = 0;
  run?.notes.forEach((note, index) => {
    if (run.notes[index - 1]?.chord === note.chord) (found.at(-1) as { beats: number }).beats += note.beats;
    else found.push({ from: at, beats: note.beats });
    at += note.beats;
  });
  return found;
}

const isMultiple = (beats: number, of: number) => Math.abs(beats / of - Math.round(beats / of)) < 1e-6;

describe('every chord of a study begins on a bar line, or on the half where chords last half a bar', () => {
  test.each(RUN_STUDIES.flatMap((what) => PLAYED.map((instrument) => [what, instrument.name, instrument] as const)))(
    '%s on %s',
    (what, _name, instrument) => {
      for (const key of KEYS)
        for (const { from, beats } of chordsOf(what, key, instrument)) {
          expect(isMultiple(beats, beats <= 2 ? 2 : 4)).toBe(true);
          expect(isMultiple(from, 2)).toBe(true);
          if (beats > 2) expect(isMultiple(from, 4)).toBe(true);
        }
    },
  );

  test('there are chords to look at', () => {
    // seven chords of a key, each over one octave and back: two bars
    const scales = chordsOf('scale over each chord', 'C', INSTRUMENTS[0] as (typeof INSTRUMENTS)[number]);
    expect(scales.map(({ from, beats }) => [from, beats])).toEqual([0, 1, 2, 3, 4, 5, 6].map((place) => [place * 8, 8]));
  });
});

describe('filling bars', () => {
  const note = (chord: number, beats: number) => ({ midi: 60, note: 0, number: '1', beats, chord });
  const beatsOf = (notes: readonly ReturnType<typeof note>[]) => fillBars(notes).map(({ beats }) => beats);

  test.each([
    ['seven eighths are held to the bar', Array(7).fill([0, 0.5]), [0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 1]],
    ['three eighths to the half', Array(3).fill([0, 0.5]), [0.5, 0.5, 1]],
    ['what is full stays', Array(8).fill([0, 0.5]), Array(8).fill(0.5)],
    [
      'each chord by itself',
      [
        [0, 1.5],
        [1, 3],
        [1, 0.5],
      ],
      [2, 3, 1],
    ],
    ['six thirds are two beats', Array(6).fill([0, 1 / 3]), Array(6).fill(1 / 3)],
  ] as const)('%s', (_name, notes, beats) => {
    expect(beatsOf((notes as [number, number][]).map(([chord, long]) => note(chord, long)))).toEqual(beats);
  });

  test('nothing stays nothing', () => expect(fillBars([])).toEqual([]));
});
