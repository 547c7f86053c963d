import { describe, expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { faultWords } from '../wording/fault-words.ts';
import { checkInstrument, INSTRUMENTS, type Instrument, positionDots, STANDARD_GUITAR, tuningOddities } from './instrument.ts';
import { parseTuning, printTuning } from './tuning-text.ts';

describe('tunings as text', () => {
  test.each([
    ['E A D G B E', [40, 45, 50, 55, 59, 64]],
    ['D A D G A D', [38, 45, 50, 55, 57, 62]],
    ['D, G, D, G, B, D', [38, 43, 50, 55, 59, 62]],
    ['Eb Ab Db Gb Bb Eb', [39, 44, 49, 54, 58, 63]],
    ['C G C G C E', [36, 43, 48, 55, 60, 64]],
    ['B E A D G B E', [35, 40, 45, 50, 55, 59, 64]],
    ['E A D G', [28, 33, 38, 43]],
    ['B E A D G', [23, 28, 33, 38, 43]],
    ['G4 C4 E4 A4', [67, 60, 64, 69]],
    ['E2 A2 Cb3 B#2', [40, 45, 47, 48]],
  ])('%s', (text, expected) => expect(requireValue(parseTuning(text))).toEqual(expected));

  test('print, then parse, gives the same strings, for every instrument there is', () => {
    for (const { tuning } of INSTRUMENTS) expect(requireValue(parseTuning(printTuning(tuning)))).toEqual(tuning);
    expect(printTuning(STANDARD_GUITAR.tuning)).toBe('E2 A2 D3 G3 B3 E4');
  });

  test.each([
    ['', 'empty', 0],
    ['E A H G B E', 'note-letter', 4],
    ['E A d G', 'note-letter', 4],
    ['E A D### G', 'note-accidentals', 4],
    ['E A D2x G', 'note-rest', 5],
  ])('refuses “%s”: %s at %i', (text, code, start) => {
    const read = parseTuning(text);
    expect(read.ok ? null : [read.fault.code, read.span.start]).toEqual([code, start]);
  });
});

describe('what an instrument can be', () => {
  const change = (over: Partial<Instrument>) => checkInstrument({ ...STANDARD_GUITAR, ...over });

  test('all instruments offered can be', () => {
    for (const instrument of INSTRUMENTS) expect(checkInstrument(instrument).ok).toBe(true);
    expect(INSTRUMENTS.map(({ tuning }) => tuning.length)).toEqual(expect.arrayContaining([4, 5, 6, 7]));
  });

  test.each<[Partial<Instrument>, string, string]>([
    [{ tuning: [40] }, 'tuning-strings', 'one string'],
    [{ tuning: [] }, 'tuning-strings', '0 strings'],
    [{ tuning: Array(9).fill(40) }, 'tuning-strings', '9 strings'],
    [{ tuning: [40, 45, 50, 55, 59, 200] }, 'tuning-pitch', 'String 1'],
    [{ tuning: [40, 45.5] }, 'tuning-pitch', 'String 1'],
    [{ frets: 40 }, 'frets-range', '12 to 24'],
    [{ frets: 5 }, 'frets-range', '12 to 24'],
    [{ capo: 12 }, 'capo-range', '11'],
    [{ capo: 5, comfortFret: 5 }, 'comfort-range', '6'],
    [{ scaleLength: Number.NaN }, 'scale-length', 'mm'],
  ])('%j is refused as %s', (over, code, words) => {
    const checked = change(over);
    expect(checked.ok ? null : checked.fault.code).toBe(code);
    expect(checked.ok ? '' : faultWords(checked.fault)).toContain(words);
  });

  test('strings that sound alike or cross are allowed, and said', () => {
    expect(tuningOddities([40, 45, 50, 55, 59, 59])).toEqual([{ kind: 'same', strings: [2, 1] }]);
    expect(tuningOddities([67, 60, 64, 69])).toEqual([{ kind: 'crossed', strings: [4, 3] }]);
    expect(tuningOddities(STANDARD_GUITAR.tuning)).toEqual([]);
    expect(change({ tuning: [67, 60, 64, 69] }).ok).toBe(true);
  });

  test('dots: a mark at 9 or at 10, two at the octave', () => {
    expect(positionDots('ninth', 15).map(({ fret }) => fret)).toEqual([3, 5, 7, 9, 12, 15]);
    expect(positionDots('tenth', 24).map(({ fret }) => fret)).toEqual([3, 5, 7, 10, 12, 15, 17, 19, 22, 24]);
    expect(
      positionDots('ninth', 24)
        .filter(({ double }) => double)
        .map(({ fret }) => fret),
    ).toEqual([12, 24]);
  });
});
