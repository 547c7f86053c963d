import { describe, expect, test } from '@jest/globals';
import { chordNotes } from '../chord/chord.ts';
import { parseChord, printChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { intervalName } from '../interval/interval.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import { isSpellable, keyNotes } from '../key/key.ts';
import { parseKey, printKey } from '../key/key-text.ts';
import { printNote } from '../pitch/note-text.ts';
import { SCALE_NAMES } from '../scale/scale.ts';
import { homesOf, modesOf, nearMisses, twinDegrees } from './belonging.ts';
import { compareKeys } from './compare.ts';
import { harmonize } from './harmonize.ts';
import { climb, LADDER, toneChanges } from './motion.ts';
import { stackFourths } from './quartal.ts';

const key = (text: string) => requireValue(parseKey(text));
const chord = (text: string) => requireValue(parseChord(text));
const names = (notes: readonly number[]) => notes.map((note) => printNote(note)).join(' ');

describe('stacks of fourths', () => {
  test.each([
    ['C', 0, 'C F B E', 'Cmaj7add11no5', 'P4 A4 P4'],
    ['C', 1, 'D G C F', 'Dm7add11no5', 'P4 P4 P4'],
    ['C', 3, 'F B E A', 'Fmaj7#11no5', 'A4 P4 P4'],
    ['C', 4, 'G C F B', 'G7add11no5', 'P4 P4 A4'],
    ['Eb', 5, 'C F Bb Eb', 'Cm7add11no5', 'P4 P4 P4'],
  ])('%s major, degree %i: %s', (home, index, notes, symbol, stack) => {
    const quartal = stackFourths(key(home), 'four')[index];
    expect(names(quartal?.notes ?? [])).toBe(notes);
    expect(printChord(quartal?.chord as never)).toBe(symbol);
    expect(quartal?.stack.map(intervalName).join(' ')).toBe(stack);
  });

  test('with a third on top the fifth is there', () => {
    expect(stackFourths(key('C'), 'five').map(({ chord: made }) => printChord(made))).toEqual([
      'Cmaj7add11',
      'Dm7add11',
      'Em7add11',
      'Fmaj7#11',
      'G7add11',
      'Am7add11',
      'Bm7b5add11',
    ]);
  });

  test('every note is in the key, in every key there is', () => {
    for (const scale of SCALE_NAMES) {
      for (let tonic = -8; tonic <= 8; tonic += 1) {
        if (!isSpellable({ tonic, scale })) continue;
        for (const { notes } of stackFourths({ tonic, scale }, 'five')) {
          expect(notes.every((note) => keyNotes({ tonic, scale }).includes(note))).toBe(true);
          expect(new Set(notes).size).toBe(5);
        }
      }
    }
  });
});

describe('two scales side by side', () => {
  test('harmonic minor is natural minor with the 7 raised: v becomes V because its third is the 7', () => {
    const { changed, chords } = compareKeys(key('Am'), key('A harmonic minor'), 'triad');
    expect(changed).toEqual([{ from: key('G').tonic, to: key('G#').tonic }]);
    const touched = chords.filter(({ changes }) => changes.length > 0);
    expect(touched.map(({ first, second }) => `${printChord(first.chord)} ${printChord(second.chord)}`)).toEqual([
      'C Caug',
      'Em E',
      'G G#dim',
    ]);
    expect(touched[1]?.changes.map(({ before, after }) => [before.name, after?.name])).toEqual([['b3', '3']]);
  });

  test('melodic minor is major with the 3 lowered', () => {
    const { changed, chords } = compareKeys(key('C'), key('C melodic minor'), 'seventh');
    expect(changed.map(({ from, to }) => `${printNote(from)} ${printNote(to)}`)).toEqual(['E Eb']);
    expect(chords.filter(({ changes }) => changes.length === 0).map(({ first }) => printChord(first.chord))).toEqual([
      'Dm7',
      'G7',
      'Bm7b5',
    ]);
  });

  test('relative keys have the same chords', () => {
    const { changed, chords } = compareKeys(key('C'), key('Am'), 'seventh');
    expect(changed).toEqual([]);
    expect(chords.every(({ changes, first, second }) => changes.length === 0 && first.chord.root === second.chord.root)).toBe(true);
  });
});

describe('how it moves', () => {
  test('every voice climbs to the next scale note', () => {
    const steps = climb(key('C'), 'seventh', 1);
    expect(steps.map(({ from, to, semitones }) => `${printNote(from)}${printNote(to)}${semitones}`).join(' ')).toBe('DE2 FG2 AB2 CD2');
  });

  test('from any chord of any key the climb arrives at the next one', () => {
    for (const home of ['C', 'F#', 'Bb harmonic minor', 'D melodic minor']) {
      const chords = harmonize(key(home), 'seventh');
      chords.forEach((_, index) => {
        const next = chords[(index + 1) % 7];
        expect(climb(key(home), 'seventh', index).map(({ to }) => to)).toEqual(next?.tones.map(({ note }) => note));
      });
    }
  });

  test('major seventh to minor seventh: 3 and 7 down a half step', () => {
    const changes = toneChanges(chord('Cmaj7').formula, chord('Cm7').formula);
    expect(changes.map(({ before, after, semitones }) => [before.name, after.name, semitones])).toEqual([
      ['3', 'b3', -1],
      ['7', 'b7', -1],
    ]);
  });

  test('the ladder goes down one half step at a time', () => {
    LADDER.slice(1).forEach((formula, index) => {
      const changes = toneChanges(LADDER[index] as number, formula);
      expect(changes.map(({ semitones }) => semitones)).toEqual([-1]);
    });
  });
});

describe('where a chord belongs', () => {
  test.each([
    ['G7', ['major'], 'C:5'],
    ['Dm7', ['major'], 'Bb:3 F:6 C:2'],
    ['Bdim7', ['harmonic minor'], 'C harmonic minor:7'],
    ['Em', ['major'], 'C:3 G:6 D:2'],
  ] as const)('%s in %s: %s', (symbol, scales, homes) => {
    const found = homesOf(chord(symbol), scales).map((home) => `${printKey(home.key)}:${printScaleNumber(home.degree)}`);
    expect(found.join(' ')).toBe(homes);
  });

  test('a home holds the chord on the degree it says', () => {
    for (const symbol of ['Ebm7b5', 'F#7', 'Abmaj7', 'Cm(maj7)']) {
      for (const { key: home, degree } of homesOf(chord(symbol))) {
        expect(chordNotes(chord(symbol)).every((note) => keyNotes(home).includes(note))).toBe(true);
        expect(home.tonic + degree).toBe(chord(symbol).root);
      }
    }
  });

  test('the near misses on the 4 of B flat: a dominant would need D flat', () => {
    const misses = nearMisses(key('Eb').tonic, key('Bb'), 'seventh');
    expect(misses[0]).toMatchObject({ formula: chord('Cmaj7').formula, leaving: [] });
    expect(misses[1]?.leaving.map(({ note, keyHas }) => `${printNote(note)} for ${printNote(keyHas)}`)).toEqual(['Db for D']);
  });

  test('exactly one quality on each degree is the key’s own', () => {
    for (const depth of ['triad', 'seventh'] as const) {
      for (const { chord: own } of harmonize(key('E'), depth)) {
        const fitting = nearMisses(own.root, key('E'), depth).filter(({ leaving }) => leaving.length === 0);
        expect(fitting.map(({ formula }) => formula)).toEqual([own.formula]);
      }
    }
  });

  test('the modes of A flat: B flat dorian, E flat mixolydian', () => {
    const modes = modesOf(key('Ab')).map(({ tonic, scale }) => `${printNote(tonic)} ${scale}`);
    expect(modes).toEqual(['Ab major', 'Bb dorian', 'C phrygian', 'Db lydian', 'Eb mixolydian', 'F natural minor', 'G locrian']);
  });

  test('what tells a mode apart', () => {
    const apart = (home: string, index: number) => modesOf(key(home))[index]?.apart.map((interval) => printScaleNumber(interval));
    expect(apart('C', 1)).toEqual(['6']);
    expect(apart('C', 3)).toEqual(['#4']);
    expect(apart('C', 4)).toEqual(['b7']);
    expect(apart('C', 2)).toEqual(['b2']);
    expect(modesOf(key('C harmonic minor')).map(({ scale }) => scale)).toEqual([
      'harmonic minor',
      'locrian #6',
      'ionian #5',
      'dorian #4',
      'phrygian dominant',
      'lydian #2',
      'altered bb7',
    ]);
    expect(modesOf(key('C harmonic major')).map(({ scale }) => scale)).toEqual(['harmonic major', null, null, null, null, null, null]);
  });

  test('melodic minor has twins: 4 and 5 alike, 6 and 7 alike', () => {
    const twins = twinDegrees(harmonize(key('C melodic minor'), 'seventh'));
    expect(twins.map((degrees) => degrees.map((degree) => printScaleNumber(degree)))).toEqual([
      ['4', '5'],
      ['6', '7'],
    ]);
  });
});
