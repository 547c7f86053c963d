import { describe, expect, test } from '@jest/globals';
import { printNumber } from '../degree/number-text.ts';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { DEFAULT_NAMING, type Naming } from '../naming/naming.ts';
import { keyReasonWords, patternWords, regionWords, scaleWords } from '../wording/analysis-words.ts';
import { readingWords } from '../wording/reading-words.ts';
import { analyzeText } from './analyze.ts';
import { romanUnder } from './applied-roman.ts';
import { READING_KINDS } from './reading.ts';

const inKey = (key: string, source: string, hearing: 'local' | 'home' = 'local') =>
  analyzeText(source, { key: requireValue(parseKey(key)), hearing });

describe('Roman numerals', () => {
  test.each([
    ['F', 'F Cm7 F7 Bbmaj7', 'I ii7/IV V7/IV IVmaj7', 'I v7 I7 IVmaj7'],
    ['C', 'C A7 Dm Db7 C', 'I V7/ii ii subV7/I I', 'I VI7 ii bII7 I'],
    ['C', 'C C#dim7 Dm', 'I #i°7 ii', 'I #i°7 ii'],
    ['C', 'Am G#dim7 Am F', 'vi vii°7/vi vi IV', 'vi #v°7 vi IV'],
    ['C', 'C/E G/B F/C D7/F# G', 'I6 V6 IV64 V65/V V', 'I6 V6 IV64 II65 V'],
    ['Am', 'Am Bm7b5 E7 Am', 'i iiø7 V7 i', 'i iiø7 V7 i'],
    ['C', 'C Em7 A7 Dm7 G7', 'I ii7/ii V7/ii ii7 V7', 'I iii7 VI7 ii7 V7'],
  ])('in %s: %s', (key, source, local, home) => {
    const romans = (hearing: 'local' | 'home') => inKey(key, source, hearing).chords.map(({ roman }) => roman);
    expect(romans('local').join(' ')).toBe(local);
    expect(romans('home').join(' ')).toBe(home);
  });

  test('screens write them in the band’s school: capitals, inversions as figures', () => {
    const { chords } = inKey('C', 'C/E G7/B C/G D7/F# G Em');
    const romans = (naming: Partial<Naming>, hearing: 'local' | 'home' = 'local') =>
      chords.map((chord) => romanUnder(chord, hearing, { ...DEFAULT_NAMING, ...naming })).join(' ');
    expect(romans({ inversions: 'slash' })).toBe('I/^3 V7/^7 I/^5 V7/^7/V V iii');
    expect(romans({ inversions: 'figures' })).toBe('I6 V65 I64 V65/V V iii');
    expect(romans({ inversions: 'figures' }, 'home')).toBe('I6 V65 I64 II65 V iii');
    expect(romans({ degrees: 'capitals' })).toMatch(/IIIm$/);
  });

  test('chart numbers are the same under both hearings', () => {
    const numbers = (hearing: 'local' | 'home') =>
      inKey('Ab', 'Abmaj7 Ebm7 Ab7 Dbmaj7', hearing).chords.map(({ number }) => printNumber(number));
    expect(numbers('local')).toEqual(numbers('home'));
  });
});

describe('functions', () => {
  test.each([
    ['C', 'C Dm Em F G Am Bdim', 'tonic subdominant tonic subdominant dominant tonic dominant'],
    ['Am', 'Am Bdim C Dm E7 F G#dim7', 'tonic subdominant tonic subdominant dominant subdominant dominant'],
    ['C', 'C A7 Dm Fm Bb7 C', 'tonic dominant subdominant subdominant dominant tonic'],
    ['C', 'Dm7 Db7 C C#dim7 C', 'subdominant dominant tonic other tonic'],
  ])('in %s: %s', (key, source, expected) => {
    expect(
      inKey(key, source)
        .chords.map((chord) => chord.function)
        .join(' '),
    ).toBe(expected);
  });
});

describe('the ridge', () => {
  const heights = (key: string, source: string) => inKey(key, source).ridge.map(({ height }) => height);

  test('is made as its definition says', () => {
    // 1 rests; 6- rests a little off; 4 moves away; 5 pulls and is answered
    expect(heights('C', 'C Am F G C')).toEqual([0, 0.5, 1, 2, 0]);
    // A7 has C♯, two fifths outside (the key's nearest is B): ½ · 2 + 2; Fm has A♭, three outside: ½ · 3 + 1
    expect(heights('C', 'C A7 Dm Fm C')).toEqual([0, 3, 1, 2.5, 0]);
    // a broken promise stands 1 higher, one never answered 1½
    expect(heights('C', 'C G Am')[1]).toBe(3);
    expect(heights('C', 'C F D7')[2]).toBe(4);
  });

  test('rises with its ground in another key', () => {
    const { ridge } = analyzeText('key: C\n\n1 4 5 1 {key: D} 1 4 5 1');
    expect(ridge.map(({ ground }) => ground)).toEqual([0, 0, 0, 0, 1, 1, 1, 1]);
  });
});

describe('optional chords', () => {
  test('are told with and without', () => {
    const { withoutOptional } = analyzeText('key: C\n\n1 17 5-7? 4 1');
    expect(withoutOptional.map(({ index, reading }) => [index, reading.kind, reading.resolution])).toEqual([
      [1, 'secondary-dominant', 'resolves'],
    ]);
    expect(analyzeText('key: C\n\n1 6-? 4 1').withoutOptional).toEqual([]);
  });
});

describe('bad input', () => {
  test.each(['', '   ', 'xyz', '|||', 'NC', 'NC NC', '%', '???', 'key: C', 'C'.repeat(500), '🎸 🎸'])(
    '%j is answered without chords',
    (source) => {
      const { chords, keys, regions, patterns, lead } = analyzeText(source);
      expect({ chords, keys, regions, patterns, lead }).toEqual({ chords: [], keys: [], regions: [], patterns: [], lead: 'none' });
    },
  );

  test('nonsense still gets a reading and a runner-up for its key', () => {
    const { chords, keys } = analyzeText('Fb7 B# E##');
    expect(chords.map(({ reading }) => READING_KINDS.includes(reading.kind))).toEqual([true, true, true]);
    expect(keys.length).toBeGreaterThan(1);
  });

  test('two thousand chords are read to the end', () => {
    const source = Array.from({ length: 2000 }, (_, index) => ['C', 'Am7', 'F#dim7', 'D7', 'G7', 'Eb', 'Bb7'][(index * 3) % 7]).join(' ');
    expect(analyzeText(source).chords).toHaveLength(2000);
  });
});

describe('words', () => {
  test.each([
    ['C', 'C A7 Dm', 1, 'A7 is the dominant of Dm, the 2–: C♯ stands where the key has C. It resolves to Dm.'],
    ['C', 'C E7 F', 1, 'E7 is the dominant of Am, the 6–: G♯ stands where the key has G. The ear expects Am, the 6–; F comes instead.'],
    ['C', 'C A7 D7 G', 1, 'A7 is the dominant of Dm, the 2–: C♯ stands where the key has C. D7 follows on that root and leads on itself.'],
    ['C', 'C Fm C', 1, 'Fm is borrowed: A♭ stands where the key has A, and C natural minor (as does harmonic minor) has it.'],
    ['Am', 'Am E7 Am', 1, 'E7 pulls home: it holds G♯, the 7 raised to a half step below A, with D against it. It resolves to Am.'],
    ['C', 'C Dm C', 1, 'Dm is the 2–.'],
  ])('in %s, %s: chord %i', (key, source, index, words) => {
    expect(readingWords(inKey(key, source), index).join(' ')).toBe(words);
  });

  test('every kind of reading, key, region, pattern and scale has words', () => {
    const source =
      'C Gm7 C7 F Fm Bb7 C E7 F#dim7 C/G Db7 C C#dim7 Dm G7 C Cdim7 C E C Db G7 C F#m C Ab7 G C G/C F/C C D F#7 Bm G A7 D G A7 D';
    const analysis = analyzeText(source);
    analysis.chords.forEach(({ scales }, index) => {
      expect(readingWords(analysis, index).join(' ')).toMatch(/^\S.*\.$/);
      for (const scale of scales) expect(scaleWords(scale)).not.toContain('undefined');
    });
    for (const { reasons } of analysis.keys) for (const reason of reasons) expect(keyReasonWords(reason)).not.toBe('');
    for (const pattern of analysis.patterns) expect(patternWords(pattern)).not.toContain('undefined');
    const [first, second] = analysis.regions;
    expect(regionWords(first as never, null, analysis.chords)).toBe('At home in C major.');
    expect(regionWords(second as never, first?.key ?? null, analysis.chords)).toMatch(/belongs to both keys|goes straight to/);
    expect(readingWords(analysis, 999)).toEqual([]);
  });
});

describe('long stretches of one chord', () => {
  const readings = (text: string) => inKey('C', text).chords.map(({ reading, function: does }) => `${reading.kind} ${does}`);
  test.each([
    ['one chord', 'C ', 'Dm7 G7 C F '],
    ['the colours of one dominant', 'G7 G13 ', 'C F '],
    ['a dominant of another chord', 'D7 ', 'G7 C '],
    ['a chord of nowhere', 'Ab ', 'G7 C '],
  ])('%s is read alike, however long it goes on', (_, stretch, rest) => {
    const of = (times: number) =>
      new Set(readings(`${rest}${stretch.repeat(times)}${rest}`).slice(rest.trim().split(' ').length, -rest.trim().split(' ').length));
    expect(of(60)).toEqual(of(12));
  });
});
