import type { PracticeLog } from '@aurora/wire';
import { describe, expect, test } from '@jest/globals';
import { keyMap, medianLine, recallLines, tempoRows, unseenKeys } from './log-view.ts';

const NOW = Date.parse('2026-11-27T20:00:00Z');
const cell = (key: string, study: string, passes: number, good: number, lastAt: string) => ({
  key,
  study,
  what: 'x',
  passes,
  good,
  lastAt,
});
const log = (over: Partial<PracticeLog>): PracticeLog => ({
  passes: 0,
  cells: [],
  recall: [],
  mistaken: [],
  seams: [],
  tempos: [],
  weeks: [],
  ...over,
});

describe('the map of keys', () => {
  const rows = keyMap(
    log({
      cells: [
        cell('C major', 'recall', 10, 9, '2026-11-26T20:00:00Z'),
        cell('C major', 'recall', 10, 5, '2026-11-20T20:00:00Z'),
        cell('Gb major', 'shapes', 4, 1, '2026-11-01T20:00:00Z'),
        cell('C minor', 'recall', 3, 3, '2026-11-27T19:00:00Z'),
      ],
    }),
    'major',
    NOW,
  );

  test('has all twelve, with what was played of each stage and how it went', () => {
    expect(rows).toHaveLength(12);
    expect(rows[0]?.stages[0]).toEqual({ stage: 'recall', passes: 20, share: 0.7 });
    expect(rows[0]?.days).toBe(1);
  });

  test('a key is one key under either name, and minor is not major', () => {
    expect(rows[6]).toMatchObject({ passes: 4, days: 26 });
    expect(rows[0]?.passes).toBe(20);
    expect(keyMap(log({ cells: [cell('C minor', 'recall', 3, 3, '2026-11-27T19:00:00Z')] }), 'natural minor', NOW)[0]?.passes).toBe(3);
  });

  test('what was never seen comes before what was not seen for long', () => {
    expect(unseenKeys(rows, 12).at(-1)?.key.tonic).toBe(0);
    expect(unseenKeys(rows, 12).at(-2)?.days).toBe(26);
    expect(unseenKeys(rows, 1)[0]?.days).toBeNull();
  });
});

describe('lines over weeks', () => {
  const recall = [
    { what: 'degree-to-chord', week: '2026-11-16', answers: 20, right: 15, medianMs: 4000 },
    { what: 'degree-to-chord', week: '2026-11-23', answers: 20, right: 19, medianMs: 2400 },
    { what: 'relative', week: '2026-11-23', answers: 10, right: 10, medianMs: 6400 },
    { what: 'parallel', week: '2026-11-23', answers: 2, right: 2, medianMs: 900 },
  ];

  test('one for each kind that was asked often enough, those asked most first', () => {
    expect(recallLines(log({ recall }), 5).map(({ kind, points }) => [kind, points.map(({ seconds }) => seconds)])).toEqual([
      ['degree-to-chord', [4, 2.4]],
      ['relative', [6.4]],
    ]);
  });

  test('and the median of all', () => {
    expect(medianLine(log({ recall }))).toEqual([
      { week: '2026-11-16', seconds: 4 },
      { week: '2026-11-23', seconds: 2.4 },
    ]);
  });

  test('tempos from the first to the last day, whatever order they come in', () => {
    const tempos = [
      { item: 'runs/arpeggios/C major', day: '2026-11-20', tempo: 72 },
      { item: 'runs/arpeggios/C major', day: '2026-11-01', tempo: 60 },
      { item: 'shapes/ladder/C major', day: '2026-11-01', tempo: 60 },
    ];
    expect(tempoRows(log({ tempos }), 5)).toEqual([{ item: 'runs/arpeggios/C major', first: 60, last: 72, points: [60, 72] }]);
  });
});
