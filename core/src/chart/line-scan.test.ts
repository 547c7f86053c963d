import { describe, expect, test } from '@jest/globals';
import { scanLine } from './line-scan.ts';

const kinds = (line: string) => scanLine(line).map(({ kind, text }) => `${kind}:${text}`);

describe('a line of music is cut into tokens', () => {
  test.each<[line: string, tokens: readonly string[]]>([
    ['1 6- 2-7', ['word:1', 'word:6-', 'word:2-7']],
    ['  1\t4  ', ['word:1', 'word:4']],
    ['(1 5) 4', ['group:1 5', 'word:4']],
    ['(1 C7(b9, #11)) 4', ['group:1 C7(b9, #11)', 'word:4']],
    ['G7(b9, #11) 4', ['word:G7(b9, #11)', 'word:4']],
    ['|1 5|4||', ['barline:|', 'word:1', 'word:5', 'barline:|', 'word:4', 'barline:||']],
    ['|: 1 :|: 4 :|', ['barline:|:', 'word:1', 'barline::|:', 'word:4', 'barline::|']],
    ['1 "a (b) | c" 4', ['word:1', 'quoted:a (b) | c', 'word:4']],
    ['4"ring"', ['word:4', 'quoted:ring']],
    ['{key: +2} 1', ['braced:key: +2', 'word:1']],
    ['@bass "walk up" 1', ['cue:bass', 'word:1']],
    ['@bass 1', ['cue:bass', 'word:1']],
    ['1.[ 5 ]', ['word:1.[', 'word:5', 'word:]']],
    ['', []],
    ['   ', []],
  ])('%j', (line, tokens) => expect(kinds(line)).toEqual(tokens));

  test.each(['(1 4', '"ah', '{key', 'C7(b9', '((1)'])('%j is not closed, and runs to the end of the line', (line) => {
    const token = scanLine(line).at(-1);
    expect(token?.closed).toBe(false);
    expect((token?.start ?? 0) + (token?.length ?? 0)).toBe(line.length);
  });

  test('a cue holds its words', () => {
    expect(scanLine('@keys  "soft pad"')[0]).toMatchObject({ kind: 'cue', text: 'keys', words: 'soft pad', closed: true, length: 17 });
    expect(scanLine('@keys')[0]).toMatchObject({ words: null });
  });

  test('tokens lie where they say, one after the other', () => {
    const line = '|: 1 (4 5) "x" {3/4} @b "c" G7(b9) :|';
    let end = 0;
    for (const { start, length } of scanLine(line)) {
      expect(line.slice(end, start).trim()).toBe('');
      expect(start).toBeGreaterThanOrEqual(end);
      end = start + length;
    }
    expect(end).toBe(line.length);
  });
});
