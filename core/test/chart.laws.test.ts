import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { printChart } from '../src/chart/chart-text.ts';
import { countingTonic } from '../src/chart/head.ts';
import { chartNumber } from '../src/degree/degree.ts';
import {
  type Chord,
  chordOnTonic,
  keysReadFrom,
  parseChart,
  printBar,
  printNumber,
  readChart,
  renderChart,
  writableChord,
} from '../src/index.ts';

const isWritable = (one: Chord) => writableChord(one) === one;

/** A chart value without its positions, which tidying may move. */
function music(value: unknown): unknown {
  return JSON.parse(JSON.stringify(value, (key, inner) => (key === 'at' ? undefined : inner)));
}

const pick = (...texts: readonly string[]) => fc.constantFrom(...texts);
const degree = fc.tuple(pick('', '', '', 'b', '#', 'bb', '##'), pick('1', '2', '3', '4', '5', '6', '7')).map((parts) => parts.join(''));
const quality = pick(
  '',
  '',
  '-',
  'o',
  'maj7',
  '7',
  '-7',
  '-7b5',
  'o7',
  '-maj7',
  '+7',
  '6',
  '69',
  'sus4',
  '9',
  '13',
  'add9',
  '7b9#11',
  '(b5)',
);
const bass = fc.oneof(
  { weight: 5, arbitrary: fc.constant('') },
  degree.map((text) => `/${text}`),
);
const plainNumber = fc
  .tuple(degree, quality, bass)
  .map(([root, kind, under]) => `${root}${root.endsWith('7') && kind === '7b9#11' ? '' : kind}${under}`);
const letters = pick('C', 'Em7', 'F#m7b5', 'Bb7', 'D/F#', 'Abmaj7', 'G7(b9, #11)', 'Ebsus4', 'Am(maj7)', 'C6/9');
const chord = fc.oneof({ weight: 4, arbitrary: plainNumber }, { weight: 1, arbitrary: letters });
const marked = fc
  .tuple(pick('', '', '>'), fc.boolean(), chord, pick('', '', '!', '?'))
  .map(([push, ring, core, mark]) => `${push}${ring ? `<${core}>` : core}${ring && mark === '!' ? '' : mark}`);
const shared = fc.oneof(
  fc.array(marked, { minLength: 1, maxLength: 4 }).map((chords) => `(${chords.join(' ')})`),
  fc.tuple(marked, marked).map(([first, second]) => `(${first}.. ${second}..)`),
  fc.tuple(marked, marked).map(([first, second]) => `(${first}.., ${second}.,)`),
  fc.constant('(1 NC)'),
);
const words = fc.string({ unit: 'grapheme', maxLength: 12 }).map((text) => text.replace(/["\r\n\u2028\u2029\u0085]/g, '').trim());
const bar = fc.oneof({ weight: 6, arbitrary: marked }, { weight: 2, arbitrary: shared }, pick('%', '%%', 'NC'));
const beside = fc.oneof(
  words.map((text) => `"${text}"`),
  words.map((text) => `@bass "${text}"`),
  pick(
    '{key: +2}',
    '{key: F#m}',
    '{key: -3}',
    '{3/4}',
    '{tempo: 132}',
    '{pickup: 1}',
    '{segno}',
    '{to coda}',
    '|:',
    ':|',
    'x3',
    '1.[',
    ']',
    'wat',
    '8',
  ),
);
const endings = fc
  .array(fc.array(bar, { minLength: 1, maxLength: 2 }), { minLength: 1, maxLength: 3 })
  .map((all) => all.map((bars, index) => `${index + 1}.[ ${bars.join(' ')} ]`).join(' '));
const repeat = fc
  .tuple(fc.array(bar, { minLength: 1, maxLength: 3 }), fc.oneof(fc.constant(''), endings), pick('', '', ' x3', ' x1'))
  .map(([bars, ends, count]) => `|: ${bars.join(' ')} ${ends} :|${ends === '' ? count : ''}`);
const jump = pick('{segno}', '{coda}', '{fine}', '{to coda}', '{dc}', '{ds}', '{ds al coda}', '{dc al fine}', '{dc!}', '{ds! al coda}');
const barLine = fc
  .array(fc.oneof({ weight: 8, arbitrary: bar }, { weight: 2, arbitrary: beside }, repeat, jump), { minLength: 1, maxLength: 8 })
  .map((parts) => parts.join(' '));
const paperLine = fc.array(marked, { minLength: 2, maxLength: 6 }).map((parts) => `| ${parts.join(' | ')} |`);
const line = fc.oneof(
  { weight: 6, arbitrary: barLine },
  paperLine,
  words.map((text) => `~ ${text}`),
  words.map((text) => `// ${text}`),
  fc
    .tuple(pick('Verse', 'Chorus', 'B', ''), pick('', ' x2', ' x12'), pick('', ' -- softly'))
    .map(([name, times, remark]) => `[${name}]${times}${remark}`),
);
const headLine = fc.oneof(
  pick(
    'key: G',
    'form: Verse, Chorus x2, B',
    'form: Verse x3, nowhere',
    'key: Em',
    'key: Ab',
    'key: F# harmonic minor',
    'key: D dorian',
    'key: nonsense',
    'time: 3/4',
    'time: 6/8',
    'tempo: 96',
    'numbering: relative',
  ),
  words.map((text) => `title: ${text}`),
  words.map((text) => `Lead sheet 2: ${text}`),
  words.map((text) => `// ${text}`),
);
const chartText = fc
  .tuple(fc.array(headLine, { maxLength: 4 }), fc.array(line, { maxLength: 8 }))
  .map(([head, body]) => [...head, ...body].join('\n'));

describe('laws of chart text', () => {
  test('what is printed reads back as the same chart, and tidying twice changes nothing more', () => {
    fc.assert(
      fc.property(chartText, (text) => {
        const { chart } = parseChart(text);
        const tidy = printChart(chart);
        expect(music(parseChart(tidy).chart)).toEqual(music(chart));
        expect(printChart(parseChart(tidy).chart)).toBe(tidy);
      }),
      { seed: 31, numRuns: 600 },
    );
  });

  test('comments, remarks, lyrics and unknown head names survive tidying', () => {
    const text = 'mood: late\n// first\n\n[A] -- low\n1 "watch" @keys "pad"\n~ la la\n// last\n';
    expect(printChart(parseChart(text).chart)).toBe(text);
  });

  test('reading in another key changes no number', () => {
    fc.assert(
      fc.property(chartText, fc.integer({ min: -6, max: 6 }), (text, tonic) => {
        const chart = readChart(text);
        const numbers = chart.bars.map((written) => printBar(written, printNumber));
        const moved = readChart(renderChart(chart, tonic, 'letters').text);
        const plain = chart.problems.every(({ severity }) => severity !== 'error') && !/bb|##/.test(numbers.join(' '));
        // what would need three accidentals is written, and comes back, under another root
        const counting = keysReadFrom(chart.stretches, tonic).map((key) => countingTonic(key, chart.head.numbering));
        const keepsRoots = chart.bars.every(({ chords, stretch }) =>
          chords.every(({ chord: one }) => one === null || isWritable(chordOnTonic(one, counting[stretch] as number))),
        );
        // a major or dominant chord that was written on a raised degree comes back as its lowered twin
        const charted = chart.bars.map((written) => printBar(written, (chord) => printNumber(chartNumber(chordOnTonic(chord, 0), 0))));
        if (plain && keepsRoots) expect(moved.bars.map((written) => printBar(written, printNumber))).toEqual(charted);
        expect(renderChart(chart, tonic, 'numbers').bars).toEqual(numbers);
      }),
      { seed: 32, numRuns: 600 },
    );
  });

  test('the performance ends, and its bars are bars of the chart', () => {
    fc.assert(
      fc.property(chartText, (text) => {
        const { bars, performance } = readChart(text);
        for (const index of performance.order) expect(bars[index]).toBeDefined();
        expect(performance.count).toBeGreaterThanOrEqual(performance.order.length);
        expect(performance.parts.reduce((sum, { count }) => sum + count, 0)).toBe(performance.order.length);
      }),
      { seed: 33, numRuns: 300 },
    );
  });

  test('every problem lies inside its text', () => {
    fc.assert(
      fc.property(chartText, (text) => {
        const lines = text.split('\n');
        for (const { at } of readChart(text).problems) {
          const written = lines[at.line - 1];
          expect(written).toBeDefined();
          expect(at.column).toBeGreaterThanOrEqual(1);
          expect(at.column + at.length - 1).toBeLessThanOrEqual((written as string).length);
        }
      }),
      { seed: 34, numRuns: 300 },
    );
  });
});

describe('no text makes the reader throw or hang', () => {
  test('random text', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 200 }), (text) => {
        expect(readChart(text).chart.body).toBeDefined();
      }),
      { seed: 35, numRuns: 10_000 },
    );
  });

  test('charts with characters changed, dropped and doubled', () => {
    const sources = ['harbor-wall', 'two-lanterns', 'copper-line-shuffle'].map((name) =>
      readFileSync(new URL(`./golden/charts/${name}.txt`, import.meta.url), 'utf8'),
    );
    const edit = fc.record({
      at: fc.nat(300),
      drop: fc.nat(3),
      add: pick('', '(', ')', '"', '{', '|', '[', ']', '<', '>', '.', ',', '\n', '%', 'b', '/', '|:', ':|', ' 2.[ ', ' {ds} ', '🎸'),
    });
    fc.assert(
      fc.property(fc.constantFrom(...sources), fc.array(edit, { maxLength: 6 }), (source, edits) => {
        let text = source;
        for (const { at, drop, add } of edits) text = text.slice(0, at) + add + text.slice(at + drop);
        const tidy = printChart(readChart(text).chart);
        expect(printChart(parseChart(tidy).chart)).toBe(tidy);
      }),
      { seed: 36, numRuns: 10_000 },
    );
  });

  test('a megabyte of anything is read in passing', () => {
    for (const piece of [
      '1 ',
      '(',
      ')',
      '((1 ',
      '"',
      '{',
      '<',
      'A',
      '%%',
      'key: ',
      '.',
      '[',
      '|',
      '!',
      'C(',
      '@b ',
      '|: ',
      ':| ',
      '1.[ ',
      '] ',
      '{ds} ',
      '{segno} 1 {ds} ',
      '[A] x99\n1\n',
      'form: A,A,A,A\n',
    ]) {
      const text = piece.repeat(Math.ceil(200_000 / piece.length));
      expect(readChart(text).problems.length).toBeGreaterThanOrEqual(0);
    }
  });
});

describe('letters in every key', () => {
  const KEYS = [
    ...'C G D A E B F# C# F Bb Eb Ab Db Gb Cb'.split(' '),
    ...'Am Em Bm F#m C#m G#m D#m A#m Dm Gm Cm Fm Bbm Ebm Abm'.split(' '),
  ];
  const NUMBERS = '1 1maj7 2-7 3- 4 57 6- 7-7b5 b2maj7 b3 4- b6 b77 #1o7 #4-7b5 2-7/4 5/7 1/3 17 27 37 67 b5 #4o7 1-maj7 4-6'.split(' ');

  test.each(KEYS)('rendered and read back in %s the numbers are the same', (key) => {
    const chart = readChart(`key: ${key}\n\n${NUMBERS.join(' ')}\n`);
    const tonic = chart.head.key.tonic;
    const { text } = renderChart(chart, tonic, 'letters');
    expect(text).not.toMatch(/bbb|###/);
    expect(readChart(text).bars.map((bar) => printBar(bar, printNumber))).toEqual(NUMBERS);
  });
});
