import { describe, expect, test } from '@jest/globals';
import { chordNotes } from '../chord/chord.ts';
import { parseChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { INSTRUMENTS, type Instrument, STANDARD_GUITAR } from '../fretboard/instrument.ts';
import { harmonize } from '../harmony/harmonize.ts';
import { keyNotes } from '../key/key.ts';
import { parseKey } from '../key/key-text.ts';
import { chroma } from '../pitch/note.ts';
import { type ArpeggioWish, arpeggioRun } from './arpeggio.ts';
import type { Run } from './run.ts';
import { type ScaleRunWish, scaleRun } from './scale-run.ts';
import { sweepRun } from './sweep.ts';

const key = (text: string) => requireValue(parseKey(text));
const chord = (text: string) => requireValue(parseChord(text));
const places = ({ notes }: Run) => notes.map(({ string, fret }) => `${string}:${fret}`).join(' ');
const fingers = ({ notes }: Run) => notes.map(({ finger }) => finger).join('');
const BASS = INSTRUMENTS.find(({ name }) => name === 'Bass') as Instrument;

function expectSound(run: Run, instrument: Instrument): void {
  for (const { string, fret, midi, note } of run.notes) {
    expect((instrument.tuning[instrument.tuning.length - string] as number) + fret).toBe(midi);
    expect(midi % 12).toBe(chroma(note));
  }
}

describe('scales on the neck', () => {
  const wish = (over: Partial<ScaleRunWish>): ScaleRunWish => ({
    layout: 'position',
    position: 2,
    string: 5,
    from: 1,
    picking: 'alternate',
    octave: false,
    back: false,
    ...over,
  });
  const g = (over: Partial<ScaleRunWish>) => scaleRun(key('G'), wish(over), STANDARD_GUITAR);

  test('G major in second position, as every book has it', () => {
    expect(places(g({}))).toBe('6:3 6:5 5:2 5:3 5:5 4:2 4:4 4:5 3:2 3:4 3:5 2:3 2:5 1:2 1:3 1:5');
    expect(fingers(g({})).slice(0, 8)).toBe('24124134');
  });

  test('three notes a string from fret 3, first fingers 1 2 4', () => {
    const run = g({ layout: 'three-a-string', position: 3 });
    expect(places(run)).toBe('6:3 6:5 6:7 5:3 5:5 5:7 4:4 4:5 4:7 3:4 3:5 3:7 2:5 2:7 2:8 1:5 1:7 1:8');
    expect(fingers(run).slice(0, 6)).toBe('124124');
  });

  test('along string 5, an octave from its lowest G', () =>
    expect(places(g({ layout: 'one-string' }))).toBe('5:10 5:12 5:14 5:15 5:17 5:19 5:21 5:22'));

  test('down again the same way; strokes alternate; slurs spare every other stroke on a string', () => {
    const there = g({ back: true });
    const names = places(there).split(' ');
    expect([...names].reverse()).toEqual(names);
    expect(
      there.notes
        .map(({ stroke }) => stroke?.[0])
        .join('')
        .slice(0, 4),
    ).toBe('dudu');
    const slurred = g({ layout: 'three-a-string', picking: 'slurred', position: 3 }).notes;
    expect(slurred.slice(0, 4).map(({ stroke, slur }) => slur ?? stroke)).toEqual(['down', 'hammer', 'up', 'down']);
  });

  test('every note is in the key, sounds where it lies, and rises', () => {
    for (const home of ['C', 'F# harmonic minor', 'Bb dorian', 'E altered']) {
      for (const layout of ['position', 'three-a-string', 'one-string'] as const) {
        for (const position of [0, 1, 5, 9]) {
          for (const instrument of INSTRUMENTS) {
            const run = scaleRun(key(home), wish({ layout, position, from: key(home).tonic, string: 3 }), instrument);
            expectSound(run, instrument);
            expect(run.left).toBe(0);
            expect(run.notes.every(({ note }) => keyNotes(key(home)).includes(note))).toBe(true);
            const midi = run.notes.map((note) => note.midi);
            expect([...midi].sort((a, b) => a - b)).toEqual(midi);
          }
        }
      }
    }
  });
});

describe('arpeggios', () => {
  const wish = (over: Partial<ArpeggioWish>): ArpeggioWish => ({
    place: { kind: 'position', position: 2 },
    octave: false,
    fragment: null,
    turning: true,
    back: false,
    picking: 'alternate',
    ...over,
  });
  const sevenths = harmonize(key('G'), 'seventh').map((one) => one.chord);

  test('up one chord and down the next, each filling half a bar', () => {
    const run = arpeggioRun(sevenths, wish({}), STANDARD_GUITAR);
    const of = (index: number) => run.notes.filter((note) => note.chord === index);
    expect(
      of(0)
        .map(({ number }) => number)
        .join(' '),
    ).toBe('1 3 5 7');
    expect(
      of(1)
        .map(({ number }) => number)
        .join(' '),
    ).toBe('b7 5 b3 1');
    for (let index = 0; index < 7; index += 1) expect(of(index).reduce((sum, { beats }) => sum + beats, 0)).toBe(2);
    expect(run.left).toBe(0);
    expectSound(run, STANDARD_GUITAR);
  });

  test('on a string set nothing leaves the set', () => {
    const run = arpeggioRun(sevenths, wish({ place: { kind: 'strings', strings: [4, 3, 2] } }), STANDARD_GUITAR);
    expect(new Set(run.notes.map(({ string }) => string))).toEqual(new Set([4, 3, 2]));
    expectSound(run, STANDARD_GUITAR);
  });

  test.each([
    ['C', 2, '3:3 2:2 2:5 1:5', '2144'],
    ['G', 2, '4:3 3:2 3:5 2:5', '2144'],
    ['A', 4, '4:5 3:4 3:7 2:7', '2144'],
  ])('bass: %s with the octave at %i is %s, fingers %s', (symbol, position, wanted, held) => {
    const run = arpeggioRun([chord(symbol)], wish({ place: { kind: 'position', position }, octave: true }), BASS);
    expect(places(run)).toBe(wanted);
    expect(fingers(run)).toBe(held);
  });

  test('a fragment of the scale leads on from the arpeggio', () => {
    const run = arpeggioRun([chord('Gmaj7')], wish({ fragment: key('G') }), STANDARD_GUITAR);
    expect(run.notes.map(({ number }) => number).join(' ')).toBe('1 3 5 7 6 5 4 3');
  });

  test('whatever the chord, only its tones sound', () => {
    for (const symbol of ['Cmaj9', 'F#m7b5', 'Ebaug', 'B13', 'Dsus4']) {
      const wanted = chordNotes(chord(symbol)).map(chroma);
      for (const instrument of INSTRUMENTS) {
        const run = arpeggioRun([chord(symbol)], wish({}), instrument);
        expectSound(run, instrument);
        expect(run.notes.every(({ midi }) => wanted.includes(midi % 12))).toBe(true);
      }
    }
  });
});

describe('sweeps', () => {
  test('A minor on the top three strings, two shapes: down, down, down, hammer, pull, up', () => {
    const run = sweepRun(
      [chord('Am')],
      {
        sets: [
          [3, 2, 1],
          [3, 2, 1],
        ],
        position: 2,
        rooted: false,
      },
      STANDARD_GUITAR,
    );
    expect(places(run)).toBe('3:5 2:5 1:5 1:8 1:5 2:5 3:9 2:10 1:8 1:12 1:8 2:10');
    expect(run.notes.slice(0, 6).map(({ stroke, slur }) => stroke ?? slur)).toEqual(['down', 'down', 'down', 'hammer', 'pull', 'up']);
    expect(run.notes.map(({ shift }) => shift).indexOf(true)).toBe(6);
    expectSound(run, STANDARD_GUITAR);
  });

  test('where the neck has no room there is no run', () =>
    expect(
      sweepRun(
        [chord('Am')],
        {
          sets: [
            [3, 2, 1],
            [3, 2, 1],
          ],
          position: 22,
          rooted: false,
        },
        STANDARD_GUITAR,
      ).notes,
    ).toEqual([]));
});

/** Until the hand shifts every finger keeps its fret. */
function expectSteadyFingers({ notes }: Run): void {
  let stands = new Map<number, number>();
  for (const { finger, fret, shift } of notes) {
    if (shift) stands = new Map();
    if (finger === 0) continue;
    expect(stands.get(finger) ?? fret).toBe(fret);
    stands.set(finger, fret);
  }
}

describe('runs as they are practised', () => {
  const frets = ({ notes }: Run) => notes.map(({ fret }) => fret);

  test.each([
    ['C', '5 4 3'],
    ['Am', '4 3 2'],
    ['F', '3 2 1'],
  ])('%s on strings %s is one note a string', (symbol, set) => {
    const strings = set.split(' ').map(Number);
    const wish = {
      place: { kind: 'strings', strings },
      octave: false,
      fragment: null,
      turning: false,
      back: true,
      picking: 'alternate',
    } as const;
    const run = arpeggioRun([chord(symbol)], wish, STANDARD_GUITAR);
    expect(run.notes.map(({ string }) => string)).toEqual([...strings, ...[...strings].reverse().slice(1)]);
    expect(run.notes.map(({ number }) => number.replace('b', ''))).toEqual(['1', '3', '5', '3', '1']);
    expectSound(run, STANDARD_GUITAR);
  });

  test('three notes a string begin on the note that is asked for', () => {
    const wish = { layout: 'three-a-string', position: 5, string: 6, picking: 'alternate', octave: false, back: false } as const;
    for (const from of ['A', 'C', 'E'] as const) {
      const { root } = chord(from);
      const run = scaleRun(key('C'), { ...wish, from: root }, STANDARD_GUITAR);
      expect(run.notes[0]?.note).toBe(root);
      expect(run.notes[0]?.string).toBe(6);
      const perString = new Map<number, number>();
      for (const { string } of run.notes) perString.set(string, (perString.get(string) ?? 0) + 1);
      expect([...perString.values()].every((count) => count === 3)).toBe(true);
    }
  });

  test.each(['position', 'three-a-string', 'one-string'] as const)('%s: to the octave and back', (layout) => {
    const wish = { layout, position: 2, string: 5, from: 1, picking: 'alternate', octave: true, back: true } as const;
    const midi = scaleRun(key('G'), wish, STANDARD_GUITAR).notes.map((note) => note.midi);
    expect(midi).toHaveLength(15);
    expect(Math.max(...midi) - Math.min(...midi)).toBe(12);
    expect([midi[0], midi.at(-1)]).toEqual([Math.min(...midi), Math.min(...midi)]);
  });

  test('while the hand stays, no finger is on two neighbouring frets', () => {
    const wish = { string: 5, from: null, picking: 'alternate', octave: false, back: true } as const;
    const places = [1, 2, 4, 5, 7, 9].flatMap((position) =>
      (['position', 'three-a-string'] as const).map((layout) => ({ position, layout })),
    );
    for (const home of ['C', 'G', 'Eb', 'F# harmonic minor', 'B', 'Ab melodic minor'])
      for (const place of places) expectSteadyFingers(scaleRun(key(home), { ...wish, ...place }, STANDARD_GUITAR));
  });

  test.each([
    [
      'two sets of three',
      [
        [5, 4, 3],
        [3, 2, 1],
      ],
    ],
    [
      'the same set',
      [
        [4, 3, 2],
        [4, 3, 2],
      ],
    ],
    ['one set', [[3, 2, 1]]],
    ['five strings', [[5, 4, 3, 2, 1]]],
  ] as const)('sweeps through a key over %s hold in a hand and shift from chord to chord', (_, sets) => {
    for (const home of ['C', 'A', 'Eb']) {
      for (const depth of ['triad', 'seventh'] as const) {
        const chords = harmonize(key(home), depth).map((one) => one.chord);
        const run = sweepRun(chords, { sets, position: 2, rooted: true }, STANDARD_GUITAR);
        expectSound(run, STANDARD_GUITAR);
        expect(run.left).toBe(0);
        run.notes.forEach((note, index) => {
          const before = run.notes[index - 1];
          if (before === undefined || note.shift) return;
          if (before.string === note.string) expect(Math.abs(before.fret - note.fret)).toBeLessThanOrEqual(4);
        });
        const firsts = run.notes.filter(({ chord: at }, index) => run.notes[index - 1]?.chord !== at);
        expect(firsts.map(({ number }) => number)).toEqual(chords.map(() => '1'));
        expect(firsts.slice(1).every(({ shift }) => shift)).toBe(true);
        expect(Math.max(...frets(run))).toBeLessThanOrEqual(STANDARD_GUITAR.frets);
      }
    }
  });
});
