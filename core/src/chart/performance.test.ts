import { describe, expect, test } from '@jest/globals';
import { printBar, printNumber, readChart } from '../index.ts';

/** The bars as they are played, numbers joined by spaces. */
function played(text: string): string {
  const { bars, performance } = readChart(text);
  return performance.order.map((index) => printBar(bars[index] as (typeof bars)[0], printNumber)).join(' ');
}

const codes = (text: string) => readChart(text).problems.map(({ fault }) => fault.code);

describe('repeats and endings', () => {
  test.each([
    ['|: 1 4 :| 5', '1 4 1 4 5'],
    ['|: 1 4 :| x3 5', '1 4 1 4 1 4 5'],
    ['|: 1 :| x1 5', '1 5'],
    ['|: 1 :| |: 4 :|', '1 1 4 4'],
    ['|: 1 :|: 4 :|', '1 1 4 4'],
    ['|: 1 4 1.[ 5 5 ] 2.[ 1 1 ] :|', '1 4 5 5 1 4 1 1'],
    ['|: 1 1.[ 4 ] 2.[ 5 ] 3.[ 6- ] :|', '1 4 1 5 1 6-'],
    ['|: 1 1,2.[ 4 ] 3.[ 5 ] :|', '1 4 1 4 1 5'],
    ['|: 1 1-3.[ 4 ] 4.[ 5 ] :|', '1 4 1 4 1 4 1 5'],
    ['|: 1 1.[4 5] 2.[6- 5] :|', '1 4 5 1 6- 5'],
    ['|: 1 | 4 | 1.[ 5 | 5 ] | 2.[ 1 ] :| 6-', '1 4 5 5 1 4 1 6-'],
    ['[A] x2\n|: 1 4 :|\n5', '1 4 1 4 5 1 4 1 4 5'],
    ['|: 1\n4 :|', '1 4 1 4'],
    ['[A]\n|: 1 % :|', '1 1 1 1'],
  ])('%j plays %s', (text, bars) => {
    expect(played(text)).toBe(bars);
    expect(codes(text)).toEqual([]);
  });

  test.each([
    ['1 4 :| 5', 'repeat-unopened', '1 4 1 4 5'],
    ['1\n[A]\n4 :| 5', 'repeat-unopened', '1 4 4 5'],
    ['|: 1 :| 4 :|', 'repeat-unopened', '1 1 4 4'],
    ['|: 1 4', 'repeat-unclosed', '1 4'],
    ['[A]\n|: 1\n[B]\n4 :|', 'repeat-unclosed', '1 4 4'],
    ['|: 1 |: 4 :|', 'repeat-unclosed', '1 4 4'],
    ['1 1.[ 5 ] 2.[ 4 ]', 'ending-outside', '1 5 4'],
    ['|: 1 1.[ 5 :| 2.[ 4 ]', 'ending-unclosed', '1 5 4'],
    ['|: 1 1.[ 5 ] 3.[ 4 ] :|', 'ending-passes', '1 5 1 1 4'],
    ['|: 1 1.[ 5 ] 1.[ 4 ] :|', 'ending-passes', '1 5'],
    ['|: 1 0.[ 5 ] :|', 'ending-passes', '1'],
    ['|: 1 1.[ 5 ] 2.[ 4 ] :| x3', 'ending-count', '1 5 1 4'],
    ['1 ] 4', 'ending-unopened', '1 4'],
    ['|: 1 :| x0', 'count-range', '1 1'],
    ['1 x3', 'count-stray', '1'],
  ])('%j: %s', (text, code, bars) => {
    expect(codes(text)).toContain(code);
    expect(played(text)).toBe(bars);
  });
});

describe('jumps', () => {
  test.each([
    ['1 4 {dc}', '1 4 1 4'],
    ['1 4 {fine} 5 6- {dc al fine}', '1 4 5 6- 1 4'],
    ['1 {fine} 5 {dc}', '1 5 1'],
    ['1 {segno} 4 5 {ds}', '1 4 5 4 5'],
    ['1 {segno} 4 {fine} 5 {ds al fine} 6-', '1 4 5 4'],
    ['1 {to coda} 4 {dc al coda} {coda} 5', '1 4 1 5'],
    ['{segno} 1 {to coda} 4 {ds al coda} {coda} 5 6-', '1 4 1 5 6-'],
    ['1 {to coda} 4 {dc} {coda} 5', '1 4 1 5'],
    // a to coda is passed over before a jump, and a fine too
    ['1 {to coda} 4 {coda} 5', '1 4 5'],
    // repeats and counts are played once after a jump, with the last ending
    ['|: 1 :| 4 {dc}', '1 1 4 1 4'],
    ['|: 1 :| 4 {dc!}', '1 1 4 1 1 4'],
    ['|: 1 1.[ 5 ] 2.[ 6- ] :| 4 {dc}', '1 5 1 6- 4 1 6- 4'],
    ['|: 1 1.[ 5 ] 2.[ 6- ] :| 4 {dc!}', '1 5 1 6- 4 1 5 1 6- 4'],
    ['[A] x2\n1\n[B]\n4 {dc}', '1 1 4 1 4'],
    ['[A] x2\n1\n[B]\n4 {dc!}', '1 1 4 1 1 4'],
    // inside a repeat a jump waits for the last pass
    ['1 |: 4 {dc} :| 5', '1 4 4 1 4 5'],
    ['[A] x2\n1 {fine} 4\n[B]\n5 {dc al fine}', '1 4 1 4 5 1'],
    ['[A] x2\n1 4 {dc al fine}\n[B]\n5 {fine}', '1 4 1 4 1 4 5'],
    ['[A] x2\n1 {fine} 4\n[B]\n5 {dc! al fine}', '1 4 1 4 5 1 4 1'],
    ['|: 1 {to coda} 4 :| 5 {dc! al coda} {coda} 6-', '1 4 1 4 5 1 4 1 6-'],
    // a pickup is played once, and D.C. goes to the first full bar
    ['{pickup: 1} 5 1 4 {dc}', '5 1 4 1 4'],
    ['[A] x2\n{pickup: 1} 5 1 4', '5 1 4 1 4'],
    // each jump is taken once
    ['1 {dc} 4 {dc}', '1 1 4 1 4'],
    ['{segno} 1 {ds} 4 {dc}', '1 1 4 1 4'],
    ['{SEGNO} 1 4 {D.S.}', '1 4 1 4'],
  ])('%j plays %s', (text, bars) => {
    expect(played(text)).toBe(bars);
    expect(codes(text)).toEqual([]);
  });

  test.each([
    ['1 4 {ds}', 'jump-target', '1 4'],
    ['1 4 {dc al fine} 5', 'jump-target', '1 4 5'],
    ['1 4 {dc al coda} 5', 'jump-target', '1 4 5'],
    ['1 4 {dc al coda} {coda} 5', 'jump-target', '1 4 5'],
    ['1 {to coda} 4', 'jump-target', '1 4'],
    ['{segno} 1 {segno} 4 {ds}', 'sign-twice', '1 4 1 4'],
  ])('%j: %s', (text, code, bars) => {
    expect(codes(text)).toContain(code);
    expect(played(text)).toBe(bars);
  });

  test('jumps that lead in circles come to an end', () => {
    expect(played('{segno} 1 {ds} {ds} {dc} {ds}')).toBe('1 1 1 1 1');
    expect(readChart(`${'[A] x99\n'.repeat(50)}|: |: |: :| x99 :| x99 {dc!}`).performance.count).toBe(0);
    const long = readChart(`[A] x99\n|: ${'1 '.repeat(400)} :| x99`);
    expect(long.performance.order).toHaveLength(20_000);
    expect(long.performance.count).toBeGreaterThanOrEqual(1_000_000);
    expect(long.problems.map(({ fault }) => fault.code)).toContain('performance-long');
  });
});

describe('the form line', () => {
  const song = (form: string) => `form: ${form}\n\n2-\n\n[A]\n1\n\n[B] x2\n4\n\n[C]\n5 5`;
  test.each([
    ['A, B, C', '2- 1 4 4 5 5'],
    ['B x1, A, A', '2- 4 1 1'],
    ['A x3', '2- 1 1 1'],
    ['a,  b ×3 ,', '2- 1 4 4 4'],
  ])('%s plays %s', (form, bars) => {
    expect(played(song(form))).toBe(bars);
    expect(codes(song(form))).toEqual([]);
  });

  test('its problems stand on the name they are about', () => {
    const { problems } = readChart(song('A, Bridge x2, C'));
    expect(problems).toMatchObject([{ fault: { code: 'form-section-missing', name: 'Bridge' }, at: { line: 1, column: 10, length: 9 } }]);
    expect(played(song('A, Bridge x2, C'))).toBe('2- 1 5 5');
    expect(codes('form: A\n[A]\n1\n[A]\n4')).toEqual(['form-section-twice']);
    expect(played('form: A\n[A]\n1\n[A]\n4')).toBe('1');
  });

  test('it wins over jumps, and repeats inside its sections are played', () => {
    const text = 'form: A, B, A\n[A]\n|: 1 1.[ 4 ] 2.[ 5 ] :|\n[B]\n6- {dc}';
    expect(played(text)).toBe('1 4 1 5 6- 1 4 1 5');
    expect(codes(text)).toEqual(['form-and-jumps']);
  });

  test('an empty form line says nothing', () => {
    expect(played('form:\n[A] x2\n1')).toBe('1 1');
    expect(codes('form: ,,\n[A]\n1')).toEqual([]);
  });

  test('a section whose name ends in a count is found by its whole name first', () =>
    expect(played('form: Verse x2, Verse\n[Verse]\n1\n[Verse x2]\n4')).toBe('4 1'));
});

test('the parts of a performance are its sections in playing order, each pass by itself', () => {
  const { performance, sections } = readChart('form: A, B, A\n5\n[A]\n1 1\n[B] x2\n4');
  expect(performance.parts.map(({ section, from, count }) => [section === null ? null : sections[section]?.name, from, count])).toEqual([
    [null, 0, 1],
    ['A', 1, 2],
    ['B', 3, 1],
    ['B', 4, 1],
    ['A', 5, 2],
  ]);
});

test('marks are drawn at their bars', () => {
  const { bars } = readChart('{segno} |: 1 4 {to coda} 1.[ 5 5 ] 2.[ 6- ] :| 1 {ds al coda} {coda} 4 {fine}');
  const drawn = bars.map(({ form: { opensRepeat, closesRepeat, ending, signs, after } }) =>
    [
      opensRepeat ? '|:' : '',
      ...signs,
      ending === null ? '' : `${ending.begins ? '[' : ''}${ending.passes.join()}${ending.ends ? ']' : ''}`,
      ...after.map((mark) => (typeof mark === 'string' ? mark : `to ${mark.to} until ${mark.until}`)),
      closesRepeat === null ? '' : `:| ${closesRepeat}`,
    ].filter((part) => part !== ''),
  );
  expect(drawn).toEqual([['|:', 'segno'], ['to-coda'], ['[1'], ['1]'], ['[2]', ':| 2'], ['to segno until coda'], ['coda', 'fine']]);
});
