import { describe, expect, test } from '@jest/globals';
import { analyzeText, formulaNames, parseChord, printChord, readChart, requireValue } from '../src/index.ts';
import { NO_SYMBOLS, SYMBOLS } from './symbols-table.ts';

test('the table is as long as it should be', () => expect(SYMBOLS.length).toBeGreaterThanOrEqual(60));

describe('chord symbols', () => {
  test.each(SYMBOLS)('%s', (row) => {
    const [text = '', tones = '', plain] = row.split(' | ');
    const chord = requireValue(parseChord(text));
    expect(formulaNames(chord.formula).join(' ')).toBe(tones);
    expect(printChord(chord)).toBe(plain);
    expect(requireValue(parseChord(printChord(chord)))).toEqual(chord);
  });

  test.each(NO_SYMBOLS)('%s is none, from place %i on', (text, place) => {
    const read = parseChord(text);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.span.start).toBe(place);
  });
});

describe('no chord', () => {
  test.each(['NC', 'N.C.', 'N.C'])('%s is a bar without a chord', (text) => {
    const { bars, problems } = readChart(`key: C\n\n1 ${text} (4 ${text}) 5\n`);
    expect(problems).toEqual([]);
    expect(bars.map(({ chords }) => chords.map(({ chord }) => chord === null))).toEqual([[false], [true], [false, true], [false]]);
  });

  test('it stands between plain chords too', () => {
    const { chords, unread } = analyzeText('C N.C. F | G N.C.').progression;
    expect([chords.length, unread.length]).toEqual([3, 0]);
  });
});
