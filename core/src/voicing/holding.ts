import type { Instrument } from '../fretboard/instrument.ts';
import { fingerings } from './fingering.ts';
import type { Finger, Fingering, Frets, Voicing } from './voicing.ts';

/** Why one would hold a shape this way. */
export type HoldReason =
  | { readonly kind: 'easiest' }
  /** This finger, which the easiest hold uses, is free for something else. */
  | { readonly kind: 'frees'; readonly finger: Finger }
  | { readonly kind: 'thumb' }
  | { readonly kind: 'no-barre' }
  | { readonly kind: 'barre' }
  /** The tip of this finger keeps the muted string quiet. */
  | { readonly kind: 'mutes'; readonly finger: Finger; readonly string: number }
  /** These fingers stay where they are for the next chord. */
  | { readonly kind: 'stays'; readonly fingers: readonly Finger[] }
  /** The barre lies right behind the nut or the capo, where strings are low. */
  | { readonly kind: 'light-barre' };

/** A way to hold a shape and what speaks for it. */
export interface Hold {
  readonly fingering: Fingering;
  readonly reasons: readonly HoldReason[];
}

/** The ways to hold a shape that something speaks for, easiest first; `next` is the shape played after it. */
export function holdsOf(voicing: Voicing, instrument: Instrument, next: Voicing | null = null): readonly Hold[] {
  const ways = fingerings(voicing.frets, instrument);
  const best = ways[0];
  if (best === undefined) return [];
  const nextWays = next === null ? [] : fingerings(next.frets, instrument);
  const holds = ways.map((fingering, place) => ({
    fingering,
    reasons: [
      ...(place === 0 ? [{ kind: 'easiest' } as const] : []),
      ...comparedReasons(fingering, best),
      ...lightBarre(fingering, instrument),
      ...mutingReasons(fingering, voicing.frets),
      ...(next === null ? [] : stayReasons(fingering, voicing.frets, nextWays, next.frets)),
    ],
  }));
  return holds.filter(({ reasons }) => reasons.length > 0);
}

function comparedReasons(fingering: Fingering, best: Fingering): readonly HoldReason[] {
  if (fingering === best) return [];
  const used = (way: Fingering) => new Set(way.fingers.filter((finger) => finger !== null && finger !== 0));
  const freed = [...used(best)].filter((finger) => !used(fingering).has(finger));
  const barres = fingering.barres.length - best.barres.length;
  return [
    ...(fingering.fingers.includes('T') ? [{ kind: 'thumb' } as const] : []),
    ...freed.map((finger) => ({ kind: 'frees', finger: finger as Finger }) as const),
    ...(barres < 0 ? [{ kind: 'no-barre' } as const] : barres > 0 ? [{ kind: 'barre' } as const] : []),
  ];
}

function lightBarre({ barres }: Fingering, { capo }: Instrument): readonly HoldReason[] {
  return barres.some(({ fret }) => fret === capo + 1) ? [{ kind: 'light-barre' }] : [];
}

/** A muted string between sounding ones is touched by the finger on the next thicker string. */
function mutingReasons({ fingers, barres }: Fingering, frets: Frets): readonly HoldReason[] {
  const first = frets.findIndex((fret) => fret !== null);
  const last = frets.findLastIndex((fret) => fret !== null);
  return frets.flatMap((fret, index): readonly HoldReason[] => {
    if (fret !== null || index < first || index > last) return [];
    const finger = fingers[index - 1];
    const lies = barres.some((barre) => barre.finger === finger);
    return finger === null || finger === undefined || finger === 0 || lies ? [] : [{ kind: 'mutes', finger, string: frets.length - index }];
  });
}

/** Fingers that press the same place in both shapes, with the way to hold the next one that keeps most. */
function stayReasons(fingering: Fingering, frets: Frets, nextWays: readonly Fingering[], nextFrets: Frets): readonly HoldReason[] {
  const kept = nextWays.map((way) => stayingFingers({ fingering, frets }, { fingering: way, frets: nextFrets }));
  const most = kept.reduce<readonly Finger[]>((longest, fingers) => (fingers.length > longest.length ? fingers : longest), []);
  return most.length === 0 ? [] : [{ kind: 'stays', fingers: most }];
}

interface Held {
  readonly fingering: Fingering;
  readonly frets: Frets;
}

/** The fingers that need not be lifted from one hold to the next. */
export function stayingFingers(from: Held, to: Held): readonly Finger[] {
  const staying = from.fingering.fingers.filter(
    (finger, string): finger is Finger =>
      finger !== null && finger !== 0 && finger === to.fingering.fingers[string] && from.frets[string] === to.frets[string],
  );
  return [...new Set(staying)];
}

/**
 * How to hold each shape of a sequence so that the most fingers stay down and the holds are easy:
 * exact over all ways to hold every shape.
 */
export function holdsAlong(voicings: readonly Voicing[], instrument: Instrument): readonly Fingering[] {
  const ways = voicings.map((voicing) => withoutThumb(fingerings(voicing.frets, instrument)));
  const costs: number[][] = [];
  const from: number[][] = [];
  ways.forEach((options, index) => {
    const before = ways[index - 1];
    const arrivals = options.map((fingering) => {
      if (before === undefined) return { cost: fingering.cost, from: 0 };
      const sums = before.map((other, at) => {
        const stays = stayingFingers({ fingering: other, frets: frets(voicings, index - 1) }, { fingering, frets: frets(voicings, index) });
        const guides = guidingFingers(other, fingering) - stays.length;
        return (costs[index - 1]?.[at] as number) + fingering.cost - STAY * stays.length - GUIDE * guides;
      });
      const cost = Math.min(...sums);
      return { cost, from: sums.indexOf(cost) };
    });
    costs.push(arrivals.map(({ cost }) => cost));
    from.push(arrivals.map((arrival) => arrival.from));
  });
  const chosen: Fingering[] = [];
  let at = indexOfLeast(costs.at(-1) ?? []);
  for (let index = ways.length - 1; index >= 0; index -= 1) {
    chosen.unshift(ways[index]?.[at] as Fingering);
    at = from[index]?.[at] as number;
  }
  return chosen;
}

/** What a finger that stays down is worth against an easier hold, and one that slides along its string. */
const STAY = 1;
const GUIDE = 0.35;

/** Fingers that are on the same string in both holds. */
function guidingFingers(from: Fingering, to: Fingering): number {
  return from.fingers.filter((finger, string) => finger !== null && finger !== 0 && finger === to.fingers[string]).length;
}

/** The thumb is a way of one's own: nobody is shown it on a sheet where there is another. */
function withoutThumb(ways: readonly Fingering[]): readonly Fingering[] {
  const [first] = ways;
  return ways.filter((way) => way === first || !way.fingers.includes('T'));
}

function frets(voicings: readonly Voicing[], index: number): Frets {
  return (voicings[index] as Voicing).frets;
}

function indexOfLeast(costs: readonly number[]): number {
  return costs.indexOf(Math.min(...costs));
}
