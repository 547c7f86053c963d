import { type Reduction, reduce, timeOf } from '@aurora/core';
import { readScore } from '@aurora/core/format';
import { describe, expect, test } from '@jest/globals';
import { engravedNames, TONE_LETTERS } from './engraved-marks.ts';
import { pieceSteps } from './piece-sound.ts';

/** A melody over held chords: C and F, a bar each. */
const TUNE = 'X:1\nT:Slip\nM:4/4\nL:1/4\nK:C\nV:1\nc d e g|f4|]\nV:2\n[C,E,G,]4|[F,A,C]4|]\n';

function piece(): Reduction {
  const read = readScore('abc', new TextEncoder().encode(TUNE));
  if (!read.ok) throw new Error('not read');
  return reduce(read.value.score);
}
const READ = piece();
const beats = (sound: 'piece' | 'reduction' | 'both', from = 0) => pieceSteps(READ, sound, from).map((step) => step.beats);
const pitches = (sound: 'piece' | 'reduction' | 'both', from = 0) => pieceSteps(READ, sound, from).map(({ midi }) => [...midi]);

describe('what is heard of a piece', () => {
  test('the piece: everything that sets in together sounds together, each until the next', () => {
    expect(beats('piece')).toEqual([1, 1, 1, 1, 4]);
    // C E G under c (an octave above middle C), then the melody alone
    expect(pitches('piece')).toEqual([[48, 52, 55, 72], [74], [76], [79], [53, 57, 60, 77]]);
  });

  test('the reduction: a chord a harmony', () => {
    expect(beats('reduction')).toEqual([4, 4]);
    for (const chord of pitches('reduction')) expect(chord.length).toBeGreaterThanOrEqual(3);
  });

  test('both: what they share is struck once', () => {
    const first = pitches('both')[0] ?? [];
    expect(new Set(first).size).toBe(first.length);
    for (const midi of [48, 52, 55, 72]) expect(first).toContain(midi);
  });

  test('from a later place on, what began before is left out', () => {
    const second = timeOf(READ.score, { bar: 2, beat: 1 }) as number;
    expect(pitches('piece', second)).toEqual([[53, 57, 60, 77]]);
    expect(pitches('piece', second + 1)).toEqual([]);
  });
});

describe('marks over what is engraved', () => {
  test('every kind of note outside its chord has letters of its own', () => {
    const letters = Object.values(TONE_LETTERS);
    expect(letters.length).toBe(10);
    expect(new Set(letters).size).toBe(letters.length);
  });

  test('a note is called by where it was written, else by its own place', () => {
    const note = READ.score.notes[0] as (typeof READ.score.notes)[number];
    const { written: _, ...unwritten } = note;
    expect(engravedNames(unwritten as typeof note, 3)).toEqual(['n3']);
    expect(engravedNames({ ...note, written: [4, 7] }, 3)).toEqual(['x4', 'x7']);
  });
});
