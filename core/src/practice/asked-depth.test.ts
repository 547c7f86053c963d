import { describe, expect, test } from '@jest/globals';
import { printChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { STANDARD_GUITAR } from '../fretboard/instrument.ts';
import { parseKey } from '../key/key-text.ts';
import { questionWords } from '../wording/question-words.ts';
import { depthOfAnswer, depthStood, KINDS_OF_DEPTH } from './asked-depth.ts';
import { drillFor } from './drill.ts';
import { itemIn } from './item.ts';
import type { Pass } from './pass.ts';
import { askQuestions, RECALL_KINDS } from './questions.ts';

const key = (text: string) => requireValue(parseKey(text));
const wish = { keys: [key('Bb')], seed: 4, capo: null, tuning: STANDARD_GUITAR.tuning, loops: [] };

function pass(item: string, stage: string, outcome: Pass['outcome'], at: number): Pass {
  return { id: String(at), at, item, stage, tempo: null, answeredIn: 2000, outcome, said: '', hidden: true, seconds: 2, night: null };
}
const answers = (count: number, stage: string, outcome: Pass['outcome'], from = 0) =>
  Array.from({ length: count }, (_, place) => pass('recall/degree-to-chord/G major', stage, outcome, from + place));

describe('the depth of an answer', () => {
  test.each([
    ['degree-to-chord', 'Am', 'triad'],
    ['degree-to-chord', 'F#m7b5', 'seventh'],
    ['degree-quality', '', 'triad'],
    ['quality-row', 'maj7 m7 m7 maj7 7 m7 m7b5', 'seventh'],
    ['scale-numbers', '7 2 4', 'triad'],
    ['scale-numbers', '7 2 4 6', 'seventh'],
    ['chord-tones', 'B D F', 'triad'],
    ['relative', 'E minor', null],
  ] as const)('%s "%s" is %p', (kind, answer, depth) => expect(depthOfAnswer(kind, answer)).toBe(depth));
});

describe('where a player stands', () => {
  test.each([
    ['nobody yet', [], 'triad'],
    ['eleven triads right', answers(11, 'Am', 'right'), 'triad'],
    ['twelve triads right', answers(12, 'Am', 'right'), 'seventh'],
    ['twelve right a while ago, of late mostly wrong', [...answers(12, 'Am', 'right'), ...answers(8, 'Am', 'wrong', 20)], 'triad'],
    ['three sevenths right', answers(3, 'Am7', 'right'), 'seventh'],
    ['thirty sevenths wrong', answers(30, 'Am7', 'wrong'), 'triad'],
    ['three nights of sevenths held', [1, 2, 3].map((at) => pass('programme/sevenths/G major', '', 'clean', at)), 'seventh'],
    [
      'shapes, notes and what is no item',
      [pass('shapes/drop-2 1-2-3-4/G major', '', 'clean', 1), pass('nothing', '7', 'right', 2)],
      'triad',
    ],
  ] as const)('%s', (_, passes, depth) => expect(depthStood(passes)).toBe(depth));
});

describe('what is asked', () => {
  test.each(KINDS_OF_DEPTH.filter((kind) => depthOfAnswer(kind, '') !== null))(
    '%s is asked in the depth that is wished, and in both',
    (kind) => {
      const depths = (depth: 'triad' | 'seventh' | 'both') =>
        new Set(
          askQuestions({ ...wish, kinds: [kind], depth, count: 40 }).map(({ answer }) => depthOfAnswer(kind, answer.accepted[0] as string)),
        );
      expect([...depths('triad')]).toEqual(['triad']);
      expect([...depths('seventh')]).toEqual(['seventh']);
      expect([...depths('both')].sort()).toEqual(['seventh', 'triad']);
    },
  );

  test('a question in both depths says which it means', () => {
    const asked = askQuestions({ ...wish, kinds: ['degree-to-chord'], depth: 'both', count: 14 }).map((one) => questionWords(one));
    expect(new Set(asked).size).toBe(14);
    expect(asked.filter((words) => words.endsWith('as a triad?'))).toHaveLength(7);
  });

  test('kinds with a depth of their own ask the same whatever is wished of both', () => {
    for (const kind of RECALL_KINDS.filter((one) => !KINDS_OF_DEPTH.includes(one))) {
      const asked = (depth: 'both' | null) => askQuestions({ ...wish, kinds: [kind], depth, count: 12 });
      expect(asked('both')).toEqual(asked(null));
    }
  });
});

describe('what is said and joined', () => {
  const chordsOf = (item: ReturnType<typeof itemIn>, depth: 'triad' | 'seventh' | 'both') =>
    drillFor(item, { instrument: STANDARD_GUITAR, seed: 1, isCalled: false, depth })?.steps.map(({ chord }) =>
      chord === null ? '' : printChord(chord),
    );
  const ALOUD = itemIn('aloud', 'name', key('G'));

  test('the key aloud: triads, sevenths, or one after the other', () => {
    expect(chordsOf(ALOUD, 'triad')).toEqual(['G', 'Am', 'Bm', 'C', 'D', 'Em', 'F#dim', 'G']);
    expect(chordsOf(ALOUD, 'seventh')?.slice(3, 5)).toEqual(['Cmaj7', 'D7']);
    expect(chordsOf(ALOUD, 'both')).toEqual([...(chordsOf(ALOUD, 'triad') ?? []), ...(chordsOf(ALOUD, 'seventh') ?? [])]);
  });

  test.each([
    ['triad', 'Bb', ['Cm', 'F', 'Bb']],
    ['seventh', 'Bb', ['Cm7', 'F7', 'Bbmaj7']],
    ['both', 'Bb', ['Cm7', 'F7', 'Bbmaj7']],
    ['triad', 'G minor', ['Adim', 'D', 'Gm']],
  ] as const)('the chain as %s in %s', (depth, of, chords) => expect(chordsOf(itemIn('chain', 'key', key(of)), depth)).toEqual(chords));
});
