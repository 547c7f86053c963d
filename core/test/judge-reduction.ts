import { chordNotes } from '../src/chord/chord.ts';
import { parseChord, printChord } from '../src/chord/chord-text.ts';
import { requireValue } from '../src/fault.ts';
import type { Key } from '../src/key/key.ts';
import { chroma } from '../src/pitch/note.ts';
import type { Harmony } from '../src/reduce/columns.ts';
import { inversionOf } from '../src/reduce/inversion.ts';
import type { StrangeTone } from '../src/reduce/tones/tones.ts';
import { type Score, type ScoreNote, TICKS } from '../src/score/score.ts';

/** What a piece is known to be: each stretch with every reading that counts. */
export interface Truth {
  readonly columns: readonly {
    readonly from: number;
    readonly to: number;
    /** Plain symbols with their bass after a slash, and the inversion; null for a bass outside the chord. */
    readonly accept: readonly { readonly chord: string; readonly inversion: number | null }[];
  }[];
  readonly tones: readonly { readonly part: string; readonly at: number; readonly midi: number; readonly accept: readonly string[] }[];
  /** Every key that counts, stretch by stretch. */
  readonly keys: readonly { readonly from: number; readonly to: number; readonly accept: readonly Key[] }[];
}

export interface Judged {
  time: number;
  chords: number;
  inversions: number;
  tones: number;
  named: number;
  /** Notes called strange that no plan put in, and that no accepted chord excuses. */
  extra: number;
  keyTime: number;
  keys: number;
  readonly wrong: string[];
}

export const NOTHING_JUDGED = (): Judged => ({
  time: 0,
  chords: 0,
  inversions: 0,
  tones: 0,
  named: 0,
  extra: 0,
  keyTime: 0,
  keys: 0,
  wrong: [],
});

export interface Found {
  readonly harmonies: readonly Harmony[];
  readonly keys: readonly Key[];
  readonly tones: readonly StrangeTone[];
}

const STEP = 2520;

/** Compares what was found with what is known, a sixteenth at a time, and adds it up. */
export function judge(score: Score, truth: Truth, found: Found, into: Judged): void {
  for (const column of truth.columns) judgeColumn(score, column, found, into);
  for (const { from, to, accept } of truth.keys)
    for (let time = from; time < to; time += STEP) {
      const key = found.keys[placeAt(found, time)];
      into.keyTime += 1;
      if (key !== undefined && accept.some((one) => isSameKey(one, key))) into.keys += 1;
    }
  judgeTones(score, truth, found.tones, into);
}

function placeAt({ harmonies }: Found, time: number): number {
  return harmonies.findIndex(({ from, to }) => from <= time && time < to);
}

function judgeColumn({ title }: Score, { from, to, accept }: Truth['columns'][number], found: Found, into: Judged): void {
  for (let time = from; time < to; time += STEP) {
    const chord = found.harmonies[placeAt(found, time)]?.chord ?? null;
    const [name = 'none', bass] = chord === null ? [] : printChord(chord).split('/');
    const same = accept.filter((one) => one.chord.split('/')[0] === name);
    const isInverted =
      chord !== null &&
      same.some((one) => (one.inversion === null ? one.chord.split('/')[1] === bass : inversionOf(chord) === one.inversion));
    into.time += 1;
    if (same.length > 0) into.chords += 1;
    if (isInverted) into.inversions += 1;
    else if (time === from)
      into.wrong.push(`${title}: ${accept[0]?.chord} is ${name}${bass === undefined ? '' : `/${bass}`} at ${from / TICKS}`);
  }
}

function isSameKey(a: Key, b: Key): boolean {
  return a.tonic === b.tonic && (a.scale === 'major') === (b.scale === 'major');
}

function judgeTones(score: Score, truth: Truth, tones: readonly StrangeTone[], into: Judged): void {
  const nameOf = (part: string, at: number, midi: number) => `${part} ${at} ${midi}`;
  const found = new Map(
    tones.map(({ index, at, kind }) => {
      const { part, midi } = score.notes[index] as ScoreNote;
      return [nameOf(part, at, midi), { kind, at, midi }] as const;
    }),
  );
  for (const { part, at, midi, accept } of truth.tones) {
    const name = nameOf(part, at, midi);
    const kind = found.get(name)?.kind;
    found.delete(name);
    const isRight = kind !== undefined && accept.includes(kind);
    into.tones += 1;
    into.named += isRight || isExcused(truth, at, midi) ? 1 : 0;
    if (!isRight) into.wrong.push(`${score.title}: ${accept[0]} ${midi} is ${kind ?? 'no strange tone'} at ${at / TICKS}`);
  }
  into.extra += [...found.values()].filter(({ at, midi }) => !isExcused(truth, at, midi)).length;
}

/** A tone of another chord that counts as well is excused. */
function isExcused({ columns }: Truth, at: number, midi: number): boolean {
  const column = columns.find(({ from, to }) => from <= at && at < to);
  return (column?.accept ?? [])
    .slice(1)
    .some(({ chord }) => chordNotes(requireValue(parseChord(chord))).some((note) => chroma(note) === midi % 12));
}
