import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import { symbolText } from '../naming/symbol-view.ts';
import { afterWords, barHeading, endingLabel, wordsUnder } from './bar-words.ts';
import { chartPart, type PartLook } from './chart-part.ts';

const tonic = (key: string) => requireValue(parseKey(key)).tonic;
const LOOK: PartLook = {
  naming: DEFAULT_NAMING,
  sounding: tonic('G'),
  written: tonic('G'),
  show: 'both',
  words: true,
  kind: 'chart',
  capo: 0,
  tonight: '',
  cuesFor: null,
  foot: 'a foot',
};
const part = (source: string, look: Partial<PartLook> = {}) => chartPart(readChart(source), { ...LOOK, ...look });
const bars = (source: string, look: Partial<PartLook> = {}) =>
  part(source, look).sections.flatMap(({ rows }) => rows.flatMap((row) => row.bars));
const symbols = (source: string, look: Partial<PartLook> = {}) =>
  bars(source, look).flatMap(({ chords }) =>
    chords.map(({ main, under, sounding }) =>
      main === null
        ? 'NC'
        : [symbolText(main), under === null ? '' : ` ${symbolText(under)}`, sounding === null ? '' : ` = ${symbolText(sounding)}`].join(''),
    ),
  );

describe('a chart as its reader reads it', () => {
  const source = 'key: G\n1 57 2-7 b7\n';

  test.each<[PartLook['show'], string[]]>([
    ['numbers', ['1', '57', '2–7', '♭7']],
    ['letters', ['G', 'D7', 'Am7', 'F']],
    ['both', ['1 G', '57 D7', '2–7 Am7', '♭7 F']],
    ['roman', ['I', 'V7', 'ii7', '♭VII']],
  ])('as %s', (show, expected) => expect(symbols(source, { show })).toEqual(expected));

  test('a capo player sees shapes, and what they sound', () => {
    // a capo at 3: G shapes sound B flat
    expect(symbols(source, { show: 'both', sounding: tonic('Bb') })).toEqual(['1 G = B♭', '57 D7 = F7', '2–7 Am7 = Cm7', '♭7 F = A♭']);
    expect(symbols(source, { show: 'letters', sounding: tonic('Bb') })).toEqual(['G = B♭', 'D7 = F7', 'Am7 = Cm7', 'F = A♭']);
    expect(part(source, { sounding: tonic('Bb') }).facts).toContain('B♭, written in G');
  });

  test('facts, sections, remarks and the foot', () => {
    const read = part(
      'title: Weir\nby: Ines Calloway\nkey: G\ntime: 3/4\ntempo: 96\nfeel: slow\nform: A, A\n\n[A] x2 -- softly\n1 4\n[B]\n5 1\n',
    );
    expect(read.title).toBe('Weir');
    expect(read.facts).toBe('G  ·  3/4  ·  96 bpm  ·  slow  ·  Ines Calloway  ·  Form: A, A');
    expect(read.sections.map(({ name, beside }) => [name, beside])).toEqual([
      ['A', '×2  softly'],
      ['B', ''],
    ]);
    expect(read.foot).toBe('a foot');
  });

  test('bars before the first section stand in a part without a name', () => {
    expect(part('key: G\n1 4\n[A]\n5 1\n').sections.map(({ name, rows }) => [name, rows.length])).toEqual([
      [null, 1],
      ['A', 1],
    ]);
    expect(part('').sections).toEqual([]);
    expect(part('').title).toBe('Song without a title');
  });

  test('four bars a row, a new row with every line, a pickup beside them', () => {
    const rows = (text: string) => part(text).sections.flatMap((section) => section.rows.map((row) => row.bars.length));
    expect(rows('key: G\n1 4 5 1 6- 2-\n')).toEqual([4, 2]);
    expect(rows('key: G\n1 4\n5 1\n')).toEqual([2, 2]);
    expect(rows('key: G\n{pickup: 1} 5 1 4 5 1\n')).toEqual([1, 4]);
  });

  test('beats only where a bar is shared unequally', () => {
    const beats = (text: string) => bars(text).flatMap(({ chords }) => chords.map((chord) => chord.beats));
    expect(beats('key: G\n(1 4) (1... 4.)\n')).toEqual([null, null, 3, 1]);
  });

  test('marks go with their chords', () => {
    const [first, second, third, fourth] = bars('key: G\n>1 <4> 5! 1?\n').map(({ chords }) => chords[0]);
    expect(first?.marks.push).toBe(true);
    expect(second?.marks.ring).toBe(true);
    expect(third?.marks.stop).toBe(true);
    expect(fourth?.marks.optional).toBe(true);
  });

  test('cues for somebody else are left out, remarks for everyone stay', () => {
    const text = 'key: G\n1 "watch" @bass "walk up" @drums "fill" 4\n';
    const remarks = (cuesFor: readonly string[] | null) =>
      bars(text, { cuesFor })[0]?.remarks.map(({ to, text: words }) => (to === null ? words : `${to}: ${words}`));
    expect(remarks(null)).toEqual(['watch', 'bass: walk up', 'drums: fill']);
    expect(remarks(['Bram', 'Bass guitar'])).toEqual(['watch', 'bass: walk up']);
    expect(remarks(['horn'])).toEqual(['watch']);
  });

  test('lyrics stand under the line they belong to, and can be left out', () => {
    const text = 'key: G\n1 4 5 1 6- 2-\n~ salt on the quay\n~ and again\n5 1\n';
    const words = (show: boolean) => part(text, { words: show }).sections.flatMap(({ rows }) => rows.map((row) => row.words));
    expect(words(true)).toEqual([[], ['salt on the quay', 'and again'], []]);
    expect(words(false)).toEqual([[], [], []]);
    expect(wordsUnder(0, readChart(text))).toEqual(['salt on the quay', 'and again']);
  });
});

describe('parts for the rhythm section', () => {
  test.each<[PartLook['show'], string[]]>([
    ['letters', ['G', 'F#', 'A', 'F', 'NC'].map((name) => name.replace('#', '♯'))],
    ['numbers', ['1', '7', '2', '♭7', 'NC']],
    ['both', ['1 G', '7 F♯', '2 A', '♭7 F', 'NC']],
  ])('the bass reads roots and notes under a slash, as %s', (show, expected) =>
    expect(symbols('key: G\n1maj7 5/7 2-7b5 b79 NC\n', { kind: 'bass', show })).toEqual(expected),
  );

  test('a drummer reads bars, hits, stops, pushes and silence, and no chord', () => {
    const text = 'key: G\n[A] x2\n1 4 (1 5!) >6-\n<1> NC % (1... 4.)\n';
    // the first two bars are only counted, and so is the last
    expect(symbols(text, { kind: 'form' })).toEqual(['–', '–', '×', '×', '×', 'NC', 'NC', '–']);
    expect(bars(text, { kind: 'form' }).map(({ sign, counts }) => (sign === 'count' ? counts : sign))).toEqual([
      2,
      'chords',
      'chords',
      'chords',
      'chords',
      'chords',
      1,
    ]);
    expect(part(text, { kind: 'form' }).sections[0]?.beside).toBe('×2  8 bars');
    const [, shared] = bars(text, { kind: 'form' });
    expect(shared?.chords.map(({ marks, share }) => [marks.stop, share])).toEqual([
      [false, 2],
      [true, 2],
    ]);
  });
});

describe('what stands over and behind bars', () => {
  test('endings and jumps in words', () => {
    expect(endingLabel([1])).toBe('1.');
    expect(endingLabel([1, 2])).toBe('1. 2.');
    const read = readChart('key: G\n{segno} 1 4 {to coda} 5 {ds al coda}\n[Tag]\n{coda} 1 {fine}\n');
    expect(read.bars.map(({ form }) => afterWords(form))).toEqual([[], ['To Coda'], ['D.S. al Coda'], ['Fine']]);
    const jump = { kind: 'jump', to: 'start', until: 'either', keepRepeats: true } as const;
    expect(afterWords({ after: [jump] })).toEqual(['D.C. with repeats']);
  });

  test('what is new with a bar is told, and nothing else', () => {
    const read = readChart('key: G\n{pickup: 1} 5 1 {key: +2} 4 {3/4} 1 {tempo: 90} 1 1\n');
    const keys = read.stretches.map(({ key }) => key);
    const headings = read.bars.map((bar, index) => barHeading(bar, read.bars[index - 1], keys, DEFAULT_NAMING));
    expect(headings).toEqual(['pickup', '', 'key A', '3/4', '90 bpm', '']);
  });
});
