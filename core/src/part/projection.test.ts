import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import { symbolText } from '../naming/symbol-view.ts';
import { type BarCell, projectChart } from './projection.ts';

const D = 2;
const F = -1;
const sheet = (text: string, written = 0, sounding = written) =>
  projectChart(
    readChart(text),
    { sounding, written, naming: DEFAULT_NAMING, show: 'both', kind: 'chart', words: true, cuesFor: null },
    600,
  );
const bars = (text: string, written = 0, sounding = written) =>
  sheet(text, written, sounding).sections.flatMap(({ rows }) => rows.flatMap((row) => row.bars));
const letters = (list: readonly BarCell[]) =>
  list.map(({ chords }) => chords.map(({ letter }) => (letter === null ? 'NC' : symbolText(letter))).join(' '));

describe('the sheet', () => {
  test('lays four bars in a row and starts anew with every line of text', () => {
    const { sections } = sheet('1 4 5 1 6-\n2- 5\n[B]\n1');
    expect(sections.map(({ name, rows }) => [name, rows.map((row) => row.bars.length)])).toEqual([
      [null, [4, 1, 2]],
      ['B', [1]],
    ]);
  });

  test('says how many bars of a section are played each time through', () => {
    const played = sheet('form: A, B\n[A]\n|: 1 4 :|\n[B] x2\n1\n[C]\n5').sections.map(({ name, played: bars }) => `${name} ${bars}`);
    expect(played).toEqual(['A 4', 'B 1', 'C 0']);
  });

  test('puts lyric lines under the last row of their line, and only there', () => {
    const { sections } = sheet('[A]\n1 4 5 1 6-\n~ one\n~ two\n2-\n~ three');
    expect(sections[0]?.rows.map(({ words }) => words)).toEqual([[], ['one', 'two'], ['three']]);
  });

  test('shows the reader’s letters, and what sounds where that differs', () => {
    const home = bars('key: D\n1 6-7', D);
    expect(letters(home)).toEqual(['D', 'Bm7']);
    expect(home[0]?.chords[0]?.sounding).toBeNull();
    const capo = bars('key: D\n1 6-7', 0, D);
    expect(letters(capo)).toEqual(['C', 'Am7']);
    expect(symbolText(capo[1]?.chords[0]?.sounding as never)).toBe('Bm7');
  });

  test('numbers stay when the key changes', () => {
    const numbers = (home: number) => bars('1 b7 (2-7 57/7)', home).flatMap(({ chords }) => chords.map(({ number }) => number?.label));
    expect(numbers(F)).toEqual(numbers(D));
    expect(numbers(F)).toEqual(['1', 'flat 7', '2 minor 7', '5 7 over 7']);
  });

  test('says where key and meter change, in the reader’s key', () => {
    const list = bars('key: C\n1 {key: +2} 1 {3/4} 1 1', F, F);
    expect(list.map(({ heading }) => heading)).toEqual(['', 'key G', '3/4', '']);
    expect(bars('1 {tempo: 90} {key: A} {3/4} 1').map(({ heading }) => heading)).toEqual(['', 'key A · 3/4 · 90 bpm']);
  });

  test('shows where repeats, endings, signs and jumps stand; a pickup stands by itself', () => {
    const list = bars('{pickup: 1} 5 {segno} |: 1 1.[ 4 ] 2.[ 5 ] :| x2 6- {to coda} 1 {ds! al coda} {coda} 1 {fine}');
    expect(
      list.map(({ opensRepeat, closesRepeat, ending, signs, after }) => [
        opensRepeat,
        closesRepeat,
        ending?.label ?? '',
        signs.join(),
        after.join(),
      ]),
    ).toEqual([
      [false, null, '', '', ''],
      [true, null, '', 'segno', ''],
      [false, 2, '1.', '', ''],
      [false, null, '2.', '', ''],
      [false, null, '', '', 'To Coda'],
      [false, null, '', '', 'D.S. al Coda with repeats'],
      [false, null, '', 'coda', 'Fine'],
    ]);
    expect(sheet('{pickup: 1} 5 1 4 5 1').sections[0]?.rows.map((row) => row.bars.length)).toEqual([1, 4]);
  });

  test('sets letters, numbers or Roman numerals large', () => {
    const large = (show: 'both' | 'numbers' | 'letters' | 'roman') =>
      projectChart(readChart('key: D\n2-7'), {
        sounding: D,
        written: D,
        naming: DEFAULT_NAMING,
        show,
        kind: 'chart',
        words: true,
        cuesFor: null,
      }).sections[0]?.rows[0]?.bars[0]?.chords[0];
    expect(symbolText(large('letters')?.main as never)).toBe('Em7');
    expect(symbolText(large('numbers')?.main as never)).toBe('2–7');
    expect(symbolText(large('roman')?.main as never)).toBe('ii7');
    expect(large('numbers')?.under).toBeNull();
    expect(symbolText(large('both')?.under as never)).toBe('Em7');
  });

  test('marks beats only in bars that are shared unequally', () => {
    const [equal, unequal] = bars('(1 4) (1.., 5.,)');
    expect(equal?.chords.map(({ beats }) => beats)).toEqual([null, null]);
    expect(unequal?.chords.map(({ beats, share }) => [beats, share])).toEqual([
      [2.5, 2.5],
      [1.5, 1.5],
    ]);
  });

  test('marks the bars that are wrong, and repeats as signs', () => {
    expect(bars('1 (1 4 5) %').map(({ wrong, sign }) => [wrong, sign])).toEqual([
      [false, 'chords'],
      [true, 'chords'],
      [false, '%'],
    ]);
  });

  test('draws no more bars than a page can bear, and says how many are left', () => {
    const long = sheet('1 '.repeat(1000));
    expect(long.left).toBe(400);
  });
});

describe('parts for the rhythm section', () => {
  const mains = (text: string, part: 'bass' | 'form', show: 'letters' | 'numbers' = 'letters') =>
    projectChart(readChart(text), {
      sounding: D,
      written: D,
      naming: DEFAULT_NAMING,
      show,
      kind: part,
      words: false,
      cuesFor: [],
    }).sections.flatMap(({ rows }) =>
      rows.flatMap(({ bars }) =>
        bars.flatMap(({ chords }) => chords.map(({ main }) => main && `${main.prefix}${main.main}${main.raised}`)),
      ),
    );

  test('the bass sees roots and what stands under a slash', () => {
    expect(mains('key: D\n1maj7 5/7 2-7b5 NC\n', 'bass')).toEqual(['D', 'C♯', 'E', null]);
    expect(mains('key: D\n1maj7 5/7 b77\n', 'bass', 'numbers')).toEqual(['1', '7', '♭7']);
  });

  test('the drummer sees hits where they fall, and time', () => {
    expect(mains('key: D\n1 (4 5) (1 5!) NC %\n', 'form')).toEqual(['–', '–', '–', '×', null, null]);
  });
});
