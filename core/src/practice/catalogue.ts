import { QUESTION_KINDS } from '../choices.ts';
import { callingOf } from '../fretboard/instrument.ts';
import type { Key } from '../key/key.ts';
import { type Item, itemIn } from './item.ts';
import type { QuestionKind } from './question.ts';
import { EAR_KINDS, RECALL_KINDS } from './questions.ts';

/** A shape study by its name: how it is fingered, which strings, and how it goes through the key. */
export const SHAPE_STUDIES = [
  'open chords',
  'triads 1-2-3',
  'triads 2-3-4',
  'triads 3-4-5',
  'up one, down the next',
  'barre from 6',
  'barre from 5',
  'drop-2 1-2-3-4',
  'called in position',
  'ladder',
] as const;
export type ShapeStudy = (typeof SHAPE_STUDIES)[number];

export const RUN_STUDIES = [
  'scale over each chord',
  'arpeggios',
  'one note a string',
  'sweep triads',
  'sweep two sets',
  'sweep five strings',
  'sweep with scale',
  'sweep chained',
  'bass arpeggios',
  'muted strings',
] as const;
export type RunStudy = (typeof RUN_STUDIES)[number];

export const ALOUD_STUDIES = ['number', 'name', 'quality', 'number and name'] as const;

/** Strings a study needs; a bass with four has no sixth. */
const NEEDS_STRINGS: Readonly<Partial<Record<string, number>>> = {
  'open chords': 4,
  'triads 1-2-3': 3,
  'triads 2-3-4': 4,
  'triads 3-4-5': 5,
  'up one, down the next': 3,
  'barre from 6': 6,
  'barre from 5': 5,
  'drop-2 1-2-3-4': 4,
  'called in position': 5,
  ladder: 5,
  'one note a string': 4,
  'sweep triads': 3,
  'sweep two sets': 5,
  'sweep five strings': 5,
  'sweep with scale': 3,
  'sweep chained': 5,
  'what-changed': 5,
};
/** Whether a study can be played on an instrument: it has the strings, and is no bass where chords are wanted. */
export function fits(what: string, tuning: readonly number[]): boolean {
  if (tuning.length < (NEEDS_STRINGS[what] ?? 1)) return false;
  if (what.startsWith('sweep') && !liesClose(tuning)) return false;
  const isBass = callingOf(tuning) === 'bass';
  if (what === 'bass arpeggios') return isBass;
  return !isBass || !(SHAPE_STUDIES as readonly string[]).includes(what);
}

const WIDEST_STEP = 6;

/** Whether every string sounds above the one before it, and no further than a hand sweeps in one position. */
function liesClose(tuning: readonly number[]): boolean {
  return tuning.slice(1).every((midi, at) => midi > (tuning[at] as number) && midi - (tuning[at] as number) <= WIDEST_STEP);
}

/** What there is to practise of a study in a key. */
export function itemsOf(study: 'recall' | 'shapes' | 'runs' | 'ear' | 'aloud', key: Key, tuning: readonly number[]): readonly Item[] {
  const whats: Readonly<Record<typeof study, readonly string[]>> = {
    recall: RECALL_KINDS,
    shapes: SHAPE_STUDIES,
    runs: RUN_STUDIES,
    ear: EAR_KINDS,
    aloud: ALOUD_STUDIES,
  };
  return whats[study].filter((what) => fits(what, tuning) && makesSense(what, key)).map((what) => itemIn(study, what, key));
}

const NEEDS_OTHER_KIND: readonly string[] = ['relative', 'parallel'] satisfies QuestionKind[];
const HAVE_OTHER_KIND = ['major', 'natural minor', 'harmonic minor', 'melodic minor'];

/** Whether a study can be asked in a key: a mode has no relative of its own. */
export function makesSense(what: string, { scale }: Key): boolean {
  return !NEEDS_OTHER_KIND.includes(what) || HAVE_OTHER_KIND.includes(scale);
}

/** Whether a word names a kind of question. */
export function isQuestionKind(what: string): what is QuestionKind {
  return (QUESTION_KINDS as readonly string[]).includes(what);
}

/** The tempo a study begins at when nobody has played it yet, in beats a minute. */
export function firstTempo({ study, what }: Item): number {
  if (study === 'chain') return what === 'key' ? 66 : 60;
  if (study === 'runs') return what.startsWith('sweep') ? 50 : 60;
  return study === 'programme' ? 60 : 66;
}
