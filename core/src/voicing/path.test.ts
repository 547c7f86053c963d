import { describe, expect, test } from '@jest/globals';
import { parseChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { STANDARD_GUITAR } from '../fretboard/instrument.ts';
import { chroma } from '../pitch/note.ts';
import { candidatesFor, findPath, type PathChord, solvePath } from './path.ts';
import { costOf, type PathLimits, type Standing } from './path-cost.ts';
import { printFrets } from './voicing.ts';

const wanted = (symbol: string, over: Partial<PathChord> = {}): PathChord => ({
  chord: requireValue(parseChord(symbol)),
  melody: null,
  locked: null,
  ...over,
});
const chords = (symbols: string) => symbols.split(' ').map((symbol) => wanted(symbol));
const LIMITS: PathLimits = {
  families: ['drop-2', 'shell', 'triad'],
  lowestFret: 3,
  highestFret: 9,
  mostDifficult: 7,
  top: 'smooth',
  holdCommon: true,
  rootLowest: false,
  rootless: false,
};

/** The cheapest of all ways there are, by trying every one. */
function bruteForce(progression: readonly PathChord[], limits: PathLimits): number {
  const stages = progression.map((chord) => candidatesFor(chord, limits, STANDARD_GUITAR));
  const cheapest = (index: number, before: Standing | null): number => {
    const stage = stages[index];
    if (stage === undefined) return 0;
    return Math.min(...stage.map((standing) => costOf(before, standing, limits).total + cheapest(index + 1, standing)));
  };
  return cheapest(0, null);
}

describe('the path with the least movement', () => {
  test.each<[string, Partial<PathLimits>]>([
    ['Dm7 G7 Cmaj7', {}],
    ['Am7 D7 Gmaj7', { top: 'kept' }],
    ['Em7 A7 Dm7', { top: 'free', holdCommon: false, families: ['drop-2'] }],
    ['C Am F G', { families: ['triad'], lowestFret: 0, highestFret: 7 }],
    ['Fm7 Bb7 Ebmaj7', { rootLowest: true, families: ['drop-2', 'drop-3', 'shell'] }],
    ['C13 F9', { families: ['drop-2', 'drop-3'], rootless: true }],
  ])('%s, %j: no other way is cheaper', (symbols, over) => {
    const limits = { ...LIMITS, ...over };
    const path = findPath(chords(symbols), limits, STANDARD_GUITAR);
    expect(path.total).toBeCloseTo(bruteForce(chords(symbols), limits), 3);
    expect(path.steps.reduce((sum, { cost }) => sum + cost.total, 0)).toBeCloseTo(path.total, 3);
  });

  test('an alternative costs exactly what the path costs when it is locked', () => {
    const progression = chords('Dm7 G7 Cmaj7 A7');
    const path = findPath(progression, LIMITS, STANDARD_GUITAR);
    const other = path.steps[1]?.alternatives[1];
    const locked = progression.map((chord, index) => (index === 1 ? { ...chord, locked: other?.voicing.frets ?? null } : chord));
    const again = findPath(locked, LIMITS, STANDARD_GUITAR);
    expect(again.steps[1]?.voicing?.frets).toEqual(other?.voicing.frets);
    expect(again.total - path.total).toBeCloseTo(other?.extra ?? Number.NaN, 2);
  });

  test('every shape keeps the limits; a lock goes before them; the melody is on top', () => {
    const locked = [1, 3, 3, 2, 1, 1];
    const path = findPath([wanted('Dm7'), wanted('F', { locked }), wanted('Cmaj7', { melody: 4 })], LIMITS, STANDARD_GUITAR);
    expect(printFrets(path.steps[1]?.voicing?.frets ?? [])).toBe('133211');
    const top = path.steps[2]?.voicing?.tones.reduce((high, tone) => (tone.midi > high.midi ? tone : high));
    expect(top && chroma(top.note)).toBe(chroma(4));
    for (const fret of path.steps[0]?.voicing?.frets ?? []) expect(fret === null || fret === 0 || (fret >= 3 && fret <= 9)).toBe(true);
  });

  test('a chord nothing fits is left open, and the path goes on', () => {
    const path = findPath(chords('Dm7 C5 G7'), LIMITS, STANDARD_GUITAR);
    expect(path.steps.map(({ voicing }) => voicing === null)).toEqual([false, true, false]);
    expect(findPath([], LIMITS, STANDARD_GUITAR)).toEqual({ steps: [], total: 0 });
  });

  test('it says how far it is, never backwards, and can be left in the middle', () => {
    const work = solvePath(chords('Dm7 G7 Cmaj7 A7'), LIMITS, STANDARD_GUITAR);
    const shares: number[] = [];
    for (let next = work.next(); !next.done; next = work.next()) shares.push(next.value);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(shares.at(-1)).toBeLessThanOrEqual(1);
  });
});
