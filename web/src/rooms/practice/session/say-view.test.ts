import { DEFAULT_NAMING, type DrillStep, type Key, parseChord, parseNote, requireValue } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { chainWord, fretsOf, keysOfChain, sayWord, toneDots } from './say-view.ts';

const note = (name: string) => requireValue(parseNote(name));
const chord = (symbol: string) => requireValue(parseChord(symbol));
const MAJOR = (tonic: string): Key => ({ tonic: note(tonic), scale: 'major' });

function toneStep(name: string, string: number, fret: number, degree: number): DrillStep {
  return {
    tone: { note: note(name), string, fret, degree, step: 'W' },
    chord: null,
    number: null,
    midi: [40 + fret],
    beats: 1,
  } as unknown as DrillStep;
}
function chordStep(symbol: string): DrillStep {
  return { tone: null, chord: chord(symbol), number: null, midi: [], beats: 4 } as unknown as DrillStep;
}

describe('what is said at a note', () => {
  test.each([
    ['numbers', 0, '1'],
    ['numbers', 7, '♯1'],
    ['numbers', -3, '♭3'],
    ['names', 0, 'B♭'],
    ['steps', 0, 'W'],
  ] as const)('by %s, degree %i', (say, degree, word) => expect(sayWord(toneStep('Bb', 5, 1, degree), say, DEFAULT_NAMING)).toBe(word));

  test('follows the band’s school', () => {
    expect(sayWord(toneStep('Bb', 5, 1, 0), 'names', { ...DEFAULT_NAMING, notes: 'german' })).toBe('B');
    expect(sayWord(toneStep('Bb', 5, 1, 0), 'steps', { ...DEFAULT_NAMING, steps: 'T-S' })).toBe('T');
  });

  test('with neither note nor chord nothing is said', () =>
    expect(sayWord({ tone: null, chord: null, number: null } as unknown as DrillStep, 'names', DEFAULT_NAMING)).toBe(''));

  test('a chord without a number is said by name', () => expect(sayWord(chordStep('Ebmaj7'), 'numbers', DEFAULT_NAMING)).toBe('E♭maj7'));
});

describe('the places of a drill', () => {
  const STEPS = [toneStep('A', 5, 0, 0), toneStep('B', 5, 2, 2), toneStep('C#', 5, 4, 4), toneStep('B', 5, 2, 2)];

  test('stand once each, the root marked', () => {
    const dots = toneDots(STEPS, 'names', DEFAULT_NAMING);
    expect(dots.map(({ fret, label, root }) => [fret, label, root])).toEqual([
      [0, 'A', true],
      [2, 'B', false],
      [4, 'C♯', false],
    ]);
  });

  test.each([
    [[5, 7, 9], 22, { firstFret: 4, lastFret: 10 }],
    [[0, 2], 22, { firstFret: 1, lastFret: 5 }],
    [[20, 22], 22, { firstFret: 19, lastFret: 22 }],
  ])('frets %j of %i are drawn with one to each side, and five at least', (frets, all, drawn) =>
    expect(
      fretsOf(
        frets.map((fret) => ({ fret }) as never),
        { frets: all },
      ),
    ).toEqual(drawn),
  );
});

describe('a chain of ii–V–I', () => {
  test.each([
    ['reading', 'Dm7', 'Dm7'],
    ['with a rhythm', 'G7', 'G7'],
    ['broken order', 'Cmaj7', 'Cmaj7'],
  ] as const)('%s shows the name', (stage, symbol, word) =>
    expect(chainWord(chordStep(symbol), stage, MAJOR('C'), DEFAULT_NAMING)).toBe(word),
  );

  test('numbers only: of its own key; hidden and by ear: nothing', () => {
    expect(chainWord(chordStep('Fm7'), 'numbers only', MAJOR('Eb'), DEFAULT_NAMING)).toContain('2');
    expect(chainWord(chordStep('Fm7'), 'numbers only', null, DEFAULT_NAMING)).toBeNull();
    expect(chainWord(chordStep('Fm7'), 'hidden' as never, MAJOR('Eb'), DEFAULT_NAMING)).toBeNull();
    expect(chainWord(toneStep('A', 5, 0, 0), 'reading', MAJOR('A'), DEFAULT_NAMING)).toBeNull();
  });

  test('every third chord is a home: the I becomes the ii a whole step down', () => {
    const steps = ['Dm7', 'G7', 'Cmaj7', 'Cm7', 'F7', 'Bbmaj7'].map(chordStep);
    const keys = keysOfChain({ steps }, MAJOR('C')).map((key) => key?.tonic);
    expect(keys).toEqual([...Array(3).fill(note('C')), ...Array(3).fill(note('Bb'))]);
    expect(keysOfChain({ steps }, null)).toEqual(Array(6).fill(null));
  });
});
