import { describe, expect, test } from '@jest/globals';
import { STANDARD_GUITAR } from '../fretboard/instrument.ts';
import { fingerings } from './fingering.ts';
import { canReach, difficultyOf, fitsHand, innerMutes, pressedSpan, reach, spansHand } from './hand.ts';
import { type Frets, fromCapo, positionOf, printFrets, soundingMidi } from './voicing.ts';

const frets = (text: string): Frets => [...text].map((fret) => (fret === 'x' ? null : Number(fret)));
const MM = 648;

describe('the hand in millimetres', () => {
  test('twelve frets halve the string, five take a quarter of it', () => {
    expect(reach(0, 12, MM)).toBeCloseTo(324);
    expect(reach(0, 5, MM)).toBeCloseTo(MM * 0.2508, 1);
    expect(reach(12, 24, MM)).toBeCloseTo(162);
  });

  test('four frets up the neck are less than four at the nut; the hand tells', () => {
    expect(reach(1, 5, MM)).toBeGreaterThan(reach(5, 9, MM));
    expect(spansHand(1, 5, MM)).toBe(false);
    expect(spansHand(5, 9, MM)).toBe(true);
    expect(spansHand(12, 17, MM)).toBe(false);
    // the same frets are further apart on a bass
    expect(spansHand(2, 6, 864)).toBe(false);
  });

  test.each([
    ['x32010', [1, 3], 0],
    ['000000', null, 0],
    ['3x0003', [3, 3], 1],
    ['xx0232', [2, 3], 0],
    ['3x343x', [3, 4], 1],
    ['xxxxxx', null, 0],
  ])('%s presses %j and keeps %i quiet inside', (text, span, mutes) => {
    expect(pressedSpan(frets(text), 0)).toEqual(span);
    expect(innerMutes(frets(text))).toBe(mutes);
  });

  test('neighbouring fingers stand two wide frets apart, not more; with a finger between twice as far', () => {
    expect(canReach(1, 65)).toBe(true);
    expect(canReach(1, 75)).toBe(false);
    expect(canReach(2, 130)).toBe(true);
  });

  test('difficulty grows with cost, span and muted strings, and ends at 10', () => {
    expect(difficultyOf(3, 60, 0)).toBeLessThan(difficultyOf(3, 90, 0));
    expect(difficultyOf(3, 60, 0)).toBeLessThan(difficultyOf(4, 60, 0));
    expect(difficultyOf(3, 60, 1) - difficultyOf(3, 60, 0)).toBeCloseTo(0.8);
    expect(difficultyOf(100, 200, 2)).toBe(10);
    expect(difficultyOf(0, 0, 0)).toBe(0);
  });

  test('open strings ask nothing of the reach', () => {
    expect(fitsHand(frets('x07600'), 0, MM)).toBe(true);
    expect(fitsHand(frets('17xxxx'), 0, MM)).toBe(false);
  });
});

describe('frets as they are written', () => {
  test.each([
    [[null, 3, 2, 0, 1, 0], 0, 'x32010'],
    [[null, 10, 12, 11, 12, null], 0, 'x-10-12-11-12-x'],
    [[1, 3, 3, 2, 1, 1], 1, '022100'],
    [[null, 12, 11, 9, 10, 9], 9, 'x32010'],
  ])('%j with capo %i is %s', (at, capo, written) => expect(printFrets(at, capo)).toBe(written));

  test('from the capo a muted string stays muted; the position is the lowest pressed fret', () => {
    expect(fromCapo([null, 3, 5], 3)).toEqual([null, 0, 2]);
    expect(positionOf([3, 5, 5, 4, 3, 3], 3)).toBe(4);
    expect(positionOf([3, 3, 3], 3)).toBe(3);
    expect(soundingMidi([null, 3, 2, 0, 1, 0], STANDARD_GUITAR.tuning)).toEqual([null, 48, 52, 55, 60, 64]);
  });
});

describe('who presses what', () => {
  const ways = (text: string, capo = 0) =>
    fingerings(frets(text), { ...STANDARD_GUITAR, capo }).map(({ fingers }) => fingers.map((finger) => finger ?? 'x').join(''));

  test('nothing pressed needs no finger; five fingers there are not', () => {
    expect(ways('000000')).toEqual(['000000']);
    expect(ways('123450')).toEqual([]);
  });

  test('a barre cannot lie over an open or a muted string, nor over one pressed behind it', () => {
    for (const [way] of [ways('x20202'), ways('2x2222'), ways('x21202')]) {
      expect(new Set([...(way ?? '')].filter((finger) => finger !== 'x' && finger !== '0')).size).toBeGreaterThan(1);
    }
    expect(ways('xx2222')[0]).toBe('xx1111');
  });

  test('behind a capo the same shape is held with the same fingers', () => expect(ways('022100')[0]).toBe(ways('244322', 2)[0]));

  test('the thumb never comes first, and never on fewer than six strings', () => {
    expect(ways('133211')[0]).not.toContain('T');
    expect(fingerings([1, 3, 3, 2], { ...STANDARD_GUITAR, tuning: [28, 33, 38, 43] }).flatMap(({ fingers }) => fingers)).not.toContain('T');
  });
});
