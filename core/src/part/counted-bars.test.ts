import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readChart } from '../chart/reading.ts';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import { chartPages } from './chart-pages.ts';
import { chartPart, type PartLook } from './chart-part.ts';

const LOOK: PartLook = {
  naming: DEFAULT_NAMING,
  sounding: 1,
  written: 1,
  show: 'numbers',
  kind: 'form',
  capo: 0,
  tonight: '',
  words: true,
  cuesFor: null,
  foot: '',
};
const sections = (bars: string) => chartPart(readChart(`key: G\n${bars}`), LOOK).sections;
/** How many bars each printed bar stands for, row by row. */
const counts = (bars: string) => sections(bars).flatMap(({ rows }) => rows.map((row) => row.bars.map((bar) => bar.counts)));

describe("a drummer's bars", () => {
  test.each<[string, string, number[][]]>([
    ['four lines of four are two eights', '[A]\n1 4 5 1\n1 4 5 1\n1 4 5 1\n1 4 5 1\n', [[8, 8]]],
    ['a section is counted for itself', '[A]\n1 4 5\n[B]\n1 4\n', [[3], [2]]],
    ['a stop is drawn, the bars around it counted', '[A]\n1 4 5! 1 1 4\n', [[2, 1, 3]]],
    ['a push is drawn', '[A]\n1 1 >4 1\n', [[2, 1, 1]]],
    ['a chord left ringing is drawn', '[A]\n1 4 <1>\n', [[2, 1]]],
    ['nothing played is drawn', '[A]\n1 NC 1 1\n', [[1, 1, 2]]],
    ['a remark begins anew', '[A]\n1 4 "fill" 5 1\n', [[1, 1, 2]]],
    ['a repeat ends what is counted', '[A]\n1 |: 4 5 :| 1 1\n', [[1, 2, 2]]],
    ['another metre begins anew', '[A]\n1 4 {3/4} 5 1\n', [[2, 2]]],
    ['nine are eight and one', '[A]\n1 1 1 1 1 1 1 1 1\n', [[8, 1]]],
  ])('%s', (_, text, expected) => expect(counts(text)).toEqual(expected));

  test('as many bars are counted as are written, whatever is in them', () => {
    const bar = fc.constantFrom('1', '4', '5!', '>1', '<4>', 'NC', '%', '(1 5)', '2-7 "watch"', '{3/4} 1', '{4/4} 5', '~');
    fc.assert(
      fc.property(fc.array(bar, { minLength: 1, maxLength: 40 }), (written) => {
        const bars = written.filter((one) => one !== '~');
        const text = `[A]\n${bars.join(' ')}\n`;
        const all = counts(text).flat();
        expect(all.reduce((sum, count) => sum + count, 0)).toBe(bars.length);
        expect(Math.max(0, ...all)).toBeLessThanOrEqual(8);
      }),
    );
  });

  test('a song of 37 bars is one page', () => {
    const text = `title: Slip\nkey: G\n\n[Intro]\n1 4 5 1\n[Verse]\n${'1 4 5 1\n'.repeat(4)}[Chorus]\n${'4 1 5! 1\n'.repeat(3)}[Outro]\n1 4 5 1 <1>\n`;
    expect(chartPages(chartPart(readChart(text), LOOK), 'A4')).toHaveLength(1);
  });
});
