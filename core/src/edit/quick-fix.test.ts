import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { applyQuickFix, quickFix } from './quick-fix.ts';

/** The text after the fix of its first problem of a kind. */
function mended(source: string, code: string): string {
  const problem = readChart(source).problems.find(({ fault }) => fault.code === code);
  if (problem === undefined) throw new Error(`no ${code} in ${source}: ${readChart(source).problems.map(({ fault }) => fault.code)}`);
  const fix = quickFix(problem, source);
  return fix === undefined ? '' : applyQuickFix(source, fix);
}

describe('one press writes what was most likely meant', () => {
  test.each([
    ['key: G\n1 15 4\n', 'two-bars-perhaps', 'key: G\n1 1 5 4\n'],
    ['key: G\n1 8 4\n', 'degree-range', 'key: G\n1 1 4\n'],
    ['key: G\n1 6/9 4\n', 'number-six-nine', 'key: G\n1 169 4\n'],
    ['key: G\nG em C\n', 'chord-lowercase', 'key: G\nG Em C\n'],
    ['key: G\n1 (4 5\n', 'unclosed', 'key: G\n1 (4 5)\n'],
    ['key: G\n|: 1 4\n', 'repeat-unclosed', 'key: G\n|: 1 4 :|\n'],
    ['key: G\nform: Vers, Vers\n\n[Verse]\n1 4\n', 'form-section-missing', 'key: G\nform: Verse, Vers\n\n[Verse]\n1 4\n'],
    ['G C D\n', 'key-missing', 'key: C\nG C D\n'],
  ])('%j: %s', (source, code, after) => expect(mended(source, code)).toBe(after));

  test.each([
    ['key: G\n1 (4 5\n', 'unclosed'],
    ['key: G\n1 8 4\n', 'degree-range'],
    ['key: G\nG em C\n', 'chord-lowercase'],
    ['key: G\n|: 1 4\n', 'repeat-unclosed'],
    ['G C D\n', 'key-missing'],
  ])('%j has no %s afterwards', (source, code) => {
    const after = readChart(mended(source, code));
    expect(after.problems.map(({ fault }) => fault.code)).not.toContain(code);
  });
});

test.each([
  ['key: G\n1 9 4\n', 'degree-range'],
  ['key: G\nform: Xylo\n\n[Verse]\n1 4\n', 'form-section-missing'],
])('%j: only the writer knows', (source, code) => expect(mended(source, code)).toBe(''));

test.each(['\n', '\r\n', '\r'])('line ends %j and everything beside the place stay to the letter', (end) => {
  const source = ['key: G', '  1 8   4', '~ words  ', '', '// 8'].join(end);
  expect(mended(source, 'degree-range')).toBe(['key: G', '  1 1   4', '~ words  ', '', '// 8'].join(end));
});
