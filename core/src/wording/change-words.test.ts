import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readChart } from '../chart/reading.ts';
import { barAsWritten, changeWords } from './change-words.ts';

const said = (before: string, after: string) => changeWords(readChart(before), readChart(after));
const SONG = 'title: Kelp\nkey: D\ntempo: 96\n\n[Verse]\n1 4 6- 5\n\n[Chorus]\n4 5 1 1\n';

describe('what a save changed, in words', () => {
  test.each([
    ['4 5 1 1', '4- 5 1 1 2- 57', 'Chorus: 4 became 4–, 2 bars added'],
    ['4 5 1 1', '4 5 1', 'Chorus: 1 bar deleted'],
    ['4 5 1 1', '2-7 b7 3- 6-', 'Chorus: 4 bars changed'],
    ['4 5 1 1', '(4 5) 5 1 1', 'Chorus: 4 became 4 5'],
    ['4 5 1 1', '<4> 5 1 1', 'Chorus: other marks on 4'],
    ['4 5 1 1', 'NC 5 1 57/2', 'Chorus: 4 became no chord, 1 became 5⁷/2'],
    ['[Verse]', '[Vers]', 'Verse is called Vers now'],
    ['key: D', 'key: Eb', 'key E♭ instead of D'],
    ['title: Kelp', 'title: Kelp Ladder', 'called “Kelp Ladder”'],
    ['tempo: 96', 'tempo: 104', '104 bpm'],
    ['tempo: 96\n', '', 'no tempo any more'],
    ['tempo: 96', 'tempo: 96\ntime: 3/4', '3/4 instead of 4/4'],
    ['1 4 6- 5', '1 4 6- 5\n> a line to sing', 'words, cues or the layout changed'],
  ])('%j for %j: %s', (from, to, words) => {
    expect(said(SONG, SONG.replace(from, to))).toEqual([words]);
  });

  test('sections that came or went are named', () => {
    expect(said(SONG, `${SONG}\n[Bridge]\n6- 2- 6- 57\n`)).toEqual(['Bridge is new, 4 bars']);
    expect(said(SONG, SONG.replace(/\[Chorus\][\s\S]*/, ''))).toEqual(['Chorus deleted, 4 bars']);
  });

  test('bars before any section are told without a name', () => {
    expect(said('key: C\n1 4 5', 'key: C\n1 4- 5')).toEqual(['4 became 4–']);
  });

  test('a law: nothing is told of a chart and itself, and something of two that read differently', () => {
    const bars = fc
      .array(fc.constantFrom('1', '4', '5', '6-', '(1 4)', 'b7'), { minLength: 1, maxLength: 12 })
      .map((all) => `key: G\n\n[A]\n${all.join(' ')}\n`);
    fc.assert(
      fc.property(bars, bars, (one, other) => {
        expect(said(one, one)).toEqual([]);
        expect(said(one, other).length > 0).toBe(one !== other);
      }),
    );
  });
});

describe('a bar as it stands', () => {
  test.each([
    ['57', '5⁷'],
    ['b7maj7', '♭7ᵐᵃʲ⁷'],
    ['>2-7', '>2–⁷'],
    ['<1>!', '◇1!'],
    ['(1 5/7)', '1 5/7'],
    ['4?', '4?'],
    ['NC', 'N.C.'],
  ])('%s: %s', (typed, written) => {
    const [bar] = readChart(`key: C\n${typed}`).bars;
    expect(bar === undefined ? '' : barAsWritten(bar)).toBe(written);
  });

  test('a sign for the bar before it stays a sign', () => {
    expect(readChart('key: C\n1 %').bars.map((bar) => barAsWritten(bar))).toEqual(['1', '%']);
  });
});
