import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  INSTRUMENTS,
  itemId,
  itemIn,
  type Key,
  type Pass,
  type PlanBlock,
  parseKey,
  planPractice,
  programmeKeys,
  requireValue,
} from '../src/index.ts';

const NOW = Date.parse('2026-12-01T20:00:00Z');
const DAY = 86_400_000;
const key = (name: string): Key => requireValue(parseKey(name));
const KEYS = ['C', 'G', 'Eb', 'A minor', 'F#'].map(key);
const SONGS = [{ id: 's', title: 'Harbor Wall', key: key('D') }];

/** What a block of a kind may hold. */
const HOLDS: Readonly<Record<string, readonly string[]>> = {
  'warm-up': ['warm-up'],
  recall: ['recall', 'aloud'],
  programme: ['programme'],
  shapes: ['shapes'],
  runs: ['runs'],
  chain: ['chain'],
  ear: ['ear'],
  song: ['song'],
  break: [],
};

const WHATS = [
  ['recall', 'degree-to-chord'],
  ['recall', 'chord-to-degree'],
  ['aloud', 'name'],
  ['shapes', 'triads 1-2-3'],
  ['shapes', 'open chords'],
  ['runs', 'arpeggios'],
  ['ear', 'ear-quality'],
  ['programme', 'steps'],
  ['chain', 'key'],
] as const;

const passIn = (study: (typeof WHATS)[number][0], what: string, at: Key, days: number, clean: boolean, place: number): Pass => ({
  id: String(place),
  at: NOW - days * DAY,
  item: itemId(itemIn(study, what, at)),
  stage: '',
  tempo: 60,
  answeredIn: null,
  outcome: clean ? 'clean' : 'stopped',
  said: '',
  hidden: false,
  seconds: 60,
  night: null,
});

const passes = fc
  .array(fc.tuple(fc.constantFrom(...WHATS), fc.constantFrom(...KEYS), fc.integer({ min: 0, max: 200 }), fc.boolean()), { maxLength: 40 })
  .map((rows) => rows.map(([[study, what], at, days, clean], place) => passIn(study, what, at, days, clean, place)));

const programme = (nights: number) => ({
  keys: programmeKeys({ nights, order: 'fifths', first: 0, scales: ['major'] }, new Map()),
  skipped: [],
  since: 0,
});

const plan = (minutes: number, more: Partial<Parameters<typeof planPractice>[0]> = {}): readonly PlanBlock[] =>
  planPractice({ minutes, passes: [], programme: null, songs: [], tuning: INSTRUMENTS[0]?.tuning ?? [], now: NOW, seed: 1, ...more });

const strangers = (blocks: readonly PlanBlock[]) =>
  blocks.flatMap(({ kind, items }) =>
    items.filter(({ item }) => !HOLDS[kind]?.includes(item.study)).map(({ item }) => `${kind}: ${item.study}`),
  );

describe('a block holds its kind', () => {
  test('whatever the minutes, the log, the instrument, the set and the programme', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 180 }),
        passes,
        fc.constantFrom(...INSTRUMENTS),
        fc.boolean(),
        fc.boolean(),
        fc.integer({ min: 0, max: 99 }),
        (minutes, played, { tuning }, hasSet, hasNights, seed) => {
          const blocks = plan(minutes, {
            passes: played,
            tuning,
            seed,
            songs: hasSet ? SONGS : [],
            programme: hasNights ? programme(12) : null,
          });
          expect(strangers(blocks)).toEqual([]);
          expect(blocks.filter(({ kind, items }) => kind !== 'break' && items.length === 0)).toEqual([]);
          expect(blocks.reduce((sum, block) => sum + block.minutes, 0)).toBe(minutes);
        },
      ),
      { seed: 30, numRuns: 400 },
    );
  });
});

describe('a first evening is a first lesson', () => {
  test.each([10, 20, 30, 45, 60, 90])('in %i minutes: five slow notes, numbers, first grips, and no more', (minutes) => {
    for (let seed = 0; seed < 8; seed += 1) {
      const blocks = plan(minutes, { seed });
      expect(strangers(blocks)).toEqual([]);
      expect(blocks[0]?.items[0]?.item.what).toBe('five notes');
      expect(new Set(blocks.map(({ kind }) => kind).filter((kind) => kind !== 'break'))).toEqual(new Set(['warm-up', 'recall', 'shapes']));
      expect(blocks.find(({ kind }) => kind === 'shapes')?.items[0]?.item.what).toBe('open chords');
      expect(new Set(blocks.flatMap(({ items }) => items.map(({ item }) => item.key)))).toEqual(new Set(['C major']));
    }
  });

  test('with a set it is in the key of the next song, and the song is in it', () => {
    const blocks = plan(30, { songs: SONGS });
    expect(blocks.map(({ kind }) => kind)).toContain('song');
    expect(new Set(blocks.flatMap(({ items }) => items.map(({ item }) => item.key)))).toEqual(new Set(['D major']));
  });

  test('on a bass the hands begin with arpeggios, not grips', () => {
    const bass = INSTRUMENTS.find(({ name }) => name === 'Bass');
    const kinds = plan(20, { tuning: bass?.tuning ?? [] }).map(({ kind }) => kind);
    expect(kinds).toContain('runs');
    expect(kinds).not.toContain('shapes');
  });
});
