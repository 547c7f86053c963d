import { describe, expect, test } from '@jest/globals';
import { parseChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { STANDARD_TUNING } from '../fretboard/fretboard.ts';
import { STANDARD_GUITAR } from '../fretboard/instrument.ts';
import { findVoicings, type VoicingWish } from './search.ts';
import { toneRules } from './tone-rules.ts';

const rules = (symbol: string, wish: VoicingWish = {}, strings = 6) =>
  toneRules(requireValue(parseChord(symbol)), STANDARD_TUNING.slice(-strings), wish);

/** The tones without which no shape of the chord outside shells and fourths is taken. */
const needed = (symbol: string, wish: VoicingWish = {}) => {
  const { tones, accepts } = rules(symbol, wish);
  const all = (1 << tones.length) - 1;
  return tones.filter((_, index) => !accepts(all & ~(1 << index), ['other'], 5)).map(({ formula }) => formula);
};

describe('what a shape may leave out', () => {
  test.each([
    ['C', '1 3 5'],
    ['Cm7', '1 b3 5 b7'],
    ['C6', '1 3 5 6'],
    ['C9', '1 3 b7 9'],
    ['C69', '1 3 6 9'],
    ['Cmaj9', '1 3 7 9'],
    ['C13', '1 3 b7 13'],
    ['Cm11', '1 b3 b7 11'],
    ['C7b9', '1 3 b7 b9'],
    ['C7alt', '1 3 b7'],
    ['Cm7b5', '1 b3 b5 b7'],
    ['Caug', '1 3 #5'],
    ['Csus4', '1 4 5'],
    ['C/Bb', '1 3 5 bass'],
  ])('%s always has %s', (symbol, tones) => expect(needed(symbol).join(' ')).toBe(tones));

  test('the root or the fifth goes when asked, but a triad keeps its root', () => {
    expect(needed('C9', { without: ['root'] })).toEqual(['3', 'b7', '9']);
    expect(needed('Cmaj7', { without: ['fifth'] })).toEqual(['1', '3', '7']);
    expect(needed('C', { without: ['root'] })).toContain('1');
  });

  test('an open seventh chord may lack its fifth, a closed one not', () => {
    const { tones, accepts } = rules('C7');
    const heard = tones.reduce((bits, { formula }, index) => (formula === '5' ? bits : bits | (1 << index)), 0);
    expect(accepts(heard, ['open'], 5)).toBe(true);
    expect(accepts(heard, ['other'], 5)).toBe(false);
    expect(accepts(heard, ['shell'], 3)).toBe(true);
  });

  test('with fewer strings than tones the least telling go first', () => {
    expect(rules('C7', {}, 4).leftOut).toEqual([]);
    expect(rules('C7', {}, 3).leftOut).toEqual(['5']);
    expect(rules('C13', {}, 3).leftOut).toEqual(expect.arrayContaining(['5', '9', '1']));
  });

  test('stacks of fourths borrow the eleventh only when they are asked for', () => {
    const added = (wish: VoicingWish) =>
      findVoicings(requireValue(parseChord('Dm7')), STANDARD_GUITAR, wish).voicings.flatMap((voicing) => voicing.added);
    expect(new Set(added({ families: ['quartal'] }))).toEqual(new Set(['11']));
    expect(added({})).toEqual([]);
  });
});

describe('the order of the answer', () => {
  test.each([
    ['C', 'x32010'],
    ['G7', '320001'],
    ['Am7', 'x02010'],
    ['Em', '022000'],
    ['D', 'xx0232'],
    ['Fmaj7', 'xx3210'],
  ])('the first shape of %s is %s', (symbol, wanted) => {
    const [first] = findVoicings(requireValue(parseChord(symbol)), STANDARD_GUITAR, { maxFret: 15 }).voicings;
    expect(first?.frets.map((fret) => fret ?? 'x').join('')).toBe(wanted);
  });

  test('the same question has the same answer, shape by shape', () => {
    const ask = () => findVoicings(requireValue(parseChord('Ebm9')), STANDARD_GUITAR).voicings.map(({ frets }) => frets.join());
    expect(ask()).toEqual(ask());
    expect(new Set(ask()).size).toBe(ask().length);
  });
});
