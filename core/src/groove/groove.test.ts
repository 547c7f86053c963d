import { describe, expect, test } from '@jest/globals';
import { grooveBar, grooveOf, swung } from './groove.ts';
import { GROOVE_NAMES, PATTERNS } from './groove-table.ts';

describe('a feel in the words of a band', () => {
  test.each([
    ['', 'plain'],
    ['moody', 'plain'],
    ['plain', 'plain'],
    ['Swing', 'swing'],
    ['medium swing', 'swing'],
    ['slow swing ballad', 'swing'],
    ['jazz waltz', 'swing'],
    ['walking', 'swing'],
    ['shuffle', 'shuffle'],
    ['half-time shuffle', 'shuffle'],
    ['boogie', 'shuffle'],
    ['half time', 'half time'],
    ['ballad', 'ballad'],
    ['slow, gentle', 'ballad'],
    ['bossa nova', 'bossa'],
    ['latin', 'bossa'],
    ['Waltz', 'waltz'],
    ['country waltz', 'waltz'],
    ['rock', 'rock'],
    ['driving eighths', 'rock'],
    ['straight, heavy', 'rock'],
    ['straight 8ths', 'rock'],
    ['straight', 'straight'],
    ['straight, not swung', 'straight'],
    ['pop', 'straight'],
    ['16th funk', 'funk'],
    ['sixteenth feel', 'funk'],
    ['gospel 6/8', 'gospel'],
    ['slow 12/8', 'gospel'],
    ['train beat', 'train'],
    ['country two-step', 'train'],
    ['one drop', 'one drop'],
    ['reggae', 'one drop'],
  ] as const)('%j is %s', (feel, groove) => expect(grooveOf(feel)).toBe(groove));

  test('every groove is known by its own name', () => {
    for (const name of GROOVE_NAMES) expect(grooveOf(name)).toBe(name);
  });
});

describe('patterns', () => {
  const all = Object.entries(PATTERNS).flatMap(([name, { four = [], three = [], six = [] }]) =>
    [...four, ...three, ...six].map((pattern) => [name, pattern] as const),
  );
  test.each(all)('%s: every line has a sign for every step', (_, { steps, beats, rows, fill }) => {
    expect(steps % beats).toBe(0);
    for (const line of [...Object.values(rows), ...Object.values(fill)]) expect(line).toHaveLength(steps);
    expect(rows.guitar).toMatch(/^[.DdUuSmB1-4]+$/);
    expect(rows.bass).toMatch(/^R[.R358W]+$|^W[.W]+$/);
  });

  const METERS = [2, 3, 4, 5, 6, 7, 9]
    .map((beats) => ({ beats, unit: 4 }))
    .concat(
      [2, 3, 5, 6, 7, 9, 12].map((beats) => ({ beats, unit: 8 })),
      [2, 3].map((beats) => ({ beats, unit: 2 })),
    );
  test.each(GROOVE_NAMES.filter((name) => name !== 'plain'))('%s fills every meter, and nothing stands outside the bar', (name) => {
    for (const meter of METERS) {
      const bar = grooveBar(name, meter, 0);
      expect(bar.beats).toBe(meter.beats);
      expect(bar.cells.every(({ at }) => at >= 0 && at < meter.beats)).toBe(true);
      expect(bar.fill.every(({ at }) => at >= bar.fillFrom && at < meter.beats)).toBe(true);
      expect(bar.cells.some(({ row, at }) => row === 'bass' && at === 0)).toBe(true);
      expect(bar.cells.some(({ row }) => row !== 'bass' && row !== 'guitar')).toBe(true);
    }
  });

  // where a drummer's teacher puts them, counted from 0
  test.each([
    ['rock', 'snare', [1, 3]],
    ['shuffle', 'snare', [1, 3]],
    ['half time', 'snare', [2]],
    ['one drop', 'kick', [2]],
    ['one drop', 'rim', [2]],
    ['swing', 'pedal', [1, 3]],
    ['swing', 'ride', [0, 1, 1.5, 2, 3, 3.5]],
    ['train', 'kick', [0, 1, 2, 3]],
    ['gospel', 'snare', [1, 3]],
    ['funk', 'hat', Array.from({ length: 16 }, (__, step) => step / 4)],
  ] as const)('%s in four: the %s falls on %j', (name, row, places) => expect(cellsAt(name, { beats: 4, unit: 4 }, row)).toEqual(places));

  test.each([
    ['waltz', { beats: 3, unit: 4 }, 'kick', [0]],
    ['gospel', { beats: 6, unit: 8 }, 'snare', [3]],
    ['gospel', { beats: 12, unit: 8 }, 'snare', [3, 9]],
    ['rock', { beats: 5, unit: 4 }, 'kick', [0, 3]],
    ['rock', { beats: 7, unit: 8 }, 'snare', [4]],
    ['rock', { beats: 2, unit: 2 }, 'snare', [0.5, 1.5]],
    ['one drop', { beats: 4, unit: 4 }, 'guitar', [1, 3]],
  ] as const)('%s in %j: the %s falls on %j', (name, meter, row, places) => expect(cellsAt(name, meter, row)).toEqual(places));

  test('a bossa goes over two bars', () => {
    const rim = (order: number) => cellsAt('bossa', { beats: 4, unit: 4 }, 'rim', order);
    expect([rim(0), rim(1), rim(2)]).toEqual([
      [0, 1.5, 3],
      [1, 2.5],
      [0, 1.5, 3],
    ]);
  });
});

function cellsAt(name: (typeof GROOVE_NAMES)[number], meter: { beats: number; unit: number }, row: string, order = 0) {
  return grooveBar(name, meter, order)
    .cells.filter((cell) => cell.row === row)
    .map(({ at }) => at);
}

describe('swing', () => {
  const four = { beats: 4, unit: 4 };
  test('the second eighth falls after two thirds of the beat, the beat stays', () => {
    expect([0, 0.5, 1, 1.5, 3.5].map((at) => swung('swing', four, at, 120))).toEqual([0, 2 / 3, 1, 1 + 2 / 3, 3 + 2 / 3]);
  });
  test('the faster, the more even', () => {
    const long = [120, 180, 220, 260, 300, 340].map((tempo) => swung('shuffle', four, 0.5, tempo));
    expect(long).toEqual([...long].sort((a, b) => b - a));
    expect(long.at(-1)).toBeCloseTo(0.55);
  });
  test('what does not swing, and eighths of a meter in eighths, stay where they are', () => {
    expect(swung('rock', four, 0.5, 120)).toBe(0.5);
    expect(swung('swing', { beats: 7, unit: 8 }, 0.5, 120)).toBe(0.5);
  });
  test('order is kept', () => {
    const places = Array.from({ length: 64 }, (_, step) => swung('swing', four, step / 16, 140));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(new Set(places).size).toBe(64);
  });
});
