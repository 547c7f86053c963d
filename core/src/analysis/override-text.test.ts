import { describe, expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { parseKey, printKey } from '../key/key-text.ts';
import { readProgression } from '../progression/progression.ts';
import { analyzeText } from './analyze.ts';
import { readOverrides, sayReading, sayRegion, takeBack } from './override-text.ts';

const SONG = 'title: Tin Weather\nkey: C\n\n[A]\n1 4 b77 1\n1 67 2- 57';
const say = (source: string, index: number, reading: 'borrowed' | 'chromatic-mediant', note = '') =>
  sayReading(source, readProgression(source), index, { reading, note });

describe('the player’s own word', () => {
  test('stands in the head, in the words of the chart, and is in force', () => {
    const said = say(SONG, 2, 'borrowed', 'as the horns hear it');
    expect(said.split('\n')[2]).toBe('reading 3-1: 4 [b77] 1 = borrowed -- as the horns hear it');
    const chord = analyzeText(said).chords[2];
    expect(chord?.reading.kind).toBe('borrowed');
    expect(chord?.override).toMatchObject({ note: 'as the horns hear it', index: 2 });
    expect(chord?.others.map(({ kind }) => kind)).toContain('backdoor-dominant');
  });

  test('is said once a chord, and can be taken back', () => {
    const twice = say(say(SONG, 2, 'borrowed'), 2, 'chromatic-mediant');
    expect(readOverrides(readProgression(twice))).toHaveLength(1);
    expect(sayReading(twice, readProgression(twice), 2, null)).toBe(SONG);
    expect(takeBack(twice, readOverrides(readProgression(twice))[0] as never)).toBe(SONG);
  });

  test('follows its chord when bars are put before it', () => {
    const moved = say(SONG, 2, 'borrowed').replace('[A]\n', '[A]\n1 1\n');
    expect(analyzeText(moved).chords.findIndex(({ override }) => override !== null)).toBe(4);
  });

  test('is flagged, not dropped, when an edit takes its chord away', () => {
    const edited = say(SONG, 2, 'borrowed', 'keep me').replace('1 4 b77 1\n', '1 4 5 1\n');
    const { overrides, chords } = analyzeText(edited);
    expect(overrides).toEqual([expect.objectContaining({ kind: 'reading', index: null, note: 'keep me', number: 'b77' })]);
    expect(chords.every(({ override }) => override === null)).toBe(true);
  });

  test('can put bars in another key', () => {
    const said = sayRegion(SONG, 5, 8, { key: requireValue(parseKey('Dm')), note: 'dark' });
    const { regions } = analyzeText(said);
    expect(regions.map(({ key, by, from }) => [printKey(key), by, from])).toEqual([
      ['C', 'rules', 0],
      ['Dm', 'player', 4],
    ]);
    expect(sayRegion(said, 5, 8, null)).toBe(SONG);
    const short = said.replace('\n1 67 2- 57', '');
    expect(analyzeText(short).overrides).toEqual([expect.objectContaining({ kind: 'region', fits: false })]);
    expect(analyzeText(short).regions).toHaveLength(1);
  });

  test('can be said of plain chords too', () => {
    const said = sayReading('C Bb7 C', readProgression('C Bb7 C'), 1, { reading: 'borrowed', note: '' });
    expect(said).toBe('reading 2-1: 1 [b77] 1 = borrowed\nC Bb7 C');
    expect(analyzeText(said).chords[1]?.reading.kind).toBe('borrowed');
  });

  test.each([
    'reading 3-1: nonsense',
    'reading 3-1: 4 [b77] 1 = wishful',
    'reading x: 4 [b77] 1 = borrowed',
    'region 1-2: Q major',
    'region 2: D',
    'readings: none',
  ])('%s is an ordinary head line', (line) => {
    expect(analyzeText(`${line}\n${SONG}`).overrides).toEqual([]);
  });
});
