import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { type BarChange, compareCharts, comparedParts } from './compare-charts.ts';

const chart = (bars: string) => readChart(`key: G\n${bars}\n`);
const compared = (before: string, after: string) => compareCharts(chart(before), chart(after));

/** `=`, `~`, `-` and `+` for the same, changed, removed and added. */
const SIGNS: Readonly<Record<BarChange['kind'], string>> = { same: '=', changed: '~', removed: '-', added: '+' };
const signs = (before: string, after: string) =>
  compared(before, after)
    .map(({ kind }) => SIGNS[kind])
    .join('');

describe('what became of every bar', () => {
  test.each([
    ['1 4 5 1', '1 4 5 1', '===='],
    ['1 4 5 1', '1 2- 5 1', '=~=='],
    ['1 4 5 1', '1 5 1', '=-=='],
    ['1 5 1', '1 4 5 1', '=+=='],
    ['1 4', '1 4 5 1', '==++'],
    ['1 4 5 1', '', '----'],
    ['', '1 4', '++'],
    ['1 4 5 1', '6- 2- 3- b7', '~~~~'],
    ['1 4 5 1', '6- 2- 3-', '~~~-'],
    ['1 (4 5) 1', '1 (4... 5.) 1', '=~='],
    ['1 4 5', '1 <4> 5', '=~='],
    ['', '', ''],
  ])('%j to %j: %s', (before, after, expected) => expect(signs(before, after)).toBe(expected));

  test.each([
    ['1 % 4', '1 1 4'],
    ['1 (4 5)', '1 (4.. 5..)'],
    ['G C D', '1 4 5'],
    ['| 1 | 4 |', '1 4'],
  ])('%j and %j are the same bars, however they are typed', (before, after) => expect(signs(before, after)).toMatch(/^=+$/));

  test('another meter or another key step changes the bars it holds for', () => {
    expect(signs('1 4 5', '1 {3/4} 4 5')).toBe('=~~');
    expect(signs('1 4 5', '1 4 {key: +2} 5')).toBe('==~');
  });
});

test('every bar of both charts is told of once, in order', () => {
  const pool = ['1', '4', '5', '6-', '2-', '(1 4)', 'b7'];
  let seed = 7;
  const next = (below: number) => {
    seed = (seed * 16807) % 2147483647;
    return seed % below;
  };
  const line = () => Array.from({ length: next(14) }, () => pool[next(pool.length)] as string).join(' ');
  for (let round = 0; round < 300; round += 1) {
    const [before, after] = [chart(line()), chart(line())];
    const changes = compareCharts(before, after);
    const old = changes.flatMap((change) => ('before' in change ? [change.before] : []));
    const now = changes.flatMap((change) => ('after' in change ? [change.after] : []));
    expect(old).toEqual(before.bars.map((_, index) => index));
    expect(now).toEqual(after.bars.map((_, index) => index));
  }
});

test('as many bars as can be are the same: never fewer than both ends share', () => {
  const same = (before: string, after: string) => compared(before, after).filter(({ kind }) => kind === 'same').length;
  expect(same('1 4 5 6- 1', '1 4 2- 3- 6- 1')).toBe(4);
  // the longest common run, by hand: 1 5 6- 1
  expect(same('1 4 5 6- 2- 1', '1 5 3- 6- 1')).toBe(4);
});

test('very long charts are still compared at both ends', () => {
  const long = Array.from({ length: 1500 }, (_, index) => `${(index % 7) + 1}`).join(' ');
  const changes = compareCharts(chart(`1 4 ${long} 5`), chart(`1 4 b7 ${long} b3 5`));
  expect(changes[0]).toEqual({ kind: 'same', before: 0, after: 0 });
  expect(changes.at(-1)).toMatchObject({ kind: 'same' });
});

describe('by section', () => {
  const parts = (before: string, after: string) =>
    comparedParts(readChart(before), readChart(after)).map(({ name, wasCalled, changes }) => [
      name,
      wasCalled,
      changes.map(({ kind }) => SIGNS[kind]).join(''),
    ]);
  const SONG = 'key: G\n1 1\n\n[Verse]\n1 4\n\n[Chorus]\n4 5 1\n';
  test.each([
    [
      'as it is',
      SONG,
      [
        ['', null, '=='],
        ['Verse', null, '=='],
        ['Chorus', null, '==='],
      ],
    ],
    [
      'a bar taken out of the middle one',
      SONG.replace('1 4\n', '1\n'),
      [
        ['', null, '=='],
        ['Verse', null, '=-'],
        ['Chorus', null, '==='],
      ],
    ],
    [
      'called otherwise',
      SONG.replace('[Verse]', '[First]'),
      [
        ['', null, '=='],
        ['First', 'Verse', '=='],
        ['Chorus', null, '==='],
      ],
    ],
    [
      'one more',
      `${SONG}\n[Tag]\n6- 6-\n`,
      [
        ['', null, '=='],
        ['Verse', null, '=='],
        ['Chorus', null, '==='],
        ['Tag', null, '++'],
      ],
    ],
    [
      'one less',
      SONG.replace(/\[Chorus\][\s\S]*/, ''),
      [
        ['', null, '=='],
        ['Verse', null, '=='],
        ['Chorus', null, '---'],
      ],
    ],
  ])('%s', (_, after, expected) => expect(parts(SONG, after)).toEqual(expected));

  test('tells every change of the whole comparison once, in order', () => {
    const after = SONG.replace('4 5 1', '2- 5 1 1').replace('1 4\n', '4\n');
    expect(comparedParts(readChart(SONG), readChart(after)).flatMap(({ changes }) => changes)).toEqual(
      compareCharts(readChart(SONG), readChart(after)),
    );
  });
});
