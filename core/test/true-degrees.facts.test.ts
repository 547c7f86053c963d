import { describe, expect, test } from '@jest/globals';
import { analyzeText, chordScaleName, type Key, parseKey, printNote, printNumber, requireValue } from '../src/index.ts';

const keyed = (key: string, source: string) => analyzeText(source, { key: requireValue(parseKey(key)) as Key });

describe('a degree is spelled by what the chord is', () => {
  test.each([
    ['Ab', 'Ab E Eb Ab', '1 b6 5 1'],
    ['Eb', 'Fm7 E7 Ebmaj7', '2-7 b27 1maj7'],
    ['Ab', 'Bbm7 A7 Abmaj7', '2-7 b27 1maj7'],
    ['C', 'C G#7 G C', '1 b67 5 1'],
    ['C', 'C A#7 C', '1 b77 1'],
    ['C', 'C C# G7 C', '1 b2 57 1'],
    ['F', 'F G# Bb F', '1 b3 4 1'],
    ['D', 'D A# C D', '1 b6 b7 1'],
    // secondary dominants and their kin are counted from what they aim at
    ['Db', 'Db F7 Bbm Gb', '1 37 6- 4'],
    ['Gb', 'Gb A#7 D#m Abm7 Db7 Gb', '1 37 6- 2-7 57 1'],
    ['C', 'C Gb7 F C', '1 b57 4 1'],
    // diminished chords by direction
    ['C', 'C Dbdim7 Dm7 G7', '1 #1o7 2-7 57'],
    ['C', 'C Em7 D#dim7 Dm7 G7', '1 3-7 b3o7 2-7 57'],
    ['C', 'C Ebdim7 C', '1 #2o7 1'],
    ['F', 'Bb Bdim7 F/C C7 F', '4 #4o7 1/5 57 1'],
    // the key's own chords, however they are typed
    ['D', 'D Gbm G A', '1 3- 4 5'],
    ['Am', 'Am Abdim7 Am', '1- 7o7 1-'],
    ['B', 'B Ebm E F#', '1 3- 4 5'],
  ])('in %s, %s is %s', (key, source, numbers) => {
    expect(
      keyed(key, source)
        .chords.map(({ number }) => printNumber(number))
        .join(' '),
    ).toBe(numbers);
  });

  test('Romans and scales follow, and the chord stays as it was typed', () => {
    const { chords } = keyed('Ab', 'Ab E Eb Ab');
    expect(chords.map(({ roman }) => roman).join(' ')).toBe('I bVI V I');
    expect([printNote(chords[1]?.scales[0]?.tonic as number), chordScaleName(chords[1]?.scales[0]?.scale as 'lydian')]).toEqual([
      'Fb',
      'lydian',
    ]);
    expect(printNote(chords[1]?.chord.root as number)).toBe('E');
  });
});

describe('basses', () => {
  test.each([
    ['C', 'C G/B Am C/G F C/E', 'I V6 vi I64 IV I6'],
    ['C', 'C C/B C/Bb F/A', 'I I42 V42/IV IV6'],
    ['C', 'C F/C G7/F C/E', 'I IV64 V42 I6'],
    ['C', 'C F/G C', 'I IV/^5 I'],
  ])('in %s, %s is %s: never V/7', (key, source, romans) => {
    expect(
      keyed(key, source)
        .chords.map(({ roman }) => roman)
        .join(' '),
    ).toBe(romans);
  });

  test('the first scale holds the bass', () => {
    for (const [key, source] of [
      ['C', 'Am Am/G Am/F# F'],
      ['C', 'C G/C F/C C'],
      ['G', 'Em/C# D/E G/A'],
      ['F', 'Bb/C Gm/C F/G'],
    ] as const)
      for (const { chord, scales } of keyed(key, source).chords) {
        const first = scales[0];
        if (chord.bass === null || first === undefined) continue;
        expect(first.lacks).toEqual([]);
      }
  });

  test('1 over 5 before the 5 belongs to it', () => {
    expect(keyed('C', 'C F C/G G7 C').chords.map((chord) => chord.function)).toEqual([
      'tonic',
      'subdominant',
      'dominant',
      'dominant',
      'tonic',
    ]);
  });
});

describe('raised fifths and suspended fives', () => {
  test.each([
    ['C', 'C F G+ C', 2, 'diatonic', '1', 'resolves'],
    ['F', 'F C+ F Bb', 1, 'diatonic', '1', 'resolves'],
    ['C', 'C C+ F C', 1, 'secondary-dominant', '4', 'resolves'],
    ['G', 'G B+ Em G', 1, 'secondary-dominant', '6-', 'resolves'],
  ])('in %s, %s: chord %i is %s of %s, %s', (key, source, index, kind, target, resolution) => {
    const reading = keyed(key, source).chords[index]?.reading;
    expect([reading?.kind, reading?.target && printNumber(reading.target), reading?.resolution]).toEqual([kind, target, resolution]);
  });

  test.each(['Dm7 G7sus4 G7 Cmaj7', 'Dm7 G7sus4 Cmaj7', 'Fm7 Bb7sus4 Bb7 Ebmaj7', 'Am7 D9sus4 Gmaj7'])(
    '%s is a ii–V–I that closes',
    (source) => {
      const kinds = analyzeText(source).patterns.map(({ kind }) => kind);
      expect(kinds).toEqual(expect.arrayContaining(['two-five-one', 'authentic-cadence']));
    },
  );
});

describe('loops and turns', () => {
  test.each(['C G Am F C G Am F', 'D A G D A G', 'G D C Em G D C Em'])('%s: the 5 that always goes so breaks no promise', (source) => {
    const { chords, patterns, ridge } = analyzeText(source);
    expect(chords.flatMap(({ reading }) => reading.resolution ?? [])).not.toContain('deceptive');
    expect(patterns.map(({ kind }) => kind)).not.toContain('deceptive-cadence');
    expect(ridge.every(({ pull }) => pull === 0)).toBe(true);
  });

  test.each(['C Am Dm G7', 'F Dm Gm C7', 'Am F Dm E7'])('%s: the repeat answers the last 5', (source) => {
    expect(analyzeText(source).chords.at(-1)?.reading).toMatchObject({ resolution: 'resolves', onTurn: true });
  });

  test('a song that breaks off elsewhere is answered by nothing', () =>
    expect(analyzeText('F Am Dm D7', { key: requireValue(parseKey('F')) }).chords.at(-1)?.reading.resolution).toBe('unresolved'));
});
