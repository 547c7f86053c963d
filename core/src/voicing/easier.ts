import type { Chord } from '../chord/chord.ts';
import { type Formula, findTone, formulaNames } from '../chord/formula.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import type { Interval } from '../interval/interval.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import { type Key, keyNotes } from '../key/key.ts';
import { COMFORTABLE, innerMutes } from './hand.ts';
import { findVoicings } from './search.ts';
import { type Family, positionOf, type Voicing } from './voicing.ts';

const NOTICEABLE = 0.4;
/** How far the hand may have to move for an easier or a fuller version, in frets. */
const NEARBY_FRETS = 3;

/** The next easier and the next fuller version of a shape, near the same place; null when there is none. */
export interface Neighbours {
  readonly easier: Voicing | null;
  readonly fuller: Voicing | null;
}

/** Picks the neighbours of a shape among all shapes of its chord. Both keep its lowest note. */
export function neighboursOf(voicing: Voicing, all: readonly Voicing[], instrument: Instrument): Neighbours {
  const place = positionOf(voicing.frets, instrument.capo);
  const lowest = voicing.tones[0]?.formula;
  const near = all.filter(
    (other) =>
      other.tones[0]?.formula === lowest &&
      Math.abs(positionOf(other.frets, instrument.capo) - place) <= NEARBY_FRETS &&
      movedStrings(voicing, other) <= MOST_MOVED,
  );
  const easier = near.filter(
    (other) => other.difficulty <= voicing.difficulty - NOTICEABLE && innerMutes(other.frets) <= innerMutes(voicing.frets),
  );
  const fuller = near.filter((other) => sounds(other) > sounds(voicing) && heard(other) >= heard(voicing));
  return {
    easier: best(easier, (other) => STEP_DOWN * (voicing.difficulty - other.difficulty) + changes(voicing, other)),
    fuller: best(fuller, (other) => other.difficulty + changes(voicing, other)),
  };
}

function sounds({ tones }: Voicing): number {
  return tones.length;
}

function heard({ tones }: Voicing): number {
  return new Set(tones.map(({ formula }) => formula)).size;
}

/** The next easier is no great leap down. */
const STEP_DOWN = 0.3;
const MOVED = 2.5;
const SILENCED = 0.7;

/** A shape with more strings pressed elsewhere is another shape, not a version of this one. */
const MOST_MOVED = 2;

function movedStrings(from: Voicing, to: Voicing): number {
  return from.frets.filter((fret, string) => fret !== null && to.frets[string] !== null && fret !== to.frets[string]).length;
}

/** Keeping the hand counts for most: a moved finger weighs more than a string that falls silent, a new string nothing. */
function changes(from: Voicing, to: Voicing): number {
  return from.frets.reduce<number>((sum, fret, string) => {
    const now = to.frets[string];
    if (fret === null || fret === now) return sum;
    return sum + (now === null ? SILENCED : MOVED);
  }, 0);
}

function best(voicings: readonly Voicing[], cost: (voicing: Voicing) => number): Voicing | null {
  return voicings.reduce<Voicing | null>((least, voicing) => (least === null || cost(voicing) < cost(least) ? voicing : least), null);
}

/** Whether a family has a comfortable shape of the chord with its root lowest, and what to take if not. */
export interface Comfort {
  readonly family: Family;
  /** The easiest shape of the family; null when there is none. */
  readonly easiest: Voicing | null;
  readonly comfortable: boolean;
  /** The easiest comfortable shape elsewhere, when the family has none. */
  readonly instead: Voicing | null;
}

/** Judges one family: a diminished triad rooted on string 6, say, has no comfortable form on these strings. */
export function comfortOf(family: Family, all: readonly Voicing[], instrument: Instrument): Comfort {
  const reachable = all.filter(
    ({ frets, inversion }) => inversion === 0 && Math.max(...frets.map((fret) => fret ?? 0)) <= instrument.comfortFret,
  );
  const easiest = best(
    reachable.filter(({ families }) => families.includes(family)),
    ({ difficulty }) => difficulty,
  );
  const comfortable = easiest !== null && easiest.difficulty <= COMFORTABLE;
  // all come best first
  // what stands in for a barre shape moves as it does
  const moves = ({ frets }: Voicing) => (family !== 'barre-6' && family !== 'barre-5') || !frets.includes(instrument.capo);
  const instead = reachable.find((other) => moves(other) && other.omitted.length === 0 && other.difficulty <= COMFORTABLE);
  return { family, easiest, comfortable, instead: comfortable ? null : (instead ?? null) };
}

/** An easier shape that says a little more or less than the chord, with notes of the key alone. */
export interface Colour {
  readonly voicing: Voicing;
  /** Tones added to the chord, and left out of it, by their numbers. */
  readonly added: readonly string[];
  readonly left: readonly string[];
}

const MOST_COLOURS = 6;
const EASIER_BY = 1;
/** Open shapes lie within this many frets of the nut or the capo. */
const FIRST_FRETS = 5;

/**
 * Open-string versions easier than the given shape that add or leave out notes of the key, the
 * root still lowest: Bm as Bm7add11, F as Fmaj7, A as Asus2. Easiest first.
 */
export function easierByColour(voicing: Voicing, key: Key, instrument: Instrument): readonly Colour[] {
  const plain: Chord = { ...voicing.chord, bass: null };
  const maxFret = Math.min(instrument.frets, instrument.capo + FIRST_FRETS);
  const found = coloursIn(plain, key).flatMap((formula): readonly Colour[] => {
    const wish = { families: ['open'], maxFret, mostDifficult: voicing.difficulty - EASIER_BY } as const;
    const easier = findVoicings({ ...plain, formula }, instrument, wish).voicings.find(
      ({ inversion, omitted }) => inversion === 0 && omitted.length === 0,
    );
    return easier === undefined ? [] : [{ voicing: easier, ...changeOf(plain.formula, formula) }];
  });
  return found.sort((a, b) => farOff(a) - farOff(b)).slice(0, MOST_COLOURS);
}

/** An easy hand, few notes changed, and many strings sounding. */
function farOff({ voicing, added, left }: Colour): number {
  return voicing.difficulty + added.length + left.length - QUIET_STRING * voicing.tones.length;
}

const QUIET_STRING = 0.4;

function changeOf(before: Formula, after: Formula): Omit<Colour, 'voicing'> {
  return { added: formulaNames(after & ~before), left: formulaNames(before & ~after) };
}

/** The chord with one or two notes of the key added on top, or its third replaced by a neighbour in the key. */
function coloursIn({ root, formula }: Chord, key: Key): readonly Formula[] {
  const inKey = keyNotes(key).map((note) => note - root);
  const tops = inKey.flatMap((interval) => colourTone(interval, formula));
  const single = tops.map((tone) => formula | tone);
  const double = tops.flatMap((tone, index) => tops.slice(index + 1).map((other) => formula | tone | other));
  const third = THIRDS.find((tone) => (formula & tone) !== 0);
  const suspended =
    third === undefined ? [] : SUSPENSIONS.filter(({ interval }) => inKey.includes(interval)).map(({ tone }) => (formula & ~third) | tone);
  return [...new Set([...suspended, ...single, ...double])].filter((other) => other !== formula);
}

const SEVENTH_STEP = ['7', 'b7'];
const SIXTH = '6';

/** A note of the key as a colour of the chord: a seventh, a sixth, a ninth or an eleventh; chord tones and half-step clashes are none. */
function colourTone(interval: Interval, formula: Formula): readonly Formula[] {
  const number = printScaleNumber(interval);
  const seventh = SEVENTH_STEP.some((name) => (formula & (findTone(name) ?? 0)) !== 0);
  const name = { '2': '9', '4': '11', '6': seventh ? '13' : SIXTH, '7': '7', b7: 'b7', '#4': '#11' }[number];
  const tone = name === undefined ? undefined : findTone(name);
  if (tone === undefined || (formula & tone) !== 0) return [];
  const clashes = (name === '11' && (formula & MAJOR_THIRD) !== 0) || ((name === '7' || name === 'b7') && seventh);
  return clashes ? [] : [tone];
}

const tone = (name: string) => findTone(name) as Formula;
const MAJOR_THIRD = tone('3');
const THIRDS = [MAJOR_THIRD, tone('b3')];
const SUSPENSIONS = [
  { interval: 2, tone: tone('2') },
  { interval: -1, tone: tone('4') },
];
