import { describe, expect, test } from '@jest/globals';
import { analyzeText } from '../analysis/analyze.ts';
import { READING_KINDS } from '../analysis/reading.ts';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import { SCALE_NAMES } from '../scale/scale.ts';
import {
  chordScaleName,
  homeWords,
  keyReasonWords,
  leadWords,
  PATTERN_NAMES,
  READING_NAMES,
  RESOLUTION_NAMES,
  regionWords,
} from './analysis-words.ts';
import { readingWords } from './reading-words.ts';

const key = (text: string) => requireValue(parseKey(text));

test('every reading, pattern and resolution has a name of its own', () => {
  expect(Object.keys(READING_NAMES).sort()).toEqual([...READING_KINDS].sort());
  for (const names of [READING_NAMES, PATTERN_NAMES, RESOLUTION_NAMES].map((record) => Object.values(record))) {
    expect(new Set(names).size).toBe(names.length);
    for (const name of names) expect(name).not.toBe('');
  }
});

describe('scales and homes by the names players use', () => {
  test.each([
    ['major', 'ionian'],
    ['natural minor', 'aeolian'],
    ['dorian', 'dorian'],
    ['locrian #2', 'locrian ♯2'],
    ['mixolydian b6', 'mixolydian ♭6'],
  ] as const)('%s over a chord is %s', (scale, name) => expect(chordScaleName(scale)).toBe(name));

  test('every scale has a name, in letters as in signs', () => {
    for (const scale of SCALE_NAMES) {
      expect(chordScaleName(scale)).not.toBe('');
      expect(chordScaleName(scale, 'ascii')).not.toMatch(/[♭♯]/);
    }
  });

  test.each([
    ['C', 'C major'],
    ['Am', 'A minor'],
    ['A harmonic minor', 'A minor'],
    ['F# melodic minor', 'F♯ minor'],
    ['D dorian', 'D dorian'],
    ['Bb', 'B♭ major'],
  ])('%s is called %s', (text, words) => expect(homeWords(key(text))).toBe(words));
});

describe('what speaks for a key', () => {
  test.each([
    [{ code: 'cadences', count: 1 } as const, 'one cadence closes on its 1'],
    [{ code: 'cadences', count: 3 } as const, '3 cadences close on its 1'],
    [{ code: 'coverage', own: 4, of: 4 } as const, 'every chord is its own'],
    [{ code: 'coverage', own: 3, of: 4 } as const, '3 of 4 chords are its own'],
    [{ code: 'explained', others: 1 } as const, 'one more is borrowed or passing'],
    [{ code: 'explained', others: 2 } as const, '2 more are borrowed or passing'],
  ])('%j', (reason, words) => expect(keyReasonWords(reason)).toBe(words));

  test('the reasons of a plain song', () => {
    const [best] = analyzeText('C Am F G7 C').keys;
    expect(best?.reasons.map(keyReasonWords)).toEqual(
      expect.arrayContaining(['the song opens on its 1', 'the song ends on its 1', 'every chord is its own']),
    );
  });

  test.each([
    ['C Am F G7 C', 'One key leads clearly.'],
    ['key: C\n1 4 5 1\n', 'Key as written.'],
    ['', 'There are no chords yet.'],
  ])('%j: %s', (source, words) => expect(leadWords(analyzeText(source).lead)).toBe(words));
});

describe('why a chord works', () => {
  const why = (source: string, index: number) => readingWords(analyzeText(source), index, DEFAULT_NAMING).join(' ');

  test.each([
    ['key: C\n1 67 2- 57 1\n', 1, ['A7', 'dominant', 'Dm']],
    ['key: C\n1 4- 1\n', 1, ['Fm', 'C natural minor']],
    ['key: C\n1 b27 1\n', 1, ['D♭7', 'stands in for the dominant of C']],
    ['key: C\n1 b77 1\n', 1, ['B♭7', 'backdoor']],
  ])('%j, chord %i', (source, index, parts) => {
    for (const part of parts) expect(why(source, index)).toContain(part);
  });

  test('names follow the school', () => {
    const german = { ...DEFAULT_NAMING, notes: 'german' as const };
    expect(readingWords(analyzeText('key: C\n1 b77 1\n'), 1, german).join(' ')).toContain('B7');
    expect(readingWords(analyzeText('key: C\n1 37 6-\n'), 1, german).join(' ')).toContain('E7');
  });

  test('every chord of a long chain has at least one sentence, and none is cut', () => {
    const analysis = analyzeText('key: Eb\n1 17 4 4- 1 b77 3-7b5 67 2-7 57 1o7 b6 b7 b2 1\n');
    analysis.chords.forEach((_, index) => {
      const sentences = readingWords(analysis, index, DEFAULT_NAMING);
      expect(sentences.length).toBeGreaterThan(0);
      for (const sentence of sentences) expect(sentence).toMatch(/[.!?]$/);
    });
  });
});

test('a key the chart names is told with its reason', () => {
  const { regions, chords } = analyzeText('key: C\n[A]\n1 4 57 1\n[B]\n{key: Eb} 1 4 57 1\n');
  const [first, second] = regions;
  expect(regions).toHaveLength(2);
  if (first === undefined || second === undefined) throw new Error('two keys are written');
  expect(regionWords(second, first.key, chords)).toMatch(/^E♭ major/);
});
