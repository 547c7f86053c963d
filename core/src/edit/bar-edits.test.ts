import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { printBar, readChart } from '../chart/reading.ts';
import { printNumber } from '../degree/number-text.ts';
import {
  deleteBars,
  duplicateBars,
  joinBars,
  markEnding,
  moveBars,
  openChart,
  splitBar,
  toggleMark,
  toggleRepeat,
  writeBar,
} from './bar-edits.ts';
import { deepenBars } from './deepen.ts';

const HEAD = 'title: Slow Ferry\nkey: G\n\n';
const song = (body: string) => openChart(HEAD + body);
const body = (text: string) => text.slice(HEAD.length);
const put = (chart: ReturnType<typeof openChart>, bar: number, typed: string) =>
  writeBar(chart, { bar, isNew: false, typed, lettersFrom: null });
const written = (text: string) =>
  readChart(text)
    .bars.map((bar) => printBar(bar, printNumber))
    .join(' ');

describe('a bar is written', () => {
  test.each([
    ['1 4 5', 1, '6-', '1 6- 5'],
    ['1 4 5', 1, 'Em7', '1 6-7 5'],
    ['1 4 5', 1, '2-7 57', '1 (2-7 57) 5'],
    ['1 4 5', 1, '(1.. 5/7. 6-.)', '1 (1.. 5/7. 6-.) 5'],
    ['1 4 5', 1, '>4', '1 >4 5'],
    ['1 4 5', 1, '%', '1 % 5'],
    ['1 4 "watch" 5', 1, '6-', '1 6- "watch" 5'],
    ['1 4 5', 3, '6-', '1 4 5 6-'],
    ['1 4 5 1', 4, '6-', '1 4 5 1\n6-'],
    ['1 % % 5', 1, '4', '1 4 % 5'],
    ['1 4 %% 5', 2, '6-', '1 4 6- 4 5'],
    ['1 4 %% 5', 3, '6-', '1 4 1 6- 5'],
    ['| 1 | 4 | 5 |', 1, '6-', '1 6- 5'],
    ['| 1 5 | 4 | 5 |', 0, '6-', '6- 4 5'],
    ['[A]\n1\n~ la la\n4', 1, '5', '[A]\n1\n~ la la\n5'],
  ])('%j, bar %i: %s', (before, bar, typed, after) => {
    expect(put(song(before), bar, typed)).toEqual({ ok: true, value: HEAD + after });
  });

  test('the first bar of an empty chart', () => {
    expect(put(openChart('title: X\nkey: G\n'), 0, 'C')).toEqual({ ok: true, value: 'title: X\nkey: G\n\n4\n' });
    expect(put(openChart(''), 0, '1')).toEqual({ ok: true, value: '1\n' });
    expect(put(song('[A]\n'), 0, '1')).toMatchObject({ ok: true });
  });

  test('letters count from the key in force there', () => {
    expect(put(song('1 {key: +2} 1 4'), 2, 'A')).toEqual({ ok: true, value: `${HEAD}1 {key: +2} 1 1` });
    expect(put(openChart('key: Em\nnumbering: relative\n\n6-'), 0, 'C')).toEqual({
      ok: true,
      value: 'key: Em\nnumbering: relative\n\n4',
    });
  });

  test.each([
    ['', 'empty', 0],
    ['8', 'degree-range', 0],
    ['1 wat', 'token-unreadable', 2],
    ['(1 %)', 'repeat-in-bar', 3],
    ['1 | 4', 'token-unreadable', 0],
    ['{key: A}', 'token-unreadable', 0],
    ['em', 'chord-lowercase', 0],
  ])('%j is refused where it is wrong', (typed, code, start) => {
    expect(put(song('1 4'), 0, typed)).toMatchObject({ ok: false, fault: { code }, span: { start } });
  });
});

describe('bars are moved about', () => {
  test.each([
    ['1 4 5 6-', [1, 1], '1 5 6-'],
    ['1 4\n5 6-', [0, 1], '5 6-'],
    ['1 "go" 4', [0, 0], '4'],
    ['1 % 4', [0, 0], '1 4'],
    ['1 4 %% 5', [0, 0], '4 1 4 5'],
    ['|: 1 4 :| 5', [1, 1], '|: 1 :| 5'],
    ['| 1 | 4 | 5 |', [1, 1], '1 5'],
  ] as const)('deleted: %j %j', (before, [from, to], after) => {
    expect(body(deleteBars(song(before), { from, to }))).toBe(after);
  });

  test.each([
    ['1 4 5 6-', [0, 0], 2, '4 1 5 6-'],
    ['1 4 5 6-', [2, 3], 0, '5 6- 1 4'],
    ['1 4 5 6-', [0, 1], 4, '5 6- 1 4'],
    ['1 4\n5 6-', [0, 0], 3, '4\n5 1 6-'],
    ['1 "go" 4 5', [0, 0], 2, '4 1 "go" 5'],
    ['1 % 4', [2, 2], 0, '4 1 %'],
    ['1 % 4', [0, 0], 3, '1 4 1'],
    ['1 4 5', [1, 1], 1, '1 4 5'],
  ] as const)('moved: %j %j before %i', (before, [from, to], target, after) => {
    expect(body(moveBars(song(before), { from, to }, target))).toBe(after);
  });

  test.each([
    ['1 4 5', [0, 1], '1 4 1 4 5'],
    ['1 "go" 4', [0, 0], '1 "go" 1 "go" 4'],
    ['1 % 5', [1, 1], '1 % 1 5'],
  ] as const)('duplicated: %j %j', (before, [from, to], after) => {
    expect(written(duplicateBars(song(before), { from, to }))).toBe(written(HEAD + after));
  });

  test.each([
    ['1 4', 0, '(1 1) 4'],
    ['(1 5) 4', 0, '1 5 4'],
    ['(1.. 5. 6-.) "x" 4', 0, '1 5 6- "x" 4'],
    ['>1! 4', 0, '(>1! 1) 4'],
  ])('split: %j', (before, bar, after) => expect(body(splitBar(song(before), bar))).toBe(after));

  test('joined, and split again', () => {
    const joined = joinBars(song('1 4 "x" 5'), { from: 0, to: 1 });
    expect(body(joined)).toBe('(1 4) "x" 5');
    expect(body(splitBar(openChart(joined), 0))).toBe('1 4 "x" 5');
    expect(joinBars(song('1 4'), { from: 0, to: 0 })).toBe(song('1 4').source);
  });
});

describe('marks', () => {
  test('a repeat is put around bars and taken away again', () => {
    const repeated = toggleRepeat(song('1 4 "x" 5'), { from: 0, to: 1 });
    expect(body(repeated)).toBe('|: 1 4 "x" :| 5');
    expect(body(toggleRepeat(openChart(repeated), { from: 0, to: 1 }))).toBe('1 4 "x" 5');
    expect(body(toggleRepeat(song('1 4 5'), { from: 1, to: 2 }, 3))).toBe('1 |: 4 5 :| x3');
  });

  test('endings', () => {
    const first = markEnding(song('|: 1 4 5 5 1 1 :|'), { from: 2, to: 3 }, [1]);
    const both = markEnding(openChart(first), { from: 4, to: 5 }, [2]);
    expect(body(both)).toBe('|: 1 4 1.[ 5 5 ] 2.[ 1 1 ] :|');
    expect(readChart(both).problems).toEqual([]);
  });

  test('pushes, diamonds, stops and optional chords, all at once and back', () => {
    expect(body(toggleMark(song('1 4 5'), { from: 0, to: 1 }, 'optional'))).toBe('1? 4? 5');
    expect(body(toggleMark(song('1? 4? 5'), { from: 0, to: 1 }, 'optional'))).toBe('1 4 5');
    expect(body(toggleMark(song('1? 4 5'), { from: 0, to: 1 }, 'optional'))).toBe('1? 4? 5');
    expect(body(toggleMark(song('(1 4) 5'), { from: 0, to: 0 }, 'push', 1))).toBe('(1 >4) 5');
    expect(body(toggleMark(song('1!'), { from: 0, to: 0 }, 'ring'))).toBe('<1>');
    expect(body(toggleMark(song('NC 4'), { from: 0, to: 1 }, 'stop'))).toBe('NC 4!');
  });
});

describe('thicker and thinner', () => {
  test('triads become the key’s sevenths and go back', () => {
    const chart = song('1 2- 3- 4 5 6- 7o b7 4-');
    const deep = deepenBars(chart, { from: 0, to: 8 }, 'seventh');
    expect(body(deep.text)).toBe('1maj7 2-7 3-7 4maj7 57 6-7 7-7b5 b7 4-');
    expect(deepenBars(openChart(deep.text), { from: 0, to: 8 }, 'triad', deep.former).text).toBe(chart.source);
  });

  test('what was richer comes back as it was', () => {
    const chart = song('1maj9 57b9 (2-7 5sus4)');
    const thin = deepenBars(chart, { from: 0, to: 2 }, 'triad');
    expect(body(thin.text)).toBe('1 5 (2- 5sus4)');
    expect(deepenBars(openChart(thin.text), { from: 0, to: 2 }, 'seventh', thin.former).text).toBe(chart.source);
  });

  test('in minor the 5 pulls, and a relative numbering counts alike', () => {
    const minor = openChart('key: Em\n\n1- 4- 5 b6');
    expect(deepenBars(minor, { from: 0, to: 3 }, 'seventh').text).toBe('key: Em\n\n1-7 4-7 57 b6maj7');
    const relative = openChart('key: Em\nnumbering: relative\n\n6- 2- 3 4');
    expect(deepenBars(relative, { from: 0, to: 3 }, 'seventh').text).toBe('key: Em\nnumbering: relative\n\n6-7 2-7 37 4maj7');
  });
});

describe('laws', () => {
  const token = fc.constantFrom('1', '4', '5', '6-', '2-7', '(1 5)', '%', '<1>', '4 "x"', '|: 1 4 :|', '%%', '@bass "up" 5');
  const text = fc
    .array(
      fc.array(token, { minLength: 1, maxLength: 5 }).map((line) => line.join(' ')),
      { minLength: 1, maxLength: 4 },
    )
    .map((lines) => `${HEAD}1 4\n${lines.join('\n')}`);

  test('moving bars changes their order and nothing else', () => {
    fc.assert(
      fc.property(text, fc.nat(), fc.nat(), fc.nat(), (source, a, b, c) => {
        const chart = openChart(source);
        const count = chart.reading.bars.length;
        const [from, to] = [a % count, b % count].sort((x, y) => x - y) as [number, number];
        const before = c % (count + 1);
        const names = chart.reading.bars.map((bar) => printBar(bar, printNumber));
        const moved = readChart(moveBars(chart, { from, to }, before)).bars.map((bar) => printBar(bar, printNumber));
        const rest = names.map((name, index) => ({ name, index })).filter(({ index }) => index < from || index > to);
        const at = rest.findIndex(({ index }) => index >= before);
        const stays = before >= from && before <= to + 1;
        const expected = stays ? names : [...rest.map(({ name }) => name)];
        if (!stays) expected.splice(at < 0 ? expected.length : at, 0, ...names.slice(from, to + 1));
        expect(moved).toEqual(expected);
      }),
      { seed: 62, numRuns: 400 },
    );
  });

  test('deleting and duplicating change the number of bars by as many as were chosen', () => {
    fc.assert(
      fc.property(text, fc.nat(), fc.nat(), (source, a, b) => {
        const chart = openChart(source);
        const count = chart.reading.bars.length;
        const [from, to] = [a % count, b % count].sort((x, y) => x - y) as [number, number];
        expect(readChart(deleteBars(chart, { from, to })).bars).toHaveLength(count - (to - from + 1));
        expect(readChart(duplicateBars(chart, { from, to })).bars).toHaveLength(count + (to - from + 1));
      }),
      { seed: 63, numRuns: 300 },
    );
  });
});

describe('what cannot be read, kept', () => {
  const keep = (chart: ReturnType<typeof openChart>, bar: number, typed: string, isNew = false) => {
    const done = writeBar(chart, { bar, isNew, typed, lettersFrom: null, keeps: true });
    if (!done.ok) throw new Error('refused');
    return done.value;
  };

  test.each([
    ['1 4 5', 1, 'q', '1 (q) 5', 'q'],
    ['1 4 5', 1, '4 q 5', '1 (4 q 5) 5', '4 q 5'],
    ['1 4 5', 3, 'q9', '1 4 5 (q9)', 'q9'],
    ['1 4 5', 1, 'x3', '1 (x3) 5', 'x3'],
    ['1 4 5', 1, '~ la', '1 (~ la) 5', '~ la'],
    ['1 4 5', 1, '// no', '1 (// no) 5', '// no'],
    ['1 4 5', 1, '57 %', '1 (57 %) 5', '57 %'],
    // brackets that stand alone would end the bar or begin something else
    ['1 4 5', 1, '(q', '1 (q) 5', 'q'],
    ['1 4 5', 1, 'q]|"{', '1 (q) 5', 'q'],
    ['1 4 5', 1, '((', '1 (?) 5', '?'],
    // and what is a chord without them is one
    ['1 4 5', 1, '(6-', '1 6- 5', null],
  ])('in %s at %i: %s', (music, bar, typed, wanted, unread) => {
    const text = keep(song(music), bar, typed);
    expect(body(text).trim()).toBe(wanted);
    expect(readChart(text).bars[bar]?.unread ?? null).toBe(unread);
  });

  test('whatever is typed is one bar, and leaves every other bar as it was', () => {
    const chart = song('[A]\n1 4 {key: D} 5 (2-7 57)\n~ la la\n[B]\n|: 1 4 :| 6- 5\n');
    fc.assert(
      fc.property(fc.string({ maxLength: 24, unit: 'binary' }), fc.nat(8), fc.boolean(), (typed, at, isNew) => {
        fc.pre(typed.trim() !== '' && typed.trim() !== '%');
        const bar = Math.min(at, chart.reading.bars.length);
        const text = keep(chart, bar, typed, isNew);
        const after = readChart(text);
        const isAdded = isNew || bar === chart.reading.bars.length;
        expect(after.bars).toHaveLength(chart.reading.bars.length + (isAdded ? 1 : 0));
        const rest = (bars: typeof after.bars, left: number) =>
          bars.filter((_, index) => index !== left).map((one) => [one.chords.map(({ chord }) => chord), one.section, one.stretch]);
        expect(rest(after.bars, bar)).toEqual(rest(chart.reading.bars, isAdded ? -1 : bar));
        expect(after.sections).toHaveLength(2);
      }),
      { seed: 27, numRuns: 300 },
    );
  });
});
