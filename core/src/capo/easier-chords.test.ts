import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { renderChart } from '../chart/render.ts';
import { chordNotes } from '../chord/chord.ts';
import { printChord } from '../chord/chord-text.ts';
import { printNumber } from '../degree/number-text.ts';
import { requireValue } from '../fault.ts';
import { keyNotes } from '../key/key.ts';
import { parseKey } from '../key/key-text.ts';
import { withSwaps } from '../reader/swaps.ts';
import { easierChords } from './easier-chords.ts';

describe('easier chords for one player', () => {
  const song = readChart('key: C\n1 4 5 6- 4\n');
  const [f] = easierChords(song, {}, 0);

  test('of C F G Am only F is closed, and it is told once', () => {
    expect(easierChords(song, {}, 0).map(({ shape }) => printChord(shape))).toEqual(['F']);
  });

  test('keep the root, use notes of the key, and are easier', () => {
    const key = new Set(keyNotes(requireValue(parseKey('C'))));
    expect(f?.colours.length).toBeGreaterThan(0);
    for (const { sounding, number } of f?.colours ?? []) {
      expect(sounding.root).toBe(-1);
      expect(printNumber(number)).toMatch(/^4/);
      expect(chordNotes(sounding).every((note) => key.has(note))).toBe(true);
    }
    expect(f?.colours.map(({ sounding }) => printChord(sounding))).toContain('Fmaj7');
  });

  test('behind a capo the shape is easy and what sounds is a fret higher', () => {
    // C♯ at capo 1 is held as C: the F shape sounds F♯
    const [hard] = easierChords(readChart('key: Db\n1 4 5 6-\n'), {}, 1);
    expect([printChord(hard?.shape as never), printChord(hard?.sounding as never)]).toEqual(['F', 'Gb']);
    expect(hard?.colours.map(({ sounding }) => printChord(sounding))).toContain('Gbmaj7');
  });

  test('a chord is asked for in every key of the chart', () => {
    const hard = easierChords(readChart('key: C\n4\n{key: +2}\n4 b7\n'), {}, 0);
    expect(hard.map(({ stretch, shape }) => `${stretch} ${printChord(shape)}`)).toEqual(['0 F']);
  });
});

describe('a chart for a player who plays some chords otherwise', () => {
  const read = readChart('key: C\n[A] x2\n1 4 (4 57) 6-\n{key: +2}\n[B]\n4 1\n');
  const letters = (reading: typeof read) => renderChart(reading, 0, 'letters').bars;

  test('has them in their stretch and leaves the rest as it is', () => {
    const swapped = withSwaps(read, [{ chord: '4', stretch: 0, instead: '4maj7' }]);
    expect(letters(swapped)).toEqual(['C', 'Fmaj7', 'Fmaj7 G7', 'Am', 'G', 'D']);
    expect(swapped.performance).toBe(read.performance);
  });

  test('is the chart itself without swaps, or with one nobody can read', () => {
    expect(withSwaps(read, [])).toBe(read);
    expect(letters(withSwaps(read, [{ chord: '4', stretch: 0, instead: 'x' }]))).toEqual(letters(read));
  });
});
