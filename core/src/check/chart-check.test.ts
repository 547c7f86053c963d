import { describe, expect, test } from '@jest/globals';
import { analyze } from '../analysis/analyze.ts';
import { readProgression } from '../progression/progression.ts';
import { findingWords } from '../wording/check-words.ts';
import { checkChart } from './chart-check.ts';

function findings(text: string) {
  const progression = readProgression(text);
  return checkChart(progression.chart, analyze(progression));
}

const codes = (text: string) => findings(text).map(({ code, bar }) => `${code} ${bar}`);

describe('what is worth a look', () => {
  test.each([
    ['key: G\n[A]\n1 4 5 1', []],
    ['key: G\n[A]\n1 4 5\n[B]\n1 1', []],
    ['key: G\n[A]\n{pickup: 1} 5 1 4 5 1', []],
    ['key: G\n[A]\n|: 1 4 1.[ 5 5 ] 2.[ 1 ] :|', []],
    ['key: G\n[A]\n|: 1 4 1.[ 5 ] 2.[ 1 1 ] :|', []],
    ['key: G\n[A]\n1 4 5 4', []],
    ['key: G\n[A]\n1 4 5 <4>', []],
    ['key: G\n[A]\n1 4 5 5!', []],
    ['key: G\n[A]\n1 4 {fine} 5 5 {dc al fine}', []],
    ['key: Em\nnumbering: relative\n[A]\n6- 4 5 6-', []],
    ['key: G\nform: A\n[A]\n1 1\n[B]\n4 4', ['section-unplayed 2']],
    ['key: G\n[A]\n1 1\n[B]', ['section-empty 1']],
    // a coda is played when a jump leads to it
    ['key: G\n[A]\n1 4 {to coda} 5 5 {dc al coda}\n[Coda]\n{coda} 1 1', []],
    ['key: G\n[A]\n{segno} 1 4 {to coda} 5 5 {ds al coda}\n[Tag]\n4 4\n[Coda]\n{coda} 1 1', ['section-unplayed 4']],
    ['key: C\n[A]\n1 4- 1 1', []],
    ['key: C\n[A]\n1 b2- b3- 1', ['chord-unexplained 1']],
    ['key: C\n[A]\n1 4- 1 4-\n1 1 1 1', []],
    ['key: A\n[A]\n17 47 17 17', []],
    ['', []],
  ])('%j', (text, expected) => expect(codes(text)).toEqual(expected));

  test('every finding has words', () => {
    const all = findings('key: C\nform: A\n[A]\n1 b2- b3-\n[B]\n4- 4\n[C]\n');
    expect(all.length).toBeGreaterThan(2);
    for (const finding of all) expect(findingWords(finding)).toMatch(/^\S.*[.?]$/);
  });
});
