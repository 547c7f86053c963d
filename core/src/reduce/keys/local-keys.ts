import type { Key } from '../../key/key.ts';
import { chroma, type Note, simplest } from '../../pitch/note.ts';
import type { Score, ScoreNote } from '../../score/score.ts';
import { firstFrom } from '../../score/search.ts';
import { COSTS } from '../costs.ts';

/** How far each note lies from the tonic on the line of fifths, and what it says for a major and a minor key. */
const MAJOR: Readonly<Record<number, number>> = { 0: 1, 1: 0.85, 2: 0.6, 3: 0.55, 4: 0.75, 5: 0.6, [-1]: 0.6 };
const MINOR: Readonly<Record<number, number>> = { 0: 1, 1: 0.85, 2: 0.6, [-3]: 0.75, [-1]: 0.6, [-4]: 0.55, [-2]: 0.3, 5: 0.6, 3: 0.1 };

/** The key of every measure by its notes and their names alone: the cheapest way through them. */
export function keysByNotes({ measures, notes }: Score): readonly Key[] {
  const keys = triedKeys(notes);
  const fits = fitsOf(measures, notes, keys);
  const first = measures[0];
  let best = keys.map((key, index) => (fits[0]?.[index] ?? 0) + (first?.fifths === signatureOf(key) ? COSTS.bars.signed : 0));
  const from: Int16Array[] = [];
  for (let bar = 1; bar < measures.length; bar += 1) {
    const came = new Int16Array(keys.length);
    best = keys.map((key, index) => {
      let [top, at] = [best[index] as number, index];
      keys.forEach((other, place) => {
        const value = (best[place] as number) - (isRelated(key, other) ? COSTS.bars.near : COSTS.bars.far);
        if (value > top) [top, at] = [value, place];
      });
      came[index] = at;
      return top + (fits[bar]?.[index] ?? 0);
    });
    from.push(came);
  }
  let at = best.reduce((top, value, index) => (value > (best[top] as number) ? index : top), 0);
  const path = [keys[at] as Key];
  for (let bar = from.length - 1; bar >= 0; bar -= 1) {
    at = (from[bar] as Int16Array)[at] as number;
    path.unshift(keys[at] as Key);
  }
  return path;
}

/** The sharps of a key's signature, flats below 0. */
export function signatureOf({ tonic, scale }: Key): number {
  return scale === 'major' ? tonic : tonic - 3;
}

/** Whether two keys differ by no more than one sharp or flat. */
function isRelated(a: Key, b: Key): boolean {
  return Math.abs(signatureOf(a) - signatureOf(b)) <= 1;
}

/** The keys a piece may be in, each pitch once as tonic, under the name nearest to what is written. */
export function triedKeys(notes: readonly ScoreNote[]): readonly Key[] {
  return tonicsOf(notes).flatMap((tonic): Key[] => [
    { tonic, scale: 'major' },
    { tonic, scale: 'natural minor' },
  ]);
}

/** How well the notes of a stretch sit in a key, for each of them from -1 to 1 by its length. */
export function noteFit({ notes }: Score, from: number, to: number, { tonic, scale }: Key): number {
  const row = scale === 'major' ? MAJOR : MINOR;
  let [fit, all] = [0, 0];
  for (let at = firstFrom(notes, from); at < notes.length && (notes[at] as ScoreNote).from < to; at += 1) {
    const note = notes[at] as ScoreNote;
    const weight = Math.min(note.to, to) - note.from;
    fit += weight * (row[note.note - tonic] ?? -COSTS.bars.outside);
    all += weight;
  }
  return all === 0 ? 0 : fit / all;
}

/** The tonics worth trying: those near what is written, each pitch once. */
function tonicsOf(notes: readonly ScoreNote[]): readonly Note[] {
  const middle = notes.reduce((sum, { note }) => sum + note, 0) / Math.max(1, notes.length);
  const by = new Map<number, Note>();
  for (let tonic = Math.round(middle) - 9; tonic <= Math.round(middle) + 9; tonic += 1) {
    const pitch = chroma(tonic);
    const known = by.get(pitch);
    if (known === undefined || Math.abs(tonic - middle + 1) < Math.abs(known - middle + 1)) by.set(pitch, tonic);
  }
  return by.size === 12 ? [...by.values()] : Array.from({ length: 12 }, (_, step) => simplest(step - 6));
}

function fitsOf(measures: Score['measures'], notes: readonly ScoreNote[], keys: readonly Key[]): readonly Float64Array[] {
  const fits = measures.map(() => new Float64Array(keys.length));
  let bar = 0;
  for (const note of notes) {
    while (bar < measures.length - 1 && (measures[bar]?.to ?? 0) <= note.from) bar += 1;
    const measure = measures[bar];
    if (measure === undefined) continue;
    const weight = Math.min(2, (4 * (note.to - note.from)) / Math.max(1, measure.to - measure.from)) / 2;
    const row = fits[bar] as Float64Array;
    keys.forEach(({ tonic, scale }, index) => {
      row[index] = (row[index] as number) + weight * ((scale === 'major' ? MAJOR : MINOR)[note.note - tonic] ?? -COSTS.bars.outside);
    });
  }
  return fits;
}
