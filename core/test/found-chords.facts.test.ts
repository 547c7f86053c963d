import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readChart } from '../src/chart/reading.ts';
import { renderChart } from '../src/chart/render.ts';
import { parseChord, printChord } from '../src/chord/chord-text.ts';
import { requireValue } from '../src/fault.ts';
import { readFormat } from '../src/format/convert.ts';
import { chroma } from '../src/pitch/note.ts';
import { accompaniment, midiOf, planOf, played, STYLES } from './accompaniments.ts';

const read = (bytes: Uint8Array) => requireValue(readFormat('midi', bytes));
const letters = (chart: string) => renderChart(readChart(chart), readChart(chart).head.key.tonic, 'letters').performed;

/** Progressions made up for these tests; each bar's chords are what has to be found. */
const PLANS: readonly (readonly [text: string, beats: number])[] = [
  ['C F G C Am Dm G7 C', 4],
  ['Em C G D Em Am B7 Em', 4],
  ['Bb Gm Eb F7 Bb Cm F7 Bb', 4],
  ['D,A Bm,G D,A D', 4],
  ['Dm7 G7 Cmaj7 Fmaj7 Bm7b5 E7 Am7 Am7', 4],
  ['A D E7 A F#m Bm E7 A', 3],
];

describe.each(Object.entries(STYLES))('%s', (name, style) => {
  test.each(PLANS)('%s in %i', (text, beats) => {
    const isHalved = text.includes(',') && name.includes('walking');
    if (isHalved) return;
    const found = letters(read(accompaniment(style, planOf(text, beats), beats)).content);
    expect(found.join(' | ')).toBe(
      text
        .split(' ')
        .map((bar) => bar.replace(',', ' '))
        .join(' | '),
    );
  });
});

const ROOTS = ['C', 'Db', 'D', 'Eb', 'E', 'F', 'Gb', 'G', 'Ab', 'A', 'Bb', 'B'] as const;
/** Chords of a major and a minor key by half steps above the tonic. */
const OWN: readonly (readonly (readonly [number, string])[])[] = [
  [
    [0, ''],
    [5, ''],
    [7, ''],
    [9, 'm'],
    [2, 'm'],
    [4, 'm'],
    [2, '7'],
  ],
  [
    [0, 'm'],
    [5, 'm'],
    [7, ''],
    [8, ''],
    [3, ''],
    [10, ''],
  ],
];

const plans = fc
  .record({ tonic: fc.nat(11), mode: fc.nat(1), steps: fc.array(fc.nat(6), { minLength: 6, maxLength: 6 }), style: fc.nat(7) })
  .map(({ tonic, mode, steps, style }) => {
    const own = OWN[mode] as (typeof OWN)[number];
    const chords = [0, ...steps, 0].map((step) => own[step % own.length] as readonly [number, string]);
    return { tonic, style, words: (shift: number) => chords.map(([root, quality]) => `${ROOTS[(root + tonic + shift) % 12]}${quality}`) };
  });

const moved = (sound: string, by: number) => sound.replace(/^\d+/, (root) => `${(Number(root) + by) % 12}`);
/** A chord by its sound alone: how its root is spelled is the key's affair. */
const sounds = (name: string) => {
  const chord = requireValue(parseChord(name));
  return `${chroma(chord.root)} ${printChord({ ...chord, root: 0, bass: null })}`;
};

test('a file whose notes never end is read like any other: every pitch goes on once', () => {
  const bars = 400;
  const notes = Array.from({ length: bars * 50 }, (_, at) => ({
    at: at / 12.5,
    beats: bars * 4 - at / 12.5,
    midi: 40 + (at % 60),
    channel: 0,
  }));
  const found = letters(read(midiOf(notes, 4)).content);
  expect(found).toHaveLength(bars);
});

describe('made up at random', () => {
  test('nineteen bars of twenty are what they were made of', () => {
    let all = 0;
    let right = 0;
    for (const { style, words } of fc.sample(plans, { numRuns: 120, seed: 20 })) {
      const play = Object.values(STYLES)[style] as (typeof STYLES)[string];
      const found = letters(read(accompaniment(play, planOf(words(0).join(' '), 4), 4)).content);
      words(0).forEach((word, bar) => {
        all += 1;
        if (!(found[bar] ?? '').includes(' ') && sounds(found[bar] ?? 'C') === sounds(word)) right += 1;
      });
    }
    expect(right / all).toBeGreaterThanOrEqual(0.95);
  });

  test('in another key the same chords are found, moved', () => {
    fc.assert(
      fc.property(plans, fc.integer({ min: 1, max: 11 }), ({ style, words }, shift) => {
        const play = Object.values(STYLES)[style] as (typeof STYLES)[string];
        const notes = played(play, planOf(words(0).join(' '), 4));
        const [here = [], there = []] = [0, shift].map((by) =>
          letters(
            read(
              midiOf(
                notes.map((note) => ({ ...note, midi: note.midi + by })),
                4,
              ),
            ).content,
          ).flatMap((bar) => bar.split(' ')),
        );
        expect(there.map(sounds)).toEqual(here.map((name) => moved(sounds(name), shift)));
      }),
      { numRuns: 60 },
    );
  });
});
