import { describe, expect, test } from '@jest/globals';
import type { WrittenBar } from '../chart/bars.ts';
import { type ChartReading, readChart } from '../chart/reading.ts';
import { renderChart } from '../chart/render.ts';
import { BRIDGE_KINDS } from '../choices.ts';
import { printChord } from '../chord/chord-text.ts';
import type { NumberChord } from '../degree/degree.ts';
import { printNumber } from '../degree/number-text.ts';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import { type SymbolView, symbolText } from '../naming/symbol-view.ts';
import { projectChart } from '../part/projection.ts';
import { lensOn } from '../part/reader-part.ts';
import { firstChord, lastChord, type MedleySong, withBridge } from './medley.ts';

const song = (source: string, tonic?: number): MedleySong => {
  const reading = readChart(source);
  return { source, reading, title: reading.head.title, tonic: tonic ?? reading.head.key.tonic };
};
const EB_END = song('title: One\nkey: Eb\n\n[A]\n1 4 5 1\n');
const EM_START = song('title: Two\nkey: Em\n\n[A]\n1- 4- 57 1-\n');
const letters = (text: string, tonic: number) => renderChart(readChart(text), tonic, 'letters').performed;

describe('the ends of a song as it is played', () => {
  test.each([
    ['key: D\n[A]\n1 4 5\n', 'D', 'A'],
    ['key: D\n[A]\nNC 4 (5 NC)\n', 'G', 'A'],
    ['key: D\nform: B, A\n[A]\n1\n[B]\n6-\n', 'Bm', 'D'],
    ['key: D\n[A]\n1 4 {fine} 5 57 {dc al fine}\n', 'D', 'G'],
    ['key: D\n[A]\n1\n{key: +2}\n[B]\n1\n', 'D', 'E'],
  ])('%j begins with %s and ends with %s', (text, first, last) => {
    const reading = readChart(text);
    expect(printChord(firstChord(reading, 2)?.chord as never)).toBe(first);
    expect(printChord(lastChord(reading, 2)?.chord as never)).toBe(last);
  });

  test('follow tonight’s key', () => expect(printChord(lastChord(readChart('key: D\n1 4\n'), 0)?.chord as never)).toBe('F'));

  test('are not there without chords', () => expect(firstChord(readChart('key: D\nNC NC\n'), 2)).toBeUndefined());
});

/** Every bridge between a song in one key and a song in another, with the last bar of its chart and that bar as players read it. */
function bridgesBetween(from: string, into: string) {
  const [one, two] = [song(`title: One\nkey: ${from}\n\n[A]\n1\n`), song(`title: Two\nkey: ${into}\n\n[A]\n1\n`)];
  const texts = BRIDGE_KINDS.map((kind) => withBridge(one, two, kind)).filter((text) => text !== one.source);
  return texts.map((text) => {
    const reading = readChart(text);
    const bar = reading.bars[1] as WrittenBar;
    const key = reading.stretches[bar.stretch]?.key;
    const read = [0, 2, 7, 9].flatMap((transpose) => lettersRead(reading, one.tonic, transpose));
    return { key, into: two.reading.head.key, numbers: bar.chords.map(({ chord }) => printNumber(chord as NumberChord)), read };
  });
}

function lettersRead(reading: ChartReading, tonic: number, transpose: number): readonly string[] {
  const look = { naming: DEFAULT_NAMING, show: 'letters', kind: 'chart', words: false, cuesFor: [], ownBars: 1 } as const;
  const { sections } = projectChart(reading, lensOn({ transpose, capo: 0, tuning: 0 }, look, reading, tonic));
  return (sections.at(-1)?.rows[0]?.bars[0]?.chords ?? []).map(({ main }) => symbolText(main as SymbolView));
}

const KEYS = ['Cb', 'Gb', 'Db', 'Ab', 'Eb', 'Bb', 'F', 'C', 'G', 'D', 'A', 'E', 'B', 'F#', 'C#', 'Ebm', 'Cm', 'F#m', 'G#m', 'D#m'];

describe('a bridge written into the chart', () => {
  test.each(KEYS)('from %s to anywhere is numbered where it leads to, and plain for every player', (from) => {
    const bridges = KEYS.flatMap((into) => bridgesBetween(from, into));
    expect(bridges.length).toBeGreaterThan(60);
    for (const { key, into, numbers, read } of bridges) {
      expect(key).toEqual(into);
      for (const number of numbers) expect(number).not.toMatch(/^[b#]{2}/);
      expect(read.length).toBeGreaterThanOrEqual(4);
      expect(read.filter((letters) => /♭♭|♯♯|𝄫|𝄪/.test(letters))).toEqual([]);
    }
  });

  test('E♭ to E minor over its dominant: B7, as the 5 of E minor', () => {
    const text = withBridge(EB_END, EM_START, 'dominant');
    expect(text).toContain('[To Two]\n{key: Em} 57\n');
    expect(letters(text, -3).at(-1)).toBe('B7');
  });

  test.each([
    ['two-five', 'F#m7b5 B7'],
    ['tritone-substitute', 'F7'],
    ['diminished-approach', 'D#dim7'],
  ] as const)('%s: %s', (kind, chords) => expect(letters(withBridge(EB_END, EM_START, kind), -3).at(-1)).toBe(chords));

  test('follows the keys of tonight: the same songs a step up and a step down', () => {
    const text = withBridge({ ...EB_END, tonic: -1 }, { ...EM_START, tonic: 2 }, 'dominant');
    // to D minor leads A7; the text is in E♭, where that is the 5 of C minor
    expect(text).toContain('[To Two]\n{key: Cm} 57\n');
    expect(letters(text, -1).at(-1)).toBe('A7');
  });

  test('is played last, whatever the form', () => {
    for (const source of [
      'title: One\nkey: C\nform: A, B, A\n\n[A]\n1 4\n\n[B]\n5 5\n',
      'title: One\nkey: C\n\n[A] x2\n1 4\n',
      'title: One\nkey: C\n\n[A]\n{segno} 1 4 {to coda} 5 {ds al coda}\n\n[B]\n{coda} 6- 1\n',
      'title: One\nkey: C\n1 4 5 1\n',
    ]) {
      const text = withBridge(song(source), EM_START, 'dominant');
      const { performance, sections, problems } = readChart(text);
      expect(sections.at(-1)?.name).toBe('To Two');
      expect(performance.order.at(-1)).toBe(sections.at(-1)?.from);
      expect(problems.filter(({ severity }) => severity === 'error')).toEqual([]);
      expect(letters(text, 0).slice(0, -1)).toEqual(letters(source, 0));
    }
  });

  test('a song that ends at its Fine says what to do', () => {
    const text = withBridge(song('title: One\nkey: C\n\n[A]\n1 4 {fine} 5 57 {dc al fine}\n'), EM_START, 'dominant');
    expect(text).toContain('[To Two] -- straight on from the last bar\n{key: Em} 57\n');
  });

  test('counts from the relative major where the chart does, and stays in the key it ends in', () => {
    expect(withBridge(song('title: One\nkey: Am\nnumbering: relative\n\n[A]\n6-\n'), song('key: C\n1\n'), 'dominant')).toContain(
      '\n{key: C} 57\n',
    );
    expect(withBridge(song('title: One\nkey: C\n\n[A]\n1\n{key: D}\n[B]\n1\n'), song('key: D\n1\n'), 'dominant')).toContain('\n57\n');
  });

  test('nothing is written for a direct join, or where a song has no chords', () => {
    expect(withBridge(EB_END, EM_START, 'direct')).toBe(EB_END.source);
    expect(withBridge(EB_END, song('key: C\nNC\n'), 'dominant')).toBe(EB_END.source);
  });

  test('a section of that name is not taken twice', () => {
    const twice = song('title: One\nkey: C\n\n[To Two]\n1\n');
    expect(withBridge(twice, EM_START, 'dominant')).toContain('[To Two (2)]');
  });
});
