import { describe, expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { printNote } from '../pitch/note-text.ts';
import { analyzeText } from './analyze.ts';

const found = (source: string, hearing: 'local' | 'home' = 'local', key?: string) =>
  analyzeText(source, { hearing, ...(key === undefined ? {} : { key: requireValue(parseKey(key)) }) }).patterns.map(
    ({ kind, tonic, minor, from, to }) => `${kind} ${printNote(tonic)}${minor ? 'm' : ''} ${from}-${to}`,
  );

describe('patterns', () => {
  test.each([
    ['Dm7 G7 Cmaj7', 'two-five-one C 0-2'],
    ['Dm G C', 'two-five-one C 0-2'],
    ['Dm7b5 G7b9 Cm', 'two-five-one Cm 0-2'],
    ['Dm7 G7sus4 G7 C', 'two-five-one C 0-3'],
    ['Dm7 Db7 Cmaj7', 'two-five-one C 0-2'],
    ['C Gm7 C7 Am F C', 'two-five F 1-2'],
    ['C Fm7 Bb7 C', 'two-five Eb 1-2'],
    ['C F G7 C', 'authentic-cadence C 2-3'],
    ['Am Dm E7 Am', 'authentic-cadence Am 2-3'],
    ['C Bdim C G C', 'authentic-cadence C 1-2'],
    ['C G C F C', 'plagal-cadence C 3-4'],
    ['C F Fm C', 'plagal-cadence C 2-3'],
    ['C F G7 Am F C', 'deceptive-cadence C 2-3'],
    ['Am Dm E7 F Dm Am', 'deceptive-cadence Am 2-3'],
    ['C F C G', 'half-cadence C 2-3'],
    ['C Am Dm G\nC F C', 'half-cadence C 2-3'],
    ['Cmaj7 Am7 Dm7 G7 C', 'turnaround C 0-3'],
    ['Em7 A7 Dm7 G7 C', 'turnaround C 0-3'],
    ['C C#dim7 Dm7 G7 C', 'turnaround C 0-3'],
    ['C Ebdim7 Dm7 G7 C', 'turnaround C 0-3'],
    ['C G Am F C G Am F C', 'loop C 0-7'],
    ['Dm7 G7 Dm7 G7', 'loop C 0-3'],
    ['C Em A Dm G C', 'circle-motion C 1-5'],
    ['Am Dm G C F Bdim E Am', 'circle-motion Am 0-7'],
    ['Dm Dm(maj7) Dm7 Dm6 Gm', 'line-cliche Dm 0-3'],
  ])('%s holds a %s', (source, expected) => expect(found(source)).toContain(expected));

  test.each([
    ['D7 D7 D7 D7 G7 G7 D7 D7 A7 G7 D7 A7', 'D', 'the plain form'],
    ['D7 G7 D7 D7 G7 G#dim7 D7 B7 Em7 A7 D7 A7', 'D', 'a jazz form'],
    ['Dm7 Gm7 Dm7 Dm7 Gm7 Gm7 Dm7 Dm7 Bb7 A7 Dm7 A7', 'Dm', 'in minor'],
    ['D D D D G G D D A G D A', 'D', 'with triads'],
  ])('%s is a twelve-bar blues', (source, tonic) => {
    expect(found(source)).toContain(`twelve-bar-blues ${tonic} 0-11`);
  });

  test('a blues is found where it begins, in bars rather than chords', () => {
    expect(found('[Intro]\nA7 A7\n[Verse]\nD7 G7 D7 D7 G7 G7 (D7 F#m7) B7 Em7 A7 (D7 B7) (Em7 A7)')).toContain('twelve-bar-blues D 2-16');
  });

  test.each(['D7 G7 D7 D7 G7 G7 D7 D7 A7 G7 D7', 'D G A D D G A D D G A D'])('%s is none', (source) => {
    expect(found(source).join()).not.toContain('twelve-bar');
  });

  test('the hearing decides which ii–Vs are bracketed', () => {
    const source = 'Fmaj7 Cm7 F7 Bbmaj7 Gm7 C7 F';
    expect(found(source, 'local', 'F')).toEqual(expect.arrayContaining(['two-five-one Bb 1-3', 'two-five-one F 4-6']));
    expect(found(source, 'home', 'F')).not.toContain('two-five-one Bb 1-3');
    expect(found(source, 'home', 'F')).toContain('two-five-one F 4-6');
  });

  test('a chain of ii–Vs is bracketed link by link', () => {
    const links = found('Em7 A7 Dm7 G7 Cmaj7', 'local', 'C').filter((name) => name.startsWith('two-five-one'));
    expect(links).toEqual(['two-five-one Dm 0-2', 'two-five-one C 2-4']);
  });

  test('loops are one round in every key and rotation', () => {
    const name = (source: string) => analyzeText(source).patterns.find(({ kind }) => kind === 'loop')?.round?.name;
    const rounds = ['C G Am F C G Am F', 'F C G Am F C G Am', 'Am F C G Am F C G', 'E B C#m A E B C#m A', 'C G7 Am7 Fmaj7 C G7 Am7 Fmaj7'];
    expect(new Set(rounds.map(name)).size).toBe(1);
    expect(name('C Am F G C Am F G')).not.toBe(name(rounds[0] as string));
  });

  test('a pattern knows where else the song has it', () => {
    const { patterns } = analyzeText('C Dm7 G7 C F Dm7 G7 C');
    expect(patterns.filter(({ kind }) => kind === 'two-five-one').map(({ alsoAt }) => alsoAt)).toEqual([[5], [1]]);
  });
});
