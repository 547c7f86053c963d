import { expect, test } from '@jest/globals';
import { strToU8 } from 'fflate';
import { parseChord, printChord } from '../src/chord/chord-text.ts';
import { requireValue } from '../src/fault.ts';
import { readScore } from '../src/format/read-score.ts';
import { printKey } from '../src/key/key-text.ts';
import { printNote } from '../src/pitch/note-text.ts';
import { octaveOf } from '../src/pitch/pitch-text.ts';
import { reduce } from '../src/reduce/reduce.ts';
import type { Reduction } from '../src/reduce/reduction.ts';
import { placeOf } from '../src/score/place.ts';
import type { ScoreNote } from '../src/score/score.ts';
import { HAND_PIECES } from './hand-pieces-table.ts';

const reduced = (abc: string) => reduce(requireValue(readScore('abc', strToU8(abc))).score);

/** The chord in the middle of each part of a bar, as plain symbols. */
function chordsOf({ score, columns }: Reduction, wanted: string): string {
  return wanted
    .split(' | ')
    .map((bar, place) => {
      const measure = score.measures.filter(({ number }) => number > 0)[place];
      const parts = bar.split(' ');
      return parts
        .map((_, part) => {
          const time = (measure?.from ?? 0) + ((part + 0.5) * ((measure?.to ?? 0) - (measure?.from ?? 0))) / parts.length;
          const chord = columns.find(({ from, to }) => from <= time && time < to)?.chord ?? null;
          return chord === null ? '?' : printChord(chord);
        })
        .join(' ');
    })
    .join(' | ');
}

function tonesOf({ score, tones }: Reduction): readonly string[] {
  return tones
    .map(({ index, at, kind }) => {
      const { note, midi } = score.notes[index] as ScoreNote;
      const { bar, beat } = placeOf(score, at);
      return { bar, beat, words: `${bar}:${beat} ${printNote(note)}${octaveOf(midi, note)} ${kind}` };
    })
    .sort((a, b) => a.bar - b.bar || a.beat - b.beat)
    .map(({ words }) => words);
}

test('there are at least twelve, and each says what its chords are', () => {
  expect(HAND_PIECES.length).toBeGreaterThanOrEqual(12);
  for (const { chords } of HAND_PIECES)
    for (const symbol of chords.replaceAll('|', ' ').split(/\s+/)) expect(parseChord(symbol)).toMatchObject({ ok: true });
});

test.each(HAND_PIECES)('$title: its chords and basses', ({ abc, chords }) => {
  expect(chordsOf(reduced(abc), chords)).toBe(chords);
});

test.each(HAND_PIECES)('$title: the notes beside its chords, and no others', ({ abc, tones }) => {
  expect(tonesOf(reduced(abc))).toEqual(tones);
});

test.each(HAND_PIECES)('$title: its keys', ({ abc, keys }) => {
  const { score, keys: spans } = reduced(abc);
  for (const [bar, key] of Object.entries(keys)) {
    const time = score.measures.find(({ number }) => number === Number(bar))?.from ?? 0;
    const span = spans.find(({ from, to }) => from <= time && time < to);
    expect({ bar, key: span === undefined ? null : printKey(span.key) }).toEqual({ bar, key });
  }
});
