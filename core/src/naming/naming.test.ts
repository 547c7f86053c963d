import { describe, expect, test } from '@jest/globals';
import { parseChord } from '../chord/chord-text.ts';
import { parseQuality, printQuality } from '../chord/quality-text.ts';
import { parseNumber } from '../degree/number-text.ts';
import { requireValue } from '../fault.ts';
import { parseNote } from '../pitch/note-text.ts';
import { DEFAULT_NAMING, letterSchool, type Naming, nameChord, nameNote, nameRoman, nameStep, numberSchool } from './naming.ts';

const chord = (text: string) => requireValue(parseChord(text));
const named = (text: string, change: Partial<Naming>) => nameChord(chord(text), { ...DEFAULT_NAMING, ...change });

test.each([
  ['B', 'B', 'H', 'Si'],
  ['Bb', 'B♭', 'B', 'Si♭'],
  ['Bbb', 'B♭♭', 'H♭♭', 'Si♭♭'],
  ['B#', 'B♯', 'H♯', 'Si♯'],
  ['F#', 'F♯', 'F♯', 'Fa♯'],
  ['G', 'G', 'G', 'Sol'],
])('%s is said %s, %s and %s', (text, english, german, solfege) => {
  const note = requireValue(parseNote(text));
  expect([nameNote(note, 'english'), nameNote(note, 'german'), nameNote(note, 'solfege')]).toEqual([english, german, solfege]);
});

test.each<[symbol: string, change: Partial<Naming>, name: string]>([
  ['Bbmaj7', { majorSeventh: '△7' }, 'B♭△7'],
  ['Cm(maj7)', { majorSeventh: '△7' }, 'Cm(△7)'],
  ['Em7', { minorSeventh: '−7' }, 'E−7'],
  ['Em', { minorSeventh: '−7' }, 'E−'],
  ['F#m7b5', { halfDiminished: 'ø7' }, 'F♯ø7'],
  ['F#m7b5', { minorSeventh: '−7' }, 'F♯−7♭5'],
  ['Bdim', { diminished: '°' }, 'B°'],
  ['Bdim', { diminished: 'm♭5' }, 'Bm♭5'],
  ['Bdim7', { diminished: 'm♭5' }, 'Bdim7'],
  ['Bdim7', { diminished: '°' }, 'B°7'],
  ['Bb7/B', { notes: 'german' }, 'B7/H'],
  ['G7/B', { notes: 'solfege' }, 'Sol7/Si'],
])('%s for %j is %s', (symbol, change, name) => expect(named(symbol, change)).toBe(name));

test.each([
  ['2-7', 'ii7', 'IIm7'],
  ['7-7b5', 'viiø7', 'VIIø7'],
  ['b3maj7', '♭IIImaj7', '♭IIImaj7'],
  ['7o', 'vii°', 'VII°'],
  ['57', 'V7', 'V7'],
  ['4-', 'iv', 'IVm'],
])('%s is %s by case and %s in capitals', (text, roman, capitals) => {
  const number = requireValue(parseNumber(text, 0));
  expect([
    nameRoman(number, { ...DEFAULT_NAMING, degrees: 'roman' }),
    nameRoman(number, { ...DEFAULT_NAMING, degrees: 'capitals' }),
  ]).toEqual([roman, capitals]);
});

test('steps are whole and half, or tones and semitones', () => {
  expect((['W', 'H', 'W+H'] as const).map((step) => nameStep(step, 'T-S'))).toEqual(['T', 'S', 'T+S']);
});

test('double accidentals keep their name, or take the easier one', () => {
  const easier: Naming = { ...DEFAULT_NAMING, spelling: 'easier' };
  expect(nameChord(chord('F##dim7'), DEFAULT_NAMING)).toBe('F♯♯dim7');
  expect(nameChord(chord('F##dim7'), easier)).toBe('Gdim7');
  expect(nameChord(chord('Bbbmaj7/Dbb'), easier)).toBe('Amaj7/C');
  expect(nameChord(chord('E#m7'), easier)).toBe('E♯m7');
});

describe('what any school writes is read back', () => {
  const qualities = 'm dim aug maj7 7 m7 m7b5 dim7 m(maj7) maj7#5 aug7 6 m69 sus4 9 maj13#11 m11b5 7alt dim(maj7) m(add9)'.split(' ');
  const schools: Naming[] = (['maj7', '△7'] as const).flatMap((majorSeventh) =>
    (['m7', '−7'] as const).flatMap((minorSeventh) =>
      (['m7♭5', 'ø7'] as const).flatMap((halfDiminished) =>
        (['dim', '°', 'm♭5'] as const).map((diminished) => ({ ...DEFAULT_NAMING, majorSeventh, minorSeventh, halfDiminished, diminished })),
      ),
    ),
  );

  test.each(qualities)('%s', (quality) => {
    const { formula } = chord(`C${quality}`);
    for (const naming of schools) {
      for (const school of [letterSchool(naming), numberSchool(naming)]) {
        expect(parseQuality(printQuality(formula, school))).toEqual({ ok: true, value: formula });
      }
    }
  });
});
