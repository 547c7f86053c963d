import { chordNotes } from '../../chord/chord.ts';
import { chartNumber } from '../../degree/degree.ts';
import { mod } from '../../fault.ts';
import { type Key, keyNotes, sameKey } from '../../key/key.ts';
import { chroma, letterStep } from '../../pitch/note.ts';
import type { ScoreNote } from '../../score/score.ts';
import type { Cadence } from '../cadences.ts';
import type { Harmony } from '../columns.ts';
import type { Grid } from '../grid.ts';
import type { By, KeySpan } from '../reduction.ts';

/** What the player says of keys: which column begins one, and which is the pivot. */
export interface KeysSaid {
  readonly begins: ReadonlySet<number>;
  readonly pivots: ReadonlySet<number>;
}

/** The keys of a piece as stretches, each with how it was come into. */
export function keySpansOf(
  grid: Grid,
  harmonies: readonly Harmony[],
  keys: readonly Key[],
  cadences: readonly Cadence[],
  said: KeysSaid,
): readonly KeySpan[] {
  const starts = keys.flatMap((key, index) => (index === 0 || !sameKey(key, keys[index - 1] as Key) ? [index] : []));
  return starts.map((first, order): KeySpan => {
    const end = starts[order + 1] ?? harmonies.length;
    const key = keys[first] as Key;
    const by: By = said.begins.has(first) ? 'player' : 'rules';
    const span = { key, from: (harmonies[first] as Harmony).from, to: (harmonies[end - 1] as Harmony).to, by };
    const confirmed = cadences.find(({ harmony, kind }) => harmony >= first && harmony < end && kind === 'authentic');
    const confirmedAt = confirmed?.harmony ?? null;
    if (order === 0) return { ...span, pivot: null, chromatic: null, confirmedAt };
    const before = keys[first - 1] as Key;
    return {
      ...span,
      pivot: pivotAt(harmonies, first, before, key, said),
      chromatic: chromaticInto(grid, harmonies, first, before),
      confirmedAt,
    };
  });
}

/** How far before a new key the chord that belongs to both is looked for. */
const NEAR = 2;

function pivotAt(harmonies: readonly Harmony[], first: number, before: Key, key: Key, said: KeysSaid): KeySpan['pivot'] {
  const own = [...said.pivots].find((index) => index >= first - 2 * NEAR && index <= first + 2 * NEAR);
  const found = own ?? [first, first - 1, first - NEAR].find((index) => isIn(harmonies[index], before) && isIn(harmonies[index], key));
  const chord = found === undefined ? null : (harmonies[found]?.chord ?? null);
  if (found === undefined || chord === null) return null;
  return {
    column: found,
    before: chartNumber(chord, before.tonic),
    after: chartNumber(chord, key.tonic),
    by: own === undefined ? 'rules' : 'player',
  };
}

/** Whether every tone of a chord is in a key; a minor key has both its sevenths. */
function isIn(harmony: Harmony | undefined, key: Key): boolean {
  const chord = harmony?.chord ?? null;
  return chord !== null && chordNotes(chord).every((note) => ownPitches(key).has(chroma(note)));
}

const LEADING_TONE = 5;

function ownPitches(key: Key): ReadonlySet<number> {
  const own = keyNotes(key).map(chroma);
  return new Set(key.scale === 'major' ? own : [...own, chroma(key.tonic + LEADING_TONE)]);
}

/** The first half step of one letter around a border that leads out of the key before. */
function chromaticInto({ score, neighbours }: Grid, harmonies: readonly Harmony[], first: number, before: Key): KeySpan['chromatic'] {
  const [from, to] = [
    (harmonies[Math.max(0, first - 1)] as Harmony).from,
    (harmonies[Math.min(harmonies.length - 1, first + 1)] as Harmony).to,
  ];
  const own = ownPitches(before);
  for (const [index, note] of score.notes.entries()) {
    if (note.from < from || note.from >= to || own.has(mod(note.midi, 12))) continue;
    const earlier = neighbours[index]?.before ?? null;
    if (earlier === null) continue;
    const came = score.notes[earlier] as ScoreNote;
    if (letterStep(came.note) === letterStep(note.note) && Math.abs(came.midi - note.midi) === 1) return { from: earlier, to: index };
  }
  return null;
}
