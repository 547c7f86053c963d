import { describe, expect, test } from '@jest/globals';
import {
  findItem,
  isSafe,
  itemId,
  type Memory,
  type Pass,
  type PlanBlock,
  type PlannedItem,
  type Programme,
  planPractice,
  programmeKeys,
  remember,
  STANDARD_GUITAR,
} from '../src/index.ts';

// Three made-up players, sixty nights of twenty minutes each: what they are given, and what comes of it.

const DAY = 24 * 60 * 60_000;
const START = Date.UTC(2026, 0, 5, 19);
const NIGHTS = 60;

/** Chance of its own for the players: not the plan's. */
function chance(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 16807) % 2147483647;
    return state / 2147483647;
  };
}

interface Player {
  readonly name: string;
  /** How likely something new goes well, and how much of what is missing a time through brings. */
  readonly talent: number;
  readonly learns: number;
  /** How much of it is lost a day. */
  readonly forgets: number;
}

const PLAYERS: readonly Player[] = [
  { name: 'quick', talent: 0.7, learns: 0.35, forgets: 0.01 },
  { name: 'slow', talent: 0.35, learns: 0.12, forgets: 0.02 },
  { name: 'forgetful', talent: 0.5, learns: 0.25, forgets: 0.08 },
];

/** Keys these players always avoid: everything in them goes worse. */
const AVOIDED = ['Db major', 'F# major', 'B major', 'Ab major'];
const PROGRAMME: Programme = {
  keys: programmeKeys({ nights: 30, order: 'fourths', first: 0, scales: ['major'] }, new Map()),
  skipped: [],
  since: START - DAY,
};

interface Hand {
  readonly player: Player;
  readonly skill: Map<string, { level: number; at: number }>;
  readonly dice: () => number;
  readonly at: number;
}

/** Somebody plays an item: it goes as well as it sits, and sits better afterwards. */
function passOf({ item, night }: PlannedItem, { player, skill, dice, at }: Hand): Pass {
  const id = itemId(item);
  const burden = AVOIDED.includes(item.key) ? 0.35 : 0;
  const known = skill.get(id) ?? { level: player.talent - burden, at };
  const level = known.level * (1 - player.forgets) ** ((at - known.at) / DAY);
  const isGood = dice() < level;
  skill.set(id, { level: level + (0.97 - burden - level) * player.learns, at });
  const isAsked = item.study === 'recall' || item.study === 'ear';
  const [good, bad] = isAsked ? (['right', 'wrong'] as const) : (['clean', 'stopped'] as const);
  return {
    id: `${at}`,
    at,
    item: id,
    stage: '',
    tempo: isAsked ? null : 66,
    answeredIn: isAsked ? 2000 + 9000 * (1 - level) : null,
    outcome: isGood ? good : bad,
    said: '',
    hidden: true,
    seconds: 60,
    night,
  };
}

interface Evening {
  readonly plan: readonly PlanBlock[];
  readonly before: ReadonlyMap<string, Memory>;
}

function live(player: Player, seed: number): { readonly evenings: readonly Evening[]; readonly passes: readonly Pass[] } {
  const dice = chance(seed);
  const passes: Pass[] = [];
  const skill = new Map<string, { level: number; at: number }>();
  const evenings: Evening[] = [];
  for (let night = 0; night < NIGHTS; night += 1) {
    const now = START + night * DAY;
    const wish = { minutes: 20, passes, programme: PROGRAMME, songs: [], tuning: STANDARD_GUITAR.tuning, now, seed: night };
    const plan = planPractice(wish);
    evenings.push({ plan, before: remember(passes, now) });
    const played = plan.flatMap(({ items }) => items);
    passes.push(...played.map((one, minute) => passOf(one, { player, skill, dice, at: now + (minute + 1) * 60_000 })));
  }
  return { evenings, passes };
}

const LIVES = PLAYERS.map((player) => ({ player, ...live(player, 11) }));
const times = (passes: readonly Pass[], keys: readonly string[]) =>
  passes.filter(
    ({ item }) =>
      ['recall', 'programme', 'shapes', 'runs', 'ear'].includes(findItem(item)?.study ?? '') && keys.includes(findItem(item)?.key ?? ''),
  ).length / keys.length;

describe.each(LIVES)('sixty nights of the $player.name player', ({ evenings, passes }) => {
  test('every plan lasts as long as was asked', () => {
    for (const { plan } of evenings) expect(plan.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(20);
  });

  test('never more than 40 in a hundred is met for the first time, by items and by minutes', () => {
    for (const { plan, before } of evenings) {
      const items = plan.flatMap(({ items: all, minutes }) => all.map((one) => ({ ...one, minutes: minutes / all.length })));
      const fresh = items.filter(({ item, why }) => item.study !== 'warm-up' && !before.has(itemId(item)) && why.kind !== 'again');
      expect(fresh.length / items.length).toBeLessThanOrEqual(0.4);
      expect(fresh.reduce((sum, { minutes }) => sum + minutes, 0)).toBeLessThanOrEqual(8);
      expect(fresh.every(({ isNew }) => isNew)).toBe(true);
    }
  });

  test('keys that are avoided come back more often than those that sit', () => {
    const met = [...new Set(passes.map(({ item }) => findItem(item)?.key ?? ''))].filter((key) => key !== '');
    const weak = met.filter((key) => AVOIDED.includes(key));
    const safe = met.filter((key) => !AVOIDED.includes(key));
    expect(weak.length).toBeGreaterThanOrEqual(3);
    // counted from when a key was first met: a key met late could not come as often
    const perNight = (keys: readonly string[]) => {
      const rates = keys.map((key) => {
        const first = passes.find(({ item }) => findItem(item)?.key === key) as Pass;
        return times(passes, [key]) / ((passes.at(-1) as Pass).at - first.at + DAY);
      });
      return rates.reduce((sum, rate) => sum + rate, 0) / rates.length;
    };
    expect(perNight(weak)).toBeGreaterThan(perNight(safe));
  });

  test('a new key comes from the programme, one after the other', () => {
    const first = new Map<string, number>();
    passes.forEach(({ item, at }) => {
      const key = findItem(item)?.key ?? '';
      if (!first.has(key)) first.set(key, at);
    });
    const order = [...first]
      .filter(([key]) => key !== '')
      .sort((a, b) => a[1] - b[1])
      .map(([key]) => key);
    const fourths = ['C', 'F', 'Bb', 'Eb', 'Ab', 'Db', '', 'B', 'E', 'A', 'D', 'G'].map((tonic) => (tonic === '' ? '' : `${tonic} major`));
    const met = order.filter((key) => fourths.includes(key));
    expect(met.length).toBeGreaterThan(6);
    expect(met).toEqual(fourths.filter((key) => key !== '').slice(0, met.length));
  });

  test('the chain never joins a key that is not safe', () => {
    for (const { plan, before } of evenings) {
      for (const { item } of plan.flatMap(({ items }) => items)) {
        const joined = item.study === 'chain' ? Number(/^(\d+) keys/.exec(item.what)?.[1] ?? 0) : 0;
        const keys = ['C', 'Bb', 'Ab', 'F#', 'E', 'D']
          .slice(0, joined)
          .map((tonic) => before.get(`chain/key/${tonic} major`) ?? before.get(`chain/key/Gb major`));
        expect(keys.every(isSafe)).toBe(true);
      }
    }
  });
});

test('figures of the simulation, as the docs tell them', () => {
  const rows = LIVES.map(({ player, passes }) => {
    const memories = [...remember(passes, START + NIGHTS * DAY).values()];
    return [player.name, memories.length, memories.filter(isSafe).length];
  });
  // the quick player has more that is safe than the forgetful one, who has more than none
  expect(rows[0]?.[2]).toBeGreaterThan(rows[2]?.[2] as number);
  expect(rows.every(([, , safe]) => (safe as number) > 0)).toBe(true);
});
