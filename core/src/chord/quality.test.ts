import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { requireValue } from '../fault.ts';
import { parseChord } from './chord-text.ts';
import { type Formula, formulaNames, formulaOf, formulaTones, holdsAll, holdsAny, toneInterval } from './formula.ts';
import { ALTERED_FORMULA, departuresOf, frameFormula, qualityOf } from './quality.ts';
import { TONE_TABLE } from './tone-table.ts';

const formula = (symbol: string): Formula => requireValue(parseChord(`C${symbol}`)).formula;

describe('a formula is a set of tones', () => {
  test('its tones come back in spelling order', () => {
    expect(formulaNames(formulaOf('9', '1', 'b7', '3', '5'))).toEqual(['1', '3', '5', 'b7', '9']);
    expect(formulaTones(0)).toEqual([]);
  });

  test('holding all and holding any', () => {
    const seventh = formulaOf('1', '3', '5', 'b7');
    expect(holdsAll(seventh, formulaOf('3', 'b7'))).toBe(true);
    expect(holdsAll(seventh, formulaOf('3', '7'))).toBe(false);
    expect(holdsAny(seventh, formulaOf('3', '7'))).toBe(true);
    expect(holdsAny(seventh, formulaOf('b3', '7'))).toBe(false);
  });

  test('tones past the octave lie where their octave twins do', () => {
    for (const [high, low] of [
      ['9', '2'],
      ['11', '4'],
      ['13', '6'],
      ['b9', 'b2'],
      ['#11', '#4'],
      ['b13', 'b6'],
    ] as const) {
      expect(toneInterval(high)).toBe(toneInterval(low));
    }
  });
});

describe('a quality is a frame and what departs from it', () => {
  test.each([
    ['', 'major', 'none', [], [], []],
    ['m7b5', 'minor', '7', ['b5'], [], []],
    ['dim7', 'diminished', '7', [], [], []],
    ['aug7', 'augmented', '7', [], [], []],
    ['13b9', 'major', '13', ['b9'], [], []],
    ['7b9#9', 'major', '7', ['b9', '#9'], [], []],
    ['m7add11', 'minor', '7', [], ['11'], []],
    ['7no5', 'major', '7', [], [], [5]],
    ['69', 'major', '69', [], [], []],
    ['5', 'power', 'none', [], [], []],
    ['add9', 'major', 'none', [], ['9'], []],
  ] as const)('%j', (symbol, family, extension, alterations, additions, omissions) => {
    expect(qualityOf(formula(symbol))).toMatchObject({ family, extension, alterations, additions, omissions });
  });

  test('a plain frame is its own formula', () => {
    for (const symbol of ['', 'm', 'dim', 'aug', 'maj7', '7', 'm7', 'dim7', 'm(maj7)', '9', 'm11', '13', 'maj13', 'sus4', '9sus4']) {
      expect(frameFormula(qualityOf(formula(symbol)))).toBe(formula(symbol));
    }
  });

  test('the altered dominant has neither 5 nor 9', () => {
    expect(formulaNames(ALTERED_FORMULA)).toEqual(['1', '3', 'b7', 'b9', '#9', 'b13']);
  });

  test('counting departures agrees with naming them, where no tone stands twice', () => {
    const anyFormula = fc
      .record({
        third: fc.constantFrom('3' as const, 'b3' as const, '4' as const),
        fifth: fc.constantFrom('b5' as const, '5' as const, '#5' as const),
        seventh: fc.constantFrom('b7' as const, '7' as const, '6' as const, null),
        ninth: fc.constantFrom('b9' as const, '9' as const, '#9' as const, null),
        thirteenth: fc.constantFrom('b13' as const, null),
      })
      .map(({ third, fifth, seventh, ninth, thirteenth }) =>
        formulaOf('1', ...[third, fifth, seventh, ninth, thirteenth].filter((tone) => tone !== null)),
      );
    fc.assert(
      fc.property(anyFormula, (value) => {
        const named = qualityOf(value);
        const counted = departuresOf(value);
        expect(counted.frame).toMatchObject({ family: named.family, extension: named.extension });
        expect([counted.altered, counted.added, counted.omitted]).toEqual([
          named.alterations.length,
          named.additions.length,
          named.omissions.length,
        ]);
      }),
      { seed: 14, numRuns: 300 },
    );
  });

  test('every tone of the table can be found by its name', () => {
    for (const name of TONE_TABLE) expect(formulaNames(formulaOf(name))).toEqual([name]);
  });
});
