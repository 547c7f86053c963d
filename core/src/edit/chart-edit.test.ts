import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { printBar, readChart } from '../chart/reading.ts';
import { renderChart } from '../chart/render.ts';
import { printNumber } from '../degree/number-text.ts';
import { requireValue } from '../fault.ts';
import { type Key, moveKey } from '../key/key.ts';
import { parseKey } from '../key/key-text.ts';
import { openChart } from './bar-edits.ts';
import { type ChartEdit, compileEdit } from './chart-edit.ts';
import { applyChange, invertChange, isNothing, mapChange } from './text-change.ts';

const HEAD = 'title: Slow Ferry\nkey: G\n\n';
const key = (text: string): Key => requireValue(parseKey(text));
const after = (text: string, edit: ChartEdit): string => {
  const change = requireValue(compileEdit(openChart(text), edit));
  return change === null ? text : (applyChange(text, change) as string);
};
const bodyAfter = (body: string, edit: ChartEdit) => after(HEAD + body, edit).slice(HEAD.length);

describe('signs and jumps', () => {
  test.each<[string, number, Extract<ChartEdit, { kind: 'toggle-sign' }>['sign'], string]>([
    ['1 4 5', 1, { kind: 'sign', sign: 'segno' }, '1 {segno} 4 5'],
    ['1 4 5', 1, { kind: 'sign', sign: 'coda' }, '1 {coda} 4 5'],
    ['1 4 "go" 5', 1, { kind: 'sign', sign: 'fine' }, '1 4 "go" {fine} 5'],
    ['1 4 5', 2, { kind: 'jump', to: 'segno', until: 'coda', keepRepeats: false }, '1 4 5 {ds al coda}'],
    ['1 4 5', 2, { kind: 'jump', to: 'start', until: 'fine', keepRepeats: false }, '1 4 5 {dc al fine}'],
    ['1 4 5', 0, { kind: 'to-coda' }, '1 {to coda} 4 5'],
  ])('%j, bar %i: %j, and away again', (before, bar, sign, text) => {
    const edit = { kind: 'toggle-sign', bar, sign } as const;
    expect(bodyAfter(before, edit)).toBe(text);
    expect(bodyAfter(text, edit)).toBe(before);
  });
});

describe('what changes with a bar', () => {
  test('a key, a meter, a tempo, a pickup; a second one of its kind takes the place of the first', () => {
    const keyed = bodyAfter('1 4 5', { kind: 'change-from', bar: 1, what: 'key', change: { kind: 'key', key: key('A') } });
    expect(keyed).toBe('1 {key: A} 4 5');
    expect(bodyAfter(keyed, { kind: 'change-from', bar: 1, what: 'key', change: { kind: 'step', semitones: 2 } })).toBe('1 {key: +2} 4 5');
    expect(bodyAfter(keyed, { kind: 'change-from', bar: 1, what: 'key', change: null })).toBe('1 4 5');
    const meter = { kind: 'meter', meter: { beats: 3, unit: 4 } } as const;
    expect(bodyAfter(keyed, { kind: 'change-from', bar: 1, what: 'meter', change: meter })).toBe('1 {key: A} {3/4} 4 5');
    expect(bodyAfter('1 4', { kind: 'change-from', bar: 0, what: 'pickup', change: { kind: 'pickup', beats: 1 } })).toBe('{pickup: 1} 1 4');
  });
});

describe('another home key', () => {
  const letters = (text: string, tonic = readChart(text).head.key.tonic) => renderChart(readChart(text), tonic, 'letters').bars.join(' | ');

  test.each([
    ['key: C\n\nD A Bm G', 'D', '1 5 6- 4'],
    ['title: X\nkey: C\n\n1 4 5/7 1', 'G', '4 b7 1/3 4'],
    ['1 5 6- 4', 'A', 'b3 b7 1- b6'],
    ['key: Am\nnumbering: relative\n\n6- 4 1 5', 'Dm', '3- 1 5 2'],
  ])('%j with home %s, the sound kept: %s', (text, home, numbers) => {
    const moved = after(text, { kind: 'rekey', key: key(home), keeps: 'sound' });
    expect(
      readChart(moved)
        .bars.map((bar) => printBar(bar, printNumber))
        .join(' '),
    ).toBe(numbers);
    expect(letters(moved)).toBe(letters(text));
    expect(readChart(moved).head.keyNamed).toBe(true);
  });

  test('with the numbers kept everything moves: letters, later keys, the range', () => {
    const text = 'key: C\nrange: B3 D5\n\nC Am {key: D} 1 4 {key: +2} 1';
    const moved = after(text, { kind: 'rekey', key: key('Eb'), keeps: 'numbers' });
    expect(letters(moved)).toBe(letters(text, key('Eb').tonic));
    expect(moved).toContain('range: D4 F5');
    expect(after('key: C\n\n1 4', { kind: 'rekey', key: key('Bb'), keeps: 'numbers' })).toBe('key: Bb\n\n1 4');
  });

  test('an empty chart only names its key', () => {
    expect(after('title: New\nkey: C\n', { kind: 'rekey', key: key('G'), keeps: 'sound' })).toBe('title: New\nkey: G\n');
  });

  test('the letters stay in any key with the sound kept, the numbers with the numbers kept', () => {
    const song = fc.array(fc.constantFrom('1', '4', '57', '6-', 'b7', '5/7', '{key: +2} 1', '{key: A} 4', '2-7b5', '(1 5)'), {
      minLength: 1,
      maxLength: 8,
    });
    fc.assert(
      fc.property(song, fc.constantFrom('C', 'G', 'Bb', 'F#', 'Db', 'Em'), fc.integer({ min: -5, max: 6 }), (bars, home, step) => {
        const text = `key: ${home}\n\n${bars.join(' ')}\n`;
        const to = moveKey(key(home), step);
        const kept = readChart(after(text, { kind: 'rekey', key: to, keeps: 'sound' }));
        const plain = (chart: ReturnType<typeof readChart>) => renderChart(chart, chart.head.key.tonic, 'letters').bars;
        const chromas = (all: readonly string[]) =>
          all.map((bar) => bar.replace(/[A-G][b#]*/g, (name) => String((requireValue(parseKey(name)).tonic * 7 + 840) % 12)));
        expect(chromas(plain(kept))).toEqual(chromas(plain(readChart(text))));
        const moved = readChart(after(text, { kind: 'rekey', key: to, keeps: 'numbers' }));
        expect(renderChart(moved, to.tonic, 'numbers').bars).toEqual(renderChart(readChart(text), to.tonic, 'numbers').bars);
      }),
      { seed: 91, numRuns: 300 },
    );
  });
});

describe('laws of edits', () => {
  const range = fc.tuple(fc.nat(7), fc.nat(7)).map(([a, b]) => ({ from: Math.min(a, b), to: Math.max(a, b) }));
  const edit: fc.Arbitrary<ChartEdit> = fc.oneof(
    fc.record({
      kind: fc.constant('write-bar' as const),
      bar: fc.nat(8),
      isNew: fc.boolean(),
      typed: fc.constantFrom('6-', '2-7 57', 'NC', '%', 'G', '(1.. 4..)'),
      lettersFrom: fc.constantFrom(null, 3),
    }),
    fc.record({
      kind: fc.constantFrom('delete-bars' as const, 'duplicate-bars' as const, 'join-bars' as const, 'toggle-repeat' as const),
      range,
    }),
    fc.record({ kind: fc.constant('move-bars' as const), range, before: fc.nat(8) }),
    fc.record({ kind: fc.constant('split-bar' as const), bar: fc.nat(7) }),
    fc.record({
      kind: fc.constant('toggle-mark' as const),
      range,
      mark: fc.constantFrom('push' as const, 'ring' as const, 'stop' as const, 'optional' as const),
      place: fc.constant(null),
    }),
    fc.record({ kind: fc.constant('begin-section' as const), bar: fc.nat(8), name: fc.constantFrom('Verse', 'Bridge') }),
    fc.record({ kind: fc.constant('text' as const), from: fc.nat(40), to: fc.nat(40), insert: fc.constantFrom('', '1', '\n5 ') }),
    fc.record({ kind: fc.constant('head-line' as const), name: fc.constantFrom('tempo', 'title'), value: fc.constantFrom('96', 'Weir') }),
  );
  const body = fc
    .array(
      fc.array(fc.constantFrom('1', '4', '5', '6-', '(1 5)', '<1>', '4 "x"'), { minLength: 2, maxLength: 4 }).map((line) => line.join(' ')),
      { minLength: 2, maxLength: 4 },
    )
    .map((lines) => `${HEAD}${lines.join('\n')}\n1 1 1 1\n`);
  /** The change an edit makes; null where it is refused, does nothing or names bars that are not there. */
  const changeOf = (text: string, one: ChartEdit) => {
    const chart = openChart(text);
    const last = 'range' in one ? one.range.to : 'bar' in one ? one.bar : 0;
    if (last >= chart.reading.bars.length || ('before' in one && one.before > chart.reading.bars.length)) return null;
    const made = compileEdit(chart, one);
    return made.ok ? made.value : null;
  };

  test('applied and turned round, the text is what it was', () => {
    fc.assert(
      fc.property(body, edit, (text, one) => {
        const change = changeOf(text, one);
        if (change === null) return;
        expect(isNothing(change)).toBe(false);
        expect(applyChange(applyChange(text, change) as string, invertChange(change, text))).toBe(text);
      }),
      { seed: 92, numRuns: 500 },
    );
  });

  test('two at once come to one text, whoever is first', () => {
    fc.assert(
      fc.property(body, edit, edit, (text, one, two) => {
        const [a, b] = [changeOf(text, one), changeOf(text, two)];
        if (a === null || b === null) return;
        const left = applyChange(applyChange(text, b) as string, mapChange(a, b, 'first'));
        expect(left).not.toBeNull();
        expect(left).toBe(applyChange(applyChange(text, a) as string, mapChange(b, a, 'second')));
      }),
      { seed: 93, numRuns: 500 },
    );
  });

  test('an edit is plain data: stored and read again it does the same', () => {
    fc.assert(
      fc.property(body, edit, (text, one) => {
        const [a, b] = [changeOf(text, one), changeOf(text, JSON.parse(JSON.stringify(one)) as ChartEdit)];
        expect(b?.toJSON()).toEqual(a?.toJSON());
      }),
      { seed: 94, numRuns: 200 },
    );
  });
});
