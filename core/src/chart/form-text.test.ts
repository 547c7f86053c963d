import { describe, expect, test } from '@jest/globals';
import type { FormMark } from './chart.ts';
import { isEndingOpen, parseEndingOpen, parseFormLine, parseFormWords, parseRepeatSign, printFormMark } from './form-text.ts';

describe('words in braces', () => {
  test.each<[string, FormMark]>([
    ['segno', { kind: 'sign', sign: 'segno' }],
    ['Coda', { kind: 'sign', sign: 'coda' }],
    [' FINE ', { kind: 'sign', sign: 'fine' }],
    ['to coda', { kind: 'to-coda' }],
    ['To  Coda', { kind: 'to-coda' }],
    ['dc', { kind: 'jump', to: 'start', until: 'either', keepRepeats: false }],
    ['D.S.', { kind: 'jump', to: 'segno', until: 'either', keepRepeats: false }],
    ['ds al coda', { kind: 'jump', to: 'segno', until: 'coda', keepRepeats: false }],
    ['D.C. al Fine', { kind: 'jump', to: 'start', until: 'fine', keepRepeats: false }],
    ['dc! al fine', { kind: 'jump', to: 'start', until: 'fine', keepRepeats: true }],
    ['ds al coda!', { kind: 'jump', to: 'segno', until: 'coda', keepRepeats: true }],
  ])('%s', (text, mark) => expect(parseFormWords(text)).toEqual(mark));

  test.each(['', 'codas', 'ds al', 'ds al segno', 'to segno', 'key: G', '3/4', 'dcal fine', 'd s x'])('%j is none', (text) =>
    expect(parseFormWords(text)).toBeUndefined(),
  );
});

describe('endings', () => {
  test.each([
    ['1.[', [1]],
    ['2.[', [2]],
    ['1,2.[', [1, 2]],
    ['1-3.[', [1, 2, 3]],
    ['1,3-4.[', [1, 3, 4]],
    ['3,1,1.[', [1, 3]],
    ['12.[', [12]],
  ])('%s', (word, passes) => {
    expect(isEndingOpen(word)).toBe(true);
    expect(parseEndingOpen(word)).toEqual({ kind: 'ending-open', passes });
  });

  test.each(['[', '1[', '.[', '1.', 'a.[', '123.[', '1,.[', '-1.['])('%s opens none', (word) => expect(isEndingOpen(word)).toBe(false));

  test('a range the wrong way round or far too long stays small', () => {
    expect(parseEndingOpen('5-2.[')).toEqual({ kind: 'ending-open', passes: [5] });
    const { passes } = parseEndingOpen('1-99.[') as Extract<FormMark, { kind: 'ending-open' }>;
    expect(passes).toHaveLength(99);
  });
});

test.each([
  ['|:', [{ kind: 'repeat-open' }]],
  [':|', [{ kind: 'repeat-close', times: null }]],
  [':| x3', [{ kind: 'repeat-close', times: 3 }]],
  [':|×4', [{ kind: 'repeat-close', times: 4 }]],
  [':|:', [{ kind: 'repeat-close', times: null }, { kind: 'repeat-open' }]],
  [':||:', [{ kind: 'repeat-close', times: null }, { kind: 'repeat-open' }]],
  ['|', []],
  ['||', []],
])('the bar line %s', (text, marks) => expect(parseRepeatSign(text)).toEqual(marks));

test('every mark is read back as it is written', () => {
  const jumps = (['start', 'segno'] as const).flatMap((to) =>
    (['coda', 'fine', 'either'] as const).flatMap((until) =>
      [true, false].map((keepRepeats) => ({ kind: 'jump' as const, to, until, keepRepeats })),
    ),
  );
  const braced: readonly FormMark[] = [
    ...jumps,
    ...(['segno', 'coda', 'fine'] as const).map((sign) => ({ kind: 'sign' as const, sign })),
    { kind: 'to-coda' },
  ];
  for (const mark of braced) expect(parseFormWords(printFormMark(mark).slice(1, -1))).toEqual(mark);
  for (const times of [null, 1, 2, 3, 99]) {
    const mark: FormMark = { kind: 'repeat-close', times };
    expect(parseRepeatSign(printFormMark(mark))).toEqual([mark]);
  }
  for (const passes of [[1], [1, 2], [2, 4, 7], [10]]) {
    const mark: FormMark = { kind: 'ending-open', passes };
    expect(parseEndingOpen(printFormMark(mark))).toEqual(mark);
  }
});

describe('form lines', () => {
  const plain = (value: string) => parseFormLine(value).map(({ name, times }) => (times === null ? name : `${name}*${times}`));

  test.each([
    ['Intro, Verse, Chorus', ['Intro', 'Verse', 'Chorus']],
    ['Verse x2, Chorus ×3', ['Verse*2', 'Chorus*3']],
    ['Verse 2 x2', ['Verse 2*2']],
    ['Verse X2', ['Verse*2']],
    [' ,, Verse ,', ['Verse']],
    ['', []],
    ['x2', ['x2']],
    ['Verse x0', ['Verse x0']],
  ])('%j', (value, entries) => expect(plain(value)).toEqual(entries));

  test('every entry knows where it stands', () => {
    const value = 'Intro,  Verse x2 , Chorus';
    for (const { start, length, name } of parseFormLine(value)) expect(value.slice(start, start + length).startsWith(name)).toBe(true);
    expect(parseFormLine(value).map(({ start, length }) => value.slice(start, start + length))).toEqual(['Intro', 'Verse x2', 'Chorus']);
  });
});
