import { describe, expect, test } from '@jest/globals';
import { analyzeText, parseKey, printNumber, requireValue } from '../src/index.ts';
import { CHORDS_IN_CONTEXT } from './chords-in-context-table.ts';

/** `C [A7] Dm` as plain chords and the place of the one in brackets. */
function readRow(row: string) {
  const [key = '', line = '', expected = ''] = row.split('|').map((part) => part.trim());
  const [kinds = '', target, resolution] = expected.split(' ');
  const tokens = line.split(' ');
  return {
    key: requireValue(parseKey(key)),
    source: tokens.map((token) => token.replace(/^\[|\]$/g, '')).join(' '),
    index: tokens.findIndex((token) => token.startsWith('[')),
    kinds: kinds.split('/'),
    target,
    resolution,
  };
}

test('the table is as long as it should be and asks about every reading', () => {
  expect(CHORDS_IN_CONTEXT.length).toBeGreaterThanOrEqual(150);
  expect(new Set(CHORDS_IN_CONTEXT.flatMap((row) => readRow(row).kinds)).size).toBe(16);
});

describe('chords in context', () => {
  test.each(CHORDS_IN_CONTEXT)('%s', (row) => {
    const { key, source, index, kinds, target, resolution } = readRow(row);
    const chord = analyzeText(source, { key }).chords[index];
    expect(kinds).toContain(chord?.reading.kind);
    if (target !== undefined) expect(chord?.reading.target && printNumber(chord.reading.target)).toBe(target);
    if (resolution !== undefined) expect(chord?.reading.resolution).toBe(resolution);
  });
});
