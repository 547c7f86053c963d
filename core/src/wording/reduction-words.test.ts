import { expect, test } from '@jest/globals';
import { strToU8 } from 'fflate';
import { TONE_KINDS } from '../choices.ts';
import { requireValue } from '../fault.ts';
import { readScore } from '../format/read-score.ts';
import { reduce } from '../reduce/reduce.ts';
import type { Column } from '../reduce/reduction.ts';
import {
  columnWords,
  countWords,
  gestureWords,
  inversionWords,
  keySpanWords,
  toneMeaning,
  toneName,
  toneWords,
} from './reduction-words.ts';

const piece = (meter: string, key: string, ...voices: readonly string[]) =>
  reduce(
    requireValue(
      readScore(
        'abc',
        strToU8(['X:1', `M:${meter}`, 'L:1/8', `K:${key}`, ...voices.map((notes, index) => `V:${index + 1}\n${notes}`)].join('\n')),
      ),
    ).score,
  );

const STUDY = piece('2/4', 'Am', 'eAce|gfAd|e^GBd|cAce|fAcf|fAdf|fe^GB|Ace2|]', 'A,,4|A,,4|A,,4|A,,4|F,,4|F,,4|E,,4|A,,4|]');

test('every kind has a name of its own, for one and for many, and a meaning', () => {
  expect(new Set(TONE_KINDS.map((kind) => toneName(kind))).size).toBe(TONE_KINDS.length);
  expect(toneName('passing', 'by-approach', 2)).toBe('passing notes');
  for (const kind of TONE_KINDS) expect(toneMeaning(kind)).not.toBe('');
});

test('who knows no accented passing tones calls them appoggiaturas, in names and in counts', () => {
  expect(toneName('accented-passing', 'all-appoggiaturas')).toBe('appoggiatura');
  expect(countWords(STUDY, 'all-appoggiaturas').join(' ')).not.toMatch(/accented/);
});

test('the bass in words', () => {
  const words = STUDY.columns.map((column) => inversionWords(column));
  expect(words.slice(0, 3)).toEqual(['root in the bass', 'fifth in the bass', 'over a pedal on A']);
});

test('a note beside its chord is told with where it goes, a suspension with its figures', () => {
  const told = STUDY.tones.map((tone) => toneWords(STUDY, tone));
  expect(told[0]).toMatch(/^G: appoggiatura, on the beat, leapt to and left by step, to F\.$/);
  expect(told.find((words) => words.includes('suspension'))).toMatch(/F: suspension 9–8.*to E/);
});

test('a chord over a pedal is offered both ways', () => {
  const index = STUDY.columns.findIndex(({ isPedal }) => isPedal);
  expect(columnWords(STUDY, index).join(' ')).toMatch(/E7 over a pedal on A, or one sound, E7\/A/);
});

test('a diminished chord is told with its goal and the dominant it shares notes with', () => {
  const diminished = piece('4/4', 'C', 'e8|c8|d8|c8|]', '[C,G,CE]8|[^F,,_E,A,C]8|[G,,D,G,B,]8|[C,,G,CE]8|]');
  expect(columnWords(diminished, 1).join(' ')).toMatch(
    /F♯ is a half step below G: it leads there, and goes there\. It shares its notes with D7/,
  );
});

test('what is not decided says its notes', () => {
  const unknown: Column = { ...(STUDY.columns[0] as Column), chord: null, notes: [{ note: 0, midi: 60 }] };
  expect(columnWords({ ...STUDY, columns: [unknown] }, 0)).toEqual(['Not decided: C.']);
});

test('a modulation is told by its pivot and its cadence; the first key by where it closes', () => {
  const two = piece(
    '4/4',
    'C',
    'e4g4|a4f4|g4f4|e8|e4c4|d4^f4|g4d4|^f4a4|g4e4|e4c4|d4c4|B8|]',
    '[C,G,CE]8|[F,,F,A,C]8|[G,,F,B,D]8|[C,G,CE]8|[A,,E,A,C]8|[D,^F,A,C]8|[G,,D,G,B,]8|[D,^F,A,C]8|[E,G,B,E]8|[A,,E,A,C]8|[D,^F,A,C]8|[G,,D,G,B,]8|]',
  );
  const told = two.keys.map((span) => keySpanWords(two, span).join(' '));
  expect(told[0]).toMatch(/^It begins in C/);
  expect(told[1]).toMatch(/is (vi|I|iii) in C and (ii|IV|vi) in G\..*The cadence in bar \d+ confirms it\./);
});

test('the gesture is a sentence, or nothing', () => {
  expect(gestureWords(STUDY)).toBe('');
});
