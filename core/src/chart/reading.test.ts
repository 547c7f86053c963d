import { describe, expect, test } from '@jest/globals';
import { printNumber } from '../degree/number-text.ts';
import { requireValue } from '../fault.ts';
import { parseKey, printKey } from '../key/key-text.ts';
import { printBarToken } from './bars.ts';
import { keysReadFrom, printBar, readChart } from './reading.ts';
import { renderChart } from './render.ts';

const bars = (text: string) => readChart(text).bars.map((bar) => printBar(bar, printNumber));
const beats = (text: string) => readChart(text).bars.map((bar) => bar.chords.map((chord) => chord.beats));
const tonic = (key: string) => requireValue(parseKey(key)).tonic;
const letters = (text: string, key: string) => renderChart(readChart(text), tonic(key), 'letters').bars;

describe('bars', () => {
  test.each<[text: string, written: readonly string[]]>([
    ['1 6- 2- 5', ['1', '6-', '2-', '5']],
    ['1 5 | 4', ['1 5', '4']],
    ['| 1 | 6- | 2-7 57 | 1 |', ['1', '6-', '2-7 57', '1']],
    ['|1 5|4||1|', ['1 5', '4', '1']],
    ['(1 5) 4', ['1 5', '4']],
    ['|: 1 | 4 :|', ['1', '4']],
    ['|: 1 4 :|', ['1', '4']],
    ['1 % 4 %', ['1', '1', '4', '4']],
    ['1 4 %%', ['1', '4', '1', '4']],
    ['NC (1 NC)', ['NC', '1 NC']],
    ['key: G\nG C(b5) D7/F#', ['1', '4(b5)', '57/7']],
    ['key: D\nD A/C# | Bm7 E7(b9, #11) |', ['1 5/7', '6-7 27b9#11']],
    ['[A]\n1 4\n~ words: here\n// and a note\n5', ['1', '4', '5']],
    ['>1 <4> 5! 6-? ><1>!', ['1', '4', '5', '6-', '1']],
    ['1 "watch" 4 @bass "walk up" 5', ['1', '4', '5']],
    ['key: Em\nnumbering: relative\n6- 2- 37 6-', ['6-', '2-', '37', '6-']],
    ['[Verse] 1 4', ['1', '4']],
    ['1\u00a04\t5', ['1', '4', '5']],
  ])('%j', (text, written) => expect(bars(text)).toEqual(written));

  test.each<[text: string, shared: readonly (readonly (number | null)[])[]]>([
    ['1 (2- 5) (1 4 5 1)', [[4], [2, 2], [1, 1, 1, 1]]],
    [
      '(1.. 4. 5.) (1.., 5.,)',
      [
        [2, 1, 1],
        [2.5, 1.5],
      ],
    ],
    ['time: 6/8\n(6- 1) (1... 4...) 1', [[3, 3], [3, 3], [6]]],
    [
      'time: 3/4\n(1 4) (1 4 5)',
      [
        [1.5, 1.5],
        [1, 1, 1],
      ],
    ],
    ['time: 5/4\n(1... 5..) {3/4} 1', [[3, 2], [3]]],
    ['{pickup: 1} 5 1', [[1], [4]]],
    ['{pickup: 1.5} (5. 5,) 1', [[1, 0.5], [4]]],
    // a repeated bar fills the bar it stands in: an equal share stays one
    ['{pickup: 1} 5 %', [[1], [4]]],
    [
      '(1 4) {3/4} % {2/4} %',
      [
        [2, 2],
        [1.5, 1.5],
        [1, 1],
      ],
    ],
    ['time: 3/4\n1 4 {4/4} %%', [[3], [3], [4], [4]]],
    [
      '(1... 4.) % {3/4} %',
      [
        [3, 1],
        [3, 1],
        [null, null],
      ],
    ],
    [
      '(1 4 5) %',
      [
        [null, null, null],
        [null, null, null],
      ],
    ],
    ['(1 4 5) 1', [[null, null, null], [4]]],
    ['(1.. 4) 1', [[null, null], [4]]],
    ['(1.. 4.) 1', [[null, null], [4]]],
    ['(1 xx) 1', [[null], [4]]],
  ])('%j shares its beats', (text, shared) => expect(beats(text)).toEqual(shared));

  test('a bar is written as one token again', () => {
    const text = '1 (2-7 57) (1.., 5.,) >4 <1> (1 NC) %';
    expect(readChart(text).bars.map(printBarToken).join(' ')).toBe('1 (2-7 57) (1.., 5.,) >4 <1> (1 NC) (1 NC)');
  });

  test('what stands on a bar stays with it', () => {
    const [first, second] = readChart('[A] x2 -- easy\n"soft" 1 4 "build" @drums "fill"').bars;
    expect(first?.remarks).toEqual([{ to: null, text: 'soft' }]);
    expect(second?.remarks).toEqual([
      { to: null, text: 'build' },
      { to: 'drums', text: 'fill' },
    ]);
  });

  test('a repeated bar takes the chords without push, stop or remark, and keeps the ring', () => {
    const again = readChart('><1>! "hey" %').bars[1];
    expect(again).toMatchObject({ sign: '%', remarks: [], chords: [{ push: false, stop: false, ring: true }] });
  });

  test('sections are played as often as they say, what comes before them once', () => {
    const { performance, sections } = readChart('1\n[A] x2\n4 5\n[B]\n1');
    expect(performance.order).toEqual([0, 1, 2, 1, 2, 3]);
    expect(sections.map(({ name, times, from, count }) => [name, times, from, count])).toEqual([
      ['A', 2, 1, 2],
      ['B', 1, 3, 1],
    ]);
  });
});

describe('keys', () => {
  const stretches = (text: string) => readChart(text).stretches;
  const keys = (text: string, home: string) => keysReadFrom(stretches(text), tonic(home)).map((key) => printKey(key));

  test.each<[text: string, home: string, expected: readonly string[]]>([
    ['key: A\n1 {key: +2} 1', 'A', ['A', 'B']],
    ['key: A\n1 {key: +2} 1', 'Bb', ['Bb', 'C']],
    ['key: Em\n1- {key: F#m} 1-', 'Em', ['Em', 'F#m']],
    ['key: Em\n1- {key: F#m} 1-', 'Gm', ['Gm', 'Am']],
    ['key: C\n1 {key: C#} 1', 'C', ['C', 'C#']],
    ['key: C\n1 {key: C#} 1', 'G', ['G', 'Ab']],
    ['key: F\n1 {key: +1} 1', 'F', ['F', 'Gb']],
    ['key: E\n1 {key: +2} 1', 'E', ['E', 'F#']],
    ['key: D\n1 {key: -1} 1 {key: -1} 1', 'D', ['D', 'Db', 'C']],
    ['key: F# harmonic minor\n1- {key: D dorian} 1-', 'A', ['A harmonic minor', 'F dorian']],
  ])('%j read in %s', (text, home, expected) => expect(keys(text, home)).toEqual(expected));

  test('letters follow the key, numbers do not', () => {
    const text = 'key: D\n1 4 {key: +2} 1 4';
    expect(letters(text, 'D')).toEqual(['D', 'G', 'E', 'A']);
    expect(letters(text, 'Eb')).toEqual(['Eb', 'Ab', 'F', 'Bb']);
    expect(bars(text)).toEqual(['1', '4', '1', '4']);
  });

  test('letters typed after a key change count from it', () => expect(bars('key: D\nD G {key: E} E A')).toEqual(['1', '4', '1', '4']));

  test('relative numbering stays in force after a key change', () => {
    const text = 'key: Em\nnumbering: relative\n6- 37 {key: F#m} 6- 37';
    expect(letters(text, 'Em')).toEqual(['Em', 'B7', 'F#m', 'C#7']);
  });
});

describe('what is wrong is said, where it stands', () => {
  test.each<[text: string, code: string, line: number, column: number, length: number]>([
    ['1 8 4', 'degree-range', 1, 3, 1],
    ['1 0', 'degree-range', 1, 3, 1],
    ['[A]\n1 xyz', 'token-unreadable', 2, 3, 3],
    ['  g em c', 'chord-lowercase', 1, 3, 1],
    ['13', 'number-run-together', 1, 1, 2],
    ['1 6/9', 'number-six-nine', 1, 3, 3],
    ['7b9', 'number-on-seven', 1, 1, 3],
    ['1 (1 4 5)', 'beats-uneven', 1, 3, 7],
    ['(1.. 4)', 'beats-missing', 1, 1, 7],
    ['(1.. 4.)', 'beats-sum', 1, 1, 8],
    ['1..', 'beats-outside-bar', 1, 1, 3],
    ['(1 %)', 'repeat-in-bar', 1, 4, 1],
    ['%', 'repeat-nothing', 1, 1, 1],
    ['(1... 4.) {3/4} %', 'beats-sum', 1, 17, 1],
    ['1 %%', 'repeat-nothing', 1, 3, 2],
    ['(1 4', 'unclosed', 1, 1, 4],
    ['1 "ah', 'unclosed', 1, 3, 3],
    ['1 {key: Z}', 'note-letter', 1, 3, 8],
    ['1 {key: +12}', 'head-value', 1, 3, 10],
    ['1 {swing}', 'change-unknown', 1, 3, 7],
    ['<1>!', 'ring-and-stop', 1, 1, 4],
    ['<1!>', 'mark-order', 1, 1, 4],
    ['<1', 'unclosed', 1, 1, 2],
    ['1 | | 4', 'bar-empty', 1, 5, 1],
    ['()', 'bar-empty', 1, 1, 2],
    ['1 @bass', 'cue-wordless', 1, 3, 5],
    ['{pickup: 9} 1', 'pickup-range', 1, 13, 1],
    ['1 {pickup: 1}', 'pickup-without-bar', 1, 3, 11],
    ['[A', 'unclosed', 1, 1, 2],
    ['[A] x0\n1', 'count-range', 1, 1, 6],
    ['[]\n1', 'section-nameless', 1, 1, 2],
    ['[A] 1', 'section-rest', 1, 5, 1],
    ['key: Q\n1', 'note-letter', 1, 1, 6],
    ['time: 4/5\n1', 'head-value', 1, 1, 9],
    ['tempo: fast\n1', 'head-value', 1, 1, 11],
    ['range: low\n1', 'head-value', 1, 1, 10],
    ['key: D\nkey: E\n1', 'head-twice', 2, 1, 6],
    ['key: D\nnumbering: relative\n1', 'numbering-in-major', 2, 1, 19],
    ['C F', 'key-missing', 1, 1, 1],
    ['1 4 :|', 'repeat-unopened', 1, 5, 2],
    ['form: B\n[A]\n1', 'form-section-missing', 1, 7, 1],
    ['1 1.[ 5 ]', 'ending-outside', 1, 3, 3],
    ['1 {ds al coda}', 'jump-target', 1, 3, 12],
    ['1 2- 15 4', 'two-bars-perhaps', 1, 6, 2],
    ['1 17 5', 'two-bars-perhaps', 1, 3, 2],
  ])('%j: %s', (text, code, line, column, length) => {
    const problem = readChart(text).problems.find(({ fault }) => fault.code === code);
    expect(problem?.at).toEqual({ line, column, length });
  });

  test.each(['1 17 4 5', '17 47 17 17 57', '16 4 16 5', '15 45 55', '1 67 2- 57 1', '2-7 b27 1'])('%j is meant as it stands', (text) => {
    expect(readChart(text).problems).toEqual([]);
  });

  test('good bars around a bad token are kept, and a bad token is no bar', () => {
    expect(bars('1 wat 4 (5 huh) 1')).toEqual(['1', '4', '5', '1']);
  });

  test('a performance too long to write out is cut and says so', () => {
    const { performance, problems } = readChart(`[A] x99\n${'1 '.repeat(1000)}`);
    expect(performance.count).toBe(99_000);
    expect(performance.order).toHaveLength(20_000);
    expect(problems.at(-1)?.fault.code).toBe('performance-long');
  });
});
