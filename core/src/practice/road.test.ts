import { describe, expect, test } from '@jest/globals';
import { QUESTION_KINDS } from '../choices.ts';
import { INSTRUMENTS, STANDARD_GUITAR } from '../fretboard/instrument.ts';
import type { Key } from '../key/key.ts';
import { ALOUD_STUDIES, RUN_STUDIES, SHAPE_STUDIES } from './catalogue.ts';
import { itemId } from './item.ts';
import type { Outcome, Pass } from './pass.ts';
import { NIGHT_STAGES } from './programme.ts';
import { ROAD_LEGS, roadOf } from './road.ts';

const C: Key = { tonic: 0, scale: 'major' };
const { tuning } = STANDARD_GUITAR;
const played = (item: string, outcomes: readonly Outcome[], stage = ''): readonly Pass[] =>
  outcomes.map((outcome, at) => ({
    id: `${item} ${at}`,
    at: at * 1000,
    item,
    stage,
    tempo: null,
    answeredIn: null,
    outcome,
    said: '',
    hidden: true,
    seconds: 5,
    night: null,
  }));
const steps = (passes: readonly Pass[] = [], strings: readonly number[] = tuning) =>
  roadOf(passes, C, strings).legs.flatMap((leg) => leg.steps);
const isDone = (passes: readonly Pass[], study: string, what: string, depth: string | null = null) =>
  steps(passes).find(({ item, depth: of }) => item.study === study && item.what === what && of === depth)?.isDone;

describe('the road', () => {
  test('every study there is stands on it, triads and sevenths apart and everything else once', () => {
    const own = steps()
      .filter(({ item }) => item.key === 'C major')
      .map(({ item, depth }) => `${item.study}/${item.what}/${depth ?? ''}`);
    expect(new Set(own).size).toBe(own.length);
    const whats = new Set(own.map((name) => name.split('/')[1]));
    const all = [...QUESTION_KINDS, ...SHAPE_STUDIES, ...RUN_STUDIES, ...ALOUD_STUDIES, ...NIGHT_STAGES].filter(
      (what) => what !== 'bass arpeggios',
    );
    expect(all.filter((what) => !whats.has(what))).toEqual([]);
  });

  test('it goes from triads to sevenths, then inversions, sets of strings, and all keys', () => {
    const place = (what: string, depth: string | null = null) =>
      steps().findIndex(({ item, depth: of }) => item.what === what && of === depth);
    const order = [
      place('degree-to-chord', 'triad'),
      place('degree-to-chord', 'seventh'),
      place('barre from 6'),
      place('triads 1-2-3'),
      place('drop-2 1-2-3-4'),
      steps().findIndex(({ item }) => item.key === 'F major'),
    ];
    expect(order.every((at) => at >= 0)).toBe(true);
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(roadOf([], C, tuning).legs.map(({ name }) => name)).toEqual([...ROAD_LEGS]);
  });

  test('a bass has a road without chord shapes and with lines of its own', () => {
    const whats = steps([], INSTRUMENTS.find(({ name }) => name === 'Bass')?.tuning ?? []).map(({ item }) => item.what);
    expect(whats).toContain('bass arpeggios');
    expect(whats).not.toContain('barre from 6');
  });

  test('who is new begins with its first step', () => {
    const { next } = roadOf([], C, tuning);
    expect(next).toMatchObject({ depth: 'triad', isDone: false });
    expect(next && itemId(next.item)).toBe('recall/degree-to-chord/C major');
  });

  test.each([
    ['held at the first try', ['clean'], true],
    ['broke, then held once', ['stopped', 'clean'], false],
    ['broke, then held three times running', ['stopped', 'clean', 'clean', 'clean'], true],
    ['never three running', ['shaky', 'clean', 'clean', 'shaky', 'clean', 'clean'], false],
    ['held once, lost later', ['clean', 'stopped', 'stopped'], true],
  ] as const)('a shape that %s', (_, outcomes, done) =>
    expect(isDone(played('shapes/open chords/G major', outcomes), 'shapes', 'open chords')).toBe(done),
  );

  test.each([
    ['the first four right', ['right', 'right', 'right', 'right'], true],
    ['three right', ['right', 'right', 'right'], false],
    ['one of the first wrong', ['right', 'wrong', 'right', 'right'], false],
    [
      'seven of eight in a row',
      ['wrong', 'wrong', ...Array.from({ length: 4 }, () => 'right' as const), 'wrong', 'right', 'right', 'right'],
      true,
    ],
  ] as const)('a question with %s', (_, outcomes, done) =>
    expect(isDone(played('recall/chord-to-degree/D major', outcomes), 'recall', 'chord-to-degree')).toBe(done),
  );

  test('triads that are known are not the sevenths', () => {
    const passes = played('recall/degree-to-chord/C major', ['right', 'right', 'right', 'right'], 'Dm');
    expect(isDone(passes, 'recall', 'degree-to-chord', 'triad')).toBe(true);
    expect(isDone(passes, 'recall', 'degree-to-chord', 'seventh')).toBe(false);
  });

  test('who knows the sevenths knows their triads', () => {
    const passes = played('recall/degree-to-chord/C major', ['right', 'right', 'right', 'right'], 'Dm7');
    expect(isDone(passes, 'recall', 'degree-to-chord', 'triad')).toBe(true);
  });

  test('what is shown ahead stays done, and the next step is the first that is not', () => {
    const passes = [
      ...played('recall/degree-to-chord/C major', ['right', 'right', 'right', 'right'], 'G'),
      ...played('shapes/ladder/C major', ['clean']),
    ];
    expect(roadOf(passes, C, tuning).next?.item.what).toBe('chord-to-degree');
    expect(isDone(passes, 'shapes', 'ladder')).toBe(true);
  });

  test('a key is known when its chords were said by number and name there', () => {
    const passes = played('aloud/number and name/Eb major', ['clean']);
    const keys = steps(passes).filter(({ item }) => item.what === 'number and name');
    expect(keys.filter((step) => step.isDone).map(({ item }) => item.key)).toEqual(['Eb major']);
  });

  test('at its end there is no next step', () => {
    const all = steps().flatMap(({ item, depth }) =>
      played(itemId(item), ['clean', 'clean', 'clean', 'clean'], depth === 'seventh' ? 'Dm7 a b c' : 'Dm'),
    );
    const tones = played('recall/chord-tones/C major', ['right', 'right', 'right', 'right'], 'D F A C');
    expect(roadOf([...tones, ...all], C, tuning).next).toBeNull();
  });
});
