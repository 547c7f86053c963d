import { type Chord, chordNotes } from '../../chord/chord.ts';
import { formulaOf } from '../../chord/formula.ts';
import { mod } from '../../fault.ts';
import type { Key } from '../../key/key.ts';
import { chroma } from '../../pitch/note.ts';
import { accentAt, pulseTicks } from '../../score/place.ts';
import type { Measure, Score } from '../../score/score.ts';
import type { Harmony } from '../columns.ts';
import { COSTS } from '../costs.ts';
import { noteFit, signatureOf, triedKeys } from './local-keys.ts';

/** What a chord on a degree says for a key: half steps above the tonic, for its own quality. */
const MAJOR_OWN: Readonly<Record<number, number>> = { 0: 0.5, 2: 0.32, 4: 0.12, 5: 0.35, 7: 0.5, 9: 0.22, 11: 0.32 };
const MINOR_OWN: Readonly<Record<number, number>> = { 0: 0.5, 2: 0.35, 3: 0.15, 5: 0.35, 7: 0.5, 8: 0.28, 10: 0.1, 11: 0.4 };
const OWN_NOTES: Readonly<Record<'major' | 'minor', readonly number[]>> = {
  major: [0, 2, 4, 5, 7, 9, 11],
  minor: [0, 2, 3, 5, 7, 8, 10, 11],
};

/** The key of every harmony: the cheapest way, where a cadence says more than a chord, and a change has to be worth it. */
export function keysByHarmony(score: Score, harmonies: readonly Harmony[]): readonly Key[] {
  const keys = triedKeys(score.notes);
  const count = keys.length;
  let best = keys.map((key, index) => {
    const signed = score.measures[0]?.fifths === signatureOf(key) ? COSTS.keys.signed : 0;
    return signed + beginsHome(harmonies[0], key) + fitOf(score, harmonies, 0, keys[index] as Key);
  });
  const came: Int16Array[] = [];
  for (let at = 1; at < harmonies.length; at += 1) {
    const from = new Int16Array(count);
    best = keys.map((key, index) => {
      let [top, place] = [best[index] as number, index];
      keys.forEach((other, otherIndex) => {
        const value =
          (best[otherIndex] as number) - (Math.abs(signatureOf(key) - signatureOf(other)) <= 1 ? COSTS.keys.near : COSTS.keys.far);
        if (value > top) [top, place] = [value, otherIndex];
      });
      from[index] = place;
      return top + fitOf(score, harmonies, at, key);
    });
    came.push(from);
  }
  const last = harmonies.at(-1)?.chord ?? null;
  best = best.map((value, index) => value + (last !== null && isTonic(last, keys[index] as Key) ? COSTS.keys.endsHome : 0));
  let state = best.reduce((top, value, index) => (value > (best[top] as number) ? index : top), 0);
  const path = [keys[state] as Key];
  for (let at = came.length - 1; at >= 0; at -= 1) {
    state = (came[at] as Int16Array)[state] as number;
    path.unshift(keys[state] as Key);
  }
  return path;
}

function beginsHome(first: Harmony | undefined, key: Key): number {
  return first !== undefined && first.chord !== null && isTonic(first.chord, key) ? COSTS.keys.beginsHome : 0;
}

const MINOR_THIRD = formulaOf('b3');
const MAJOR_THIRD = formulaOf('3');
const FLAT_SEVEN = formulaOf('b7');

function isTonic({ root, formula }: Chord, { tonic, scale }: Key): boolean {
  return (
    chroma(root) === chroma(tonic) && (formula & (scale === 'major' ? MAJOR_THIRD : MINOR_THIRD)) !== 0 && (formula & FLAT_SEVEN) === 0
  );
}

function isDominantOf({ root, formula }: Chord, { tonic }: Key): boolean {
  const up = mod(chroma(root) - chroma(tonic), 12);
  return (up === 7 && (formula & MAJOR_THIRD) !== 0) || (up === 11 && (formula & MAJOR_THIRD) === 0);
}

function fitOf(score: Score, harmonies: readonly Harmony[], at: number, key: Key): number {
  const { chord, from, to } = harmonies[at] as Harmony;
  const notes = COSTS.keys.notes * noteFit(score, from, to, key);
  if (chord === null) return notes;
  const measure = score.measures[0] as Measure;
  const length = Math.min(1.6, Math.sqrt((to - from) / pulseTicks(measure) / 2));
  const before = at === 0 ? null : (harmonies[at - 1] as Harmony).chord;
  const cadence = before !== null && isTonic(chord, key) && isDominantOf(before, key) ? cadenceWorth(score, harmonies, at) : 0;
  return notes + cadence + length * chordFit(chord, harmonies[at + 1]?.chord ?? null, key);
}

/** What a 5 that goes to its 1 is worth: much where both stand on their roots and the 1 rests, little in passing. */
function cadenceWorth(score: Score, harmonies: readonly Harmony[], at: number): number {
  const [before, here] = [harmonies[at - 1] as Harmony, harmonies[at] as Harmony];
  const onRoots = before.chord?.bass === null && here.chord?.bass === null;
  const next = harmonies[at + 1];
  const rests = next === undefined || here.to - here.from > before.to - before.from || next.to - next.from < here.to - here.from;
  const isStrong = accentAt(score, here.from) >= 2;
  return onRoots && rests && isStrong ? COSTS.keys.cadence : COSTS.keys.passing;
}

function chordFit(chord: Chord, next: Chord | null, { tonic, scale }: Key): number {
  const isMinor = scale !== 'major';
  const own = OWN_NOTES[isMinor ? 'minor' : 'major'];
  const outside = chordNotes(chord).filter((note) => !own.includes(mod(chroma(note) - chroma(tonic), 12))).length;
  const up = mod(chroma(chord.root) - chroma(tonic), 12);
  if (outside === 0) return (isMinor ? MINOR_OWN : MAJOR_OWN)[up] ?? 0;
  return next !== null && leadsTo(chord, next) && own.includes(mod(chroma(next.root) - chroma(tonic), 12))
    ? -COSTS.keys.applied - 0.1 * (outside - 1)
    : -COSTS.keys.outside * outside;
}

/** Whether a chord is a dominant or leading-tone chord of the next one. */
function leadsTo({ root, formula }: Chord, next: Chord): boolean {
  const up = mod(chroma(next.root) - chroma(root), 12);
  return (up === 5 && (formula & MAJOR_THIRD) !== 0) || (up === 1 && (formula & MAJOR_THIRD) === 0);
}
