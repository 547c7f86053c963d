import { readChart } from '../chart/reading.ts';
import { chartNumber } from '../degree/degree.ts';
import type { Key } from '../key/key.ts';
import type { Progression, ProgressionChord } from '../progression/progression.ts';
import { measureAt } from '../score/place.ts';
import type { Score } from '../score/score.ts';
import type { Harmony } from './columns.ts';

const NOWHERE = { line: 1, column: 1, length: 0 } as const;
const EMPTY = readChart('');

/** The harmonies that have a chord, as the progression they are, in the keys they were found in. */
export function progressionOfHarmonies(
  score: Score,
  harmonies: readonly Harmony[],
  keys: readonly Key[],
  phraseEnds: ReadonlySet<number>,
): { readonly progression: Progression; readonly places: readonly number[] } {
  const places = harmonies.flatMap(({ chord }, index) => (chord === null ? [] : [index]));
  const stretches = stretchesOf(keys);
  const perBar = new Map<number, number>();
  const chords = places.map((index): ProgressionChord => {
    const { chord, from } = harmonies[index] as Harmony & { chord: NonNullable<Harmony['chord']> };
    const bar = measureAt(score, from);
    const place = perBar.get(bar) ?? 0;
    perBar.set(bar, place + 1);
    const stretch = stretches.of[index] as number;
    const number = chartNumber(chord, (stretches.keys[stretch] as Key).tonic);
    return { chord, number, bar, place, stretch, optional: false, endsPhrase: phraseEnds.has(index), at: NOWHERE };
  });
  // a single key is given twice, so that it is kept from end to end
  const named = stretches.keys.length === 1 ? [...stretches.keys, ...stretches.keys] : stretches.keys;
  return { progression: { chords, unread: [], keys: named, keyGiven: true, chart: EMPTY }, places };
}

/** Keys in the order in which they come, and which of them each harmony is in. */
function stretchesOf(keys: readonly Key[]): { readonly keys: readonly Key[]; readonly of: readonly number[] } {
  const rows: Key[] = [];
  const of = keys.map((key) => {
    const last = rows.at(-1);
    if (last === undefined || last.tonic !== key.tonic || last.scale !== key.scale) rows.push(key);
    return rows.length - 1;
  });
  return { keys: rows, of };
}
