// The neck from definitions: tables worked out by adding half steps on each string, not by the
// program. Three notes of a scale on every string from a starting fret; the triads of a major key
// up the neck on one set of strings, an asterisk where the neck runs out and they go on lower.
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  arpeggioRun,
  checkInstrument,
  findVoicings,
  INSTRUMENTS,
  type Instrument,
  keyAlongNeck,
  nameFrets,
  parseChord,
  parseKey,
  parseTuning,
  printChord,
  requireValue,
  STANDARD_GUITAR,
  scaleRun,
} from '../src/index.ts';

const key = (text: string) => requireValue(parseKey(text));
const rowsOf = (table: string) =>
  table
    .trim()
    .split('\n')
    .map((row) => row.split('|') as [string, string, string, string]);

const THREE_A_STRING = `
C major|2|3-5-7 3-5-7 3-5-7 4-5-7 5-6-8 5-7-8
C melodic minor|2|3-5-7 3-5-6 3-5-7 4-5-7 4-6-8 5-7-8
C mixolydian|2|3-5-6 3-5-7 3-5-7 3-5-7 5-6-8 5-6-8
C lydian|2|2-3-5 2-3-5 2-4-5 2-4-5 3-5-7 3-5-7
Db natural minor|3|4-5-7 4-6-7 4-6-7 4-6-8 5-7-9 5-7-9
Db dorian|3|4-6-7 4-6-7 4-6-8 4-6-8 5-7-9 6-7-9
Db lydian|3|3-4-6 3-4-6 3-5-6 3-5-6 4-6-8 4-6-8
Db phrygian dominant|3|4-5-7 4-5-8 4-6-7 4-6-7 6-7-9 5-7-9
D harmonic minor|4|5-6-9 5-7-8 5-7-8 6-7-9 6-8-10 6-9-10
D mixolydian|4|5-7-8 5-7-9 5-7-9 5-7-9 7-8-10 7-8-10
D phrygian dominant|4|5-6-8 5-6-9 5-7-8 5-7-8 7-8-10 6-8-10
D major|4|5-7-9 5-7-9 5-7-9 6-7-9 7-8-10 7-9-10
Eb melodic minor|5|6-8-10 6-8-9 6-8-10 7-8-10 7-9-11 8-10-11
Eb lydian|5|5-6-8 5-6-8 5-7-8 5-7-8 6-8-10 6-8-10
Eb major|5|6-8-10 6-8-10 6-8-10 7-8-10 8-9-11 8-10-11
Eb natural minor|5|6-7-9 6-8-9 6-8-9 6-8-10 7-9-11 7-9-11
E dorian|6|7-9-10 7-9-10 7-9-11 7-9-11 8-10-12 9-10-12
E phrygian dominant|6|7-8-10 7-8-11 7-9-10 7-9-10 9-10-12 8-10-12
E natural minor|6|7-8-10 7-9-10 7-9-10 7-9-11 8-10-12 8-10-12
E harmonic minor|6|7-8-11 7-9-10 7-9-10 8-9-11 8-10-12 8-11-12
F mixolydian|2|3-5-6 3-5-6 3-5-7 3-5-7 4-6-8 5-6-8
F major|2|3-5-6 3-5-7 3-5-7 3-5-7 5-6-8 5-6-8
F harmonic minor|2|3-4-6 3-4-7 3-5-6 3-5-6 5-6-8 4-6-8
F melodic minor|2|3-4-6 3-5-7 3-5-6 3-5-7 5-6-8 4-6-8
F# lydian|3|4-6-8 4-6-8 4-6-8 5-6-8 6-7-9 6-8-9
F# natural minor|3|4-5-7 4-5-7 4-6-7 4-6-7 5-7-9 5-7-9
F# melodic minor|3|4-5-7 4-6-8 4-6-7 4-6-8 6-7-9 5-7-9
F# dorian|3|4-5-7 4-6-7 4-6-7 4-6-8 5-7-9 5-7-9
G phrygian dominant|4|4-7-8 5-6-8 5-6-9 5-7-8 6-8-9 7-8-10
G harmonic minor|4|5-6-8 5-6-9 5-7-8 5-7-8 7-8-10 6-8-10
G dorian|4|5-6-8 5-7-8 5-7-8 5-7-9 6-8-10 6-8-10
G mixolydian|4|5-7-8 5-7-8 5-7-9 5-7-9 6-8-10 7-8-10
Ab major|5|6-8-9 6-8-10 6-8-10 6-8-10 8-9-11 8-9-11
Ab melodic minor|5|6-7-9 6-8-10 6-8-9 6-8-10 8-9-11 7-9-11
Ab mixolydian|5|6-8-9 6-8-9 6-8-10 6-8-10 7-9-11 8-9-11
Ab lydian|5|6-8-10 6-8-10 6-8-10 7-8-10 8-9-11 8-10-11
A natural minor|6|7-8-10 7-8-10 7-9-10 7-9-10 8-10-12 8-10-12
A dorian|6|7-8-10 7-9-10 7-9-10 7-9-11 8-10-12 8-10-12
A lydian|6|7-9-11 7-9-11 7-9-11 8-9-11 9-10-12 9-11-12
A phrygian dominant|6|6-9-10 7-8-10 7-8-11 7-9-10 8-10-11 9-10-12
Bb harmonic minor|2|2-5-6 3-4-6 3-4-7 3-5-6 4-6-7 5-6-8
Bb mixolydian|2|3-4-6 3-5-6 3-5-6 3-5-7 4-6-8 4-6-8
Bb phrygian dominant|2|2-4-6 2-5-6 3-4-6 3-4-7 4-6-7 4-6-7
Bb major|2|3-5-6 3-5-6 3-5-7 3-5-7 4-6-8 5-6-8
B melodic minor|3|4-6-7 4-5-7 4-6-8 4-6-7 5-7-9 6-7-9
B lydian|3|4-6-7 4-6-8 4-6-8 4-6-8 6-7-9 6-7-9
B major|3|4-6-7 4-6-7 4-6-8 4-6-8 5-7-9 6-7-9
B natural minor|3|3-5-7 4-5-7 4-5-7 4-6-7 5-7-8 5-7-9
`;

describe('three notes a string', () => {
  test.each(rowsOf(THREE_A_STRING))('%s from fret %s: %s', (home, start, wanted) => {
    const wish = { layout: 'three-a-string', string: 6, from: null, picking: 'alternate', octave: false, back: false } as const;
    const { notes } = scaleRun(key(home), { ...wish, position: Number(start) }, STANDARD_GUITAR);
    const strings = [6, 5, 4, 3, 2, 1].map((string) => notes.filter((note) => note.string === string).map(({ fret }) => fret));
    expect(strings.map((frets) => frets.join('-')).join(' ')).toBe(wanted);
  });
});

const TRIADS_ALONG = `
C|3 2 1|0|5.5.3 7.6.5 9.8.7 10.10.8 12.12.10 14.13.12 4.3.1*
C|4 3 2|1|2.0.1 3.2.3 5.4.5 7.5.6 9.7.8 10.9.10 12.10.12
C|5 4 3|2|10.10.9 12.12.10 14.14.12 15.15.14 5.5.4* 7.7.5 8.9.7
Db|3 2 1|1|10.9.9 11.11.11 13.13.13 15.14.14 5.4.4* 6.6.6 8.7.8
Db|4 3 2|2|6.6.6 8.8.7 10.10.9 11.11.11 13.13.13 15.15.14 4.5.4*
Db|5 4 3|0|4.3.1 6.4.3 8.6.5 9.8.6 11.10.8 13.11.10 15.13.11
D|3 2 1|2|2.3.2 4.5.3 6.7.5 7.8.7 9.10.9 11.12.10 12.14.12
D|4 3 2|0|12.11.10 14.12.12 4.2.2* 5.4.3 7.6.5 9.7.7 11.9.8
D|5 4 3|1|9.7.7 10.9.9 12.11.11 14.12.12 4.2.2* 5.4.4 7.5.6
Eb|3 2 1|0|8.8.6 10.9.8 12.11.10 13.13.11 15.15.13 5.4.3* 7.6.4
Eb|4 3 2|1|5.3.4 6.5.6 8.7.8 10.8.9 12.10.11 13.12.13 15.13.15
Eb|5 4 3|2|1.1.0 3.3.1 5.5.3 6.6.5 8.8.7 10.10.8 11.12.10
E|3 2 1|1|1.0.0 2.2.2 4.4.4 6.5.5 8.7.7 9.9.9 11.10.11
E|4 3 2|2|9.9.9 11.11.10 13.13.12 14.14.14 4.4.4* 6.6.5 7.8.7
E|5 4 3|0|7.6.4 9.7.6 11.9.8 12.11.9 14.13.11 4.2.1* 6.4.2
F|3 2 1|2|5.6.5 7.8.6 9.10.8 10.11.10 12.13.12 14.15.13 3.5.3*
F|4 3 2|0|3.2.1 5.3.3 7.5.5 8.7.6 10.9.8 12.10.10 14.12.11
F|5 4 3|1|12.10.10 13.12.12 15.14.14 5.3.3* 7.5.5 8.7.7 10.8.9
F#|3 2 1|0|11.11.9 13.12.11 15.14.13 4.4.2* 6.6.4 8.7.6 10.9.7
F#|4 3 2|1|8.6.7 9.8.9 11.10.11 13.11.12 15.13.14 4.3.4* 6.4.6
F#|5 4 3|2|4.4.3 6.6.4 8.8.6 9.9.8 11.11.10 13.13.11 14.15.13
G|3 2 1|1|4.3.3 5.5.5 7.7.7 9.8.8 11.10.10 12.12.12 14.13.14
G|4 3 2|2|0.0.0 2.2.1 4.4.3 5.5.5 7.7.7 9.9.8 10.11.10
G|5 4 3|0|10.9.7 12.10.9 14.12.11 15.14.12 5.4.2* 7.5.4 9.7.5
Ab|3 2 1|2|8.9.8 10.11.9 12.13.11 13.14.13 3.4.3* 5.6.4 6.8.6
Ab|4 3 2|0|6.5.4 8.6.6 10.8.8 11.10.9 13.12.11 15.13.13 5.3.2*
Ab|5 4 3|1|3.1.1 4.3.3 6.5.5 8.6.6 10.8.8 11.10.10 13.11.12
A|3 2 1|0|2.2.0 4.3.2 6.5.4 7.7.5 9.9.7 11.10.9 13.12.10
A|4 3 2|1|11.9.10 12.11.12 14.13.14 4.2.3* 6.4.5 7.6.7 9.7.9
A|5 4 3|2|7.7.6 9.9.7 11.11.9 12.12.11 14.14.13 4.4.2* 5.6.4
Bb|3 2 1|1|7.6.6 8.8.8 10.10.10 12.11.11 14.13.13 15.15.15 5.4.5*
Bb|4 3 2|2|3.3.3 5.5.4 7.7.6 8.8.8 10.10.10 12.12.11 13.14.13
Bb|5 4 3|0|13.12.10 15.13.12 5.3.2* 6.5.3 8.7.5 10.8.7 12.10.8
B|3 2 1|2|11.12.11 13.14.12 3.4.2* 4.5.4 6.7.6 8.9.7 9.11.9
B|4 3 2|0|9.8.7 11.9.9 13.11.11 14.13.12 4.3.2* 6.4.4 8.6.5
B|5 4 3|1|6.4.4 7.6.6 9.8.8 11.9.9 13.11.11 14.13.13 4.2.3*
`;

describe('the triads of a key up the neck', () => {
  test.each(rowsOf(TRIADS_ALONG))('%s major on strings %s, inversion %s', (home, strings, inversion, wanted) => {
    const set = strings.split(' ').map(Number);
    const shapes = keyAlongNeck(
      key(home),
      { family: 'triad', strings: set, inversion: Number(inversion), depth: 'triad' },
      STANDARD_GUITAR,
    );
    const written = shapes.map(({ voicing, folded }) => `${voicing?.tones.map(({ fret }) => fret).join('.')}${folded ? '*' : ''}`);
    expect(written.join(' ')).toBe(wanted);
  });
});

describe('bass arpeggios with the octave: root under the second finger, the octave two strings and two frets up', () => {
  const BASS = INSTRUMENTS.find(({ name }) => name === 'Bass') as Instrument;
  test.each([
    ['F#', 4, 2],
    ['G', 4, 3],
    ['Ab', 4, 4],
    ['A', 4, 5],
    ['Bb', 4, 6],
    ['B', 4, 7],
    ['C', 4, 8],
    ['C', 3, 3],
    ['Db', 3, 4],
    ['D', 3, 5],
    ['Eb', 3, 6],
    ['E', 3, 7],
    ['F', 3, 8],
  ])('%s from string %i, fret %i', (root, string, fret) => {
    const place = { kind: 'position', position: fret - 1 } as const;
    const wish = { place, octave: true, fragment: null, turning: false, back: false, picking: 'alternate' } as const;
    const { notes } = arpeggioRun([requireValue(parseChord(root))], wish, BASS);
    const wanted = [
      [string, fret],
      [string - 1, fret - 1],
      [string - 1, fret + 2],
      [string - 2, fret + 2],
    ];
    expect(notes.map((note) => [note.string, note.fret])).toEqual(wanted);
    expect(notes[0]?.finger).toBe(2);
  });
});

describe('other strings', () => {
  const tuned = (text: string, capo = 0): Instrument => ({ ...STANDARD_GUITAR, tuning: requireValue(parseTuning(text)), capo });
  test.each([
    ['D2 A2 D3 G3 B3 E4', 'D', '000232', 'low D: the open shape on six strings'],
    ['D2 A2 D3 G3 B3 E4', 'D5', '000xxx', 'low D: one finger, here none, is a power chord'],
    ['D2 A2 D3 G3 B3 E4', 'F5', '333xxx', 'low D: a power chord under one finger'],
    ['D2 A2 D3 F#3 A3 D4', 'D', '000000', 'open D'],
    ['D2 A2 D3 F#3 A3 D4', 'G', '555555', 'open D: a barre at five is the 4'],
    ['D2 G2 D3 G3 B3 D4', 'G', 'x00000', 'open G from string 5'],
    ['D2 G2 D3 G3 B3 D4', 'C', 'x55555', 'open G: a barre at five is the 4'],
    ['D2 A2 D3 G3 A3 D4', 'Dsus4', '000000', 'open strings a fourth chord'],
    ['B1 E2 A2 D3 G3 B3 E4', 'C', 'xx32010', 'seven strings: the shape one has'],
    ['B1 E2 A2 D3 G3 B3 E4', 'Bm', '0x24432', 'seven strings: a low root under it'],
    ['Eb Ab Db Gb Bb Eb', 'B', 'x32010', 'a half step down: the C shape sounds B'],
    ['G4 C4 E4 A4', 'C', '0003', 'crossed strings: the lowest note is not on the first'],
  ])('%s: %s has %s (%s)', (tuning, symbol, wanted) => {
    const shapes = findVoicings(requireValue(parseChord(symbol)), tuned(tuning)).voicings;
    expect(shapes.map(({ frets }) => frets.map((fret) => fret ?? 'x').join(''))).toContain(wanted);
  });

  test('behind a capo the same shapes lie, so many half steps higher', () => {
    const shapes = (symbol: string, capo: number) =>
      findVoicings(requireValue(parseChord(symbol)), { ...STANDARD_GUITAR, capo, frets: 12 + capo }, { families: ['open'] })
        .voicings.map(({ frets }) => frets.map((fret) => (fret === null ? 'x' : fret - capo)).join())
        .sort();
    expect(shapes('F', 3).filter((frets) => !/[5-9]/.test(frets))).toEqual(shapes('D', 0).filter((frets) => !/[5-9]/.test(frets)));
  });
});

describe('what is held has the name it was looked for under', () => {
  test.each(['C', 'Am', 'G7', 'Dm7', 'Ebmaj7', 'F#m7b5', 'Bbdim7', 'Asus4', 'E9'])('whole shapes of %s on their root', (symbol) => {
    const chord = requireValue(parseChord(symbol));
    const whole = findVoicings(chord, STANDARD_GUITAR, { maxFret: 12 }).voicings.filter(
      ({ omitted, inversion }) => omitted.length === 0 && inversion === 0,
    );
    expect(whole.length).toBeGreaterThan(5);
    for (const { frets } of whole) {
      const names = nameFrets(frets, STANDARD_GUITAR, null).map((candidate) =>
        printChord({ ...candidate.chord, root: candidate.chord.root }),
      );
      expect(names.slice(0, 4).map((name) => requireValue(parseChord(name)).formula)).toContain(chord.formula);
    }
  });
});

describe('whatever is typed', () => {
  test('a tuning is read or refused with a place inside the text, and what is read can be an instrument or is refused', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string({ maxLength: 40 }), fc.stringMatching(/^([A-H][b#]{0,3}\d? ?){0,12}$/)), (text) => {
        const read = parseTuning(text);
        if (!read.ok) return read.span.start >= 0 && read.span.start <= text.length;
        const checked = checkInstrument({ ...STANDARD_GUITAR, tuning: read.value });
        return read.value.every(Number.isInteger) && (checked.ok || checked.fault.code.startsWith('tuning'));
      }),
      { seed: 9, numRuns: 2000 },
    );
  });

  test('numbers no instrument has are refused, never searched', () => {
    fc.assert(
      fc.property(fc.record({ frets: fc.double(), capo: fc.double(), comfortFret: fc.double(), scaleLength: fc.double() }), (over) => {
        const checked = checkInstrument({ ...STANDARD_GUITAR, ...over });
        return (
          !checked.ok ||
          (Number.isInteger(checked.value.frets) && checked.value.frets <= 24 && checked.value.capo < checked.value.comfortFret)
        );
      }),
      { seed: 10, numRuns: 2000 },
    );
  });
});
