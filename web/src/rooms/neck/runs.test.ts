import { DEFAULT_NAMING, INSTRUMENTS, type Instrument, keyNotes, parseChord, parseKey, requireValue, STANDARD_GUITAR } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { keySteps } from './key-hearing.ts';
import { FIRST_PLAN, planRun, type RunPlan, SWEEP_SETS } from './run-plan.ts';

const KEYS = ['C', 'G', 'D', 'A', 'E', 'B', 'F#', 'Db', 'Ab', 'Eb', 'Bb', 'F', 'Am', 'C# dorian', 'G harmonic minor'];
const BASS = INSTRUMENTS.find(({ name }) => name === 'Bass') as Instrument;

function planned(over: Partial<RunPlan>, home: string, instrument: Instrument = STANDARD_GUITAR) {
  const key = requireValue(parseKey(home));
  return { key, ...planRun({ ...FIRST_PLAN, ...over }, { chord: requireValue(parseChord('C')), key, instrument, naming: DEFAULT_NAMING }) };
}
/** What sounds at a place of the neck, by the tuning. */
const sounds = ({ tuning }: Instrument, string: number, fret: number) => (tuning[tuning.length - string] as number) + fret;
/** Half steps above C of a point on the line of fifths. */
const semitone = (note: number) => (((note * 7) % 12) + 12) % 12;

describe.each(KEYS)('runs in %s', (home) => {
  test('a scale has the notes of its key and no other, at places that sound them', () => {
    const { run, key } = planned({ layout: 'position', back: false }, home);
    const allowed = new Set(keyNotes(key).map(semitone));
    for (const { midi } of run.notes) expect(allowed.has(midi % 12)).toBe(true);
    for (const { string, fret, midi } of run.notes) expect(sounds(STANDARD_GUITAR, string, fret)).toBe(midi);
    expect(run.notes[0]?.midi).toBeLessThan(run.notes.at(-1)?.midi ?? 0);
  });

  test('there and back it ends where it began', () => {
    const { run } = planned({ back: true }, home);
    expect(run.notes.at(-1)?.midi).toBe(run.notes[0]?.midi);
  });

  test('every note lies on the neck', () => {
    for (const kind of ['scale', 'arpeggio', 'sweep'] as const)
      for (const { fret, string } of planned({ kind, position: 5 }, home).run.notes) {
        expect(fret).toBeGreaterThanOrEqual(0);
        expect(fret).toBeLessThanOrEqual(STANDARD_GUITAR.frets);
        expect(string).toBeGreaterThanOrEqual(1);
        expect(string).toBeLessThanOrEqual(6);
      }
  });

  test('on a bass as well, on its four strings', () => {
    const { run } = planned({ position: 3 }, home, BASS);
    expect(run.notes.length).toBeGreaterThan(7);
    for (const { string, fret, midi } of run.notes) {
      expect(string).toBeLessThanOrEqual(4);
      expect(sounds(BASS, string, fret)).toBe(midi);
    }
  });
});

test.each([
  [0, 'C: two-shape sweep'],
  [2, 'C: two-shape sweep'],
  [3, 'C: sweep'],
  [4, 'C: five-string sweep'],
  [99, 'C: two-shape sweep'],
])('string sets %i are called %s', (sweep, title) => expect(planned({ kind: 'sweep', sweep, position: 5 }, 'C').title).toBe(title));

test('the sets of a sweep lie beside each other, the thicker first', () => {
  for (const sets of SWEEP_SETS) for (const strings of sets) expect(strings).toEqual([...strings].sort((a, b) => b - a));
});

describe('shapes of a key, heard', () => {
  const shape = (...midi: number[]) => ({ tones: midi.map((one) => ({ midi: one })) }) as never;
  test.each([
    ['none', [], []],
    ['one alone', [shape(48, 52)], [[48, 52]]],
    // the first once more, an octave above the last
    [
      'up the neck',
      [shape(48, 52), shape(50, 53), shape(59, 62)],
      [
        [48, 52],
        [50, 53],
        [59, 62],
        [60, 64],
      ],
    ],
    ['over more than an octave', [shape(48), shape(65)], [[48], [65], [72]]],
  ])('%s', (_, shapes, heard) => expect(keySteps(shapes).map(({ midi }) => midi)).toEqual(heard));
});
