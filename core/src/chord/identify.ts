import { type Key, keyNotes } from '../key/key.ts';
import { accidentals, chroma, type Note } from '../pitch/note.ts';
import type { Chord } from './chord.ts';
import { type Formula, findTone, formulaOf, formulaTones, holdsAll, holdsAny, SEVENTHS, type Tone, toneInterval } from './formula.ts';
import { ALTERED_FORMULA, departuresOf } from './quality.ts';
import type { ToneName } from './tone-table.ts';

/** A name for a set of notes, and what speaks against it. */
export interface ChordCandidate {
  readonly chord: Chord;
  /** Which chord tone lies in the bass, counted from 0 for the root; null when the root is missing, or the bass is no chord tone. */
  readonly inversion: number | null;
  /** Tones the name promises that are not among the notes. */
  readonly missing: readonly Note[];
  /** How far-fetched the name is: 0 for a plain triad in root position, higher is further. */
  readonly cost: number;
}

/** Names further-fetched than this are not in common use. */
export const COMMON_COST = 6;

const MOST_CANDIDATES = 12;

const COST = {
  respelled: 1.6,
  inverted: 1.1,
  missingFifth: 1.5,
  missingRoot: 3.2,
  /** A dominant without its root, named by third, seventh and a ninth or thirteenth: how a second guitar plays it. */
  missingRootOfDominant: 2.4,
  missingNinth: 0.4,
  /** A name that no chart is written in. */
  unusual: 2.2,
  suspension: 0.9,
  sixth: 0.5,
  stacked: 0.25,
  alteration: 0.8,
  addition: 1.3,
  additionPastNinth: 1.1,
  omission: 2.4,
  bareTension: 0.3,
  outsideKey: 0.7,
  /** A triad over a bass that is none of its notes: what a chart writes before it counts far tensions. */
  foreignBass: 2.5,
  /** Taken off a whole seventh chord on its own root, whatever lies on top of it: its root is heard as the root. */
  wholeSeventh: -1.4,
} as const;

/**
 * Names a set of notes, lowest first, best name first: every note as the root, then roots that are
 * not among them. Incomplete chords count as such, in `missing`. How the notes are spelled, and the
 * key when one is given, decide between names that sound alike. No notes give no names.
 */
export function identify(notes: readonly Note[], key: Key | null = null): readonly ChordCandidate[] {
  const distinct = notes.filter((note, index) => notes.findIndex((other) => chroma(other - note) === 0) === index);
  const bass = distinct[0];
  if (bass === undefined) return [];
  const sound = distinct.reduce((heard, note) => heard | (1 << chroma(note)), 0);
  const found: ChordCandidate[] = [];
  for (const root of distinct)
    found.push(...candidatesOn({ notes: distinct, root, sounding: soundingOn(sound, root), present: true }, bass, key));
  for (const root of rootlessRoots(distinct, sound)) {
    found.push(...candidatesOn({ notes: distinct, root, sounding: soundingOn(sound, root), present: false }, bass, key));
  }
  found.push(...triadsOver(bass, distinct.slice(1), key));
  // nobody says 7add7: a chord with both sevenths has a name on another root
  const sayable = found.filter(({ chord }) => !holdsAll(chord.formula, SEVENTHS_OF_ITS_OWN));
  return (sayable.length === 0 ? found : sayable).sort((a, b) => a.cost - b.cost).slice(0, MOST_CANDIDATES);
}

/** A plain triad over a bass that is none of its notes, as `B/C`. */
function triadsOver(bass: Note, above: readonly Note[], key: Key | null): readonly ChordCandidate[] {
  if (above.length !== 3) return [];
  return above.flatMap((root) =>
    PLAIN_TRIADS.filter((formula) => formulaTones(formula).every(({ interval }) => above.includes(root + interval))).map((formula) => ({
      chord: { root, formula, bass },
      inversion: null,
      missing: [],
      cost: COST.foreignBass + (key !== null && !isInside(root, formulaTones(formula), key) ? COST.outsideKey : 0),
    })),
  );
}

const PLAIN_TRIADS = [formulaOf('1', '3', '5'), formulaOf('1', 'b3', '5')];

/** A root that is tried, and what sounds above it. */
interface Trial {
  readonly notes: readonly Note[];
  readonly root: Note;
  readonly sounding: Sounding;
  /** Whether the root is among the notes. */
  readonly present: boolean;
}

/** The names on one root, under the spelling of the root that fits the notes best. */
function candidatesOn({ notes, root: given, sounding, present }: Trial, bass: Note, key: Key | null): readonly ChordCandidate[] {
  let root = given;
  let best = readTones(notes, given, sounding);
  for (const other of best.respelled === 0 ? [] : [given - 12, given + 12]) {
    if (Math.abs(accidentals(other)) > 1) continue;
    const read = readTones(notes, other, sounding);
    if (read.respelled >= best.respelled) continue;
    best = read;
    root = other;
  }
  const reading: RootReading = { root, ...best, sounding, present };
  const named = nameOn(reading, bass, key);
  if (!isThirteenthWithoutNinth(reading)) return [named];
  // third, seventh and thirteenth are called a 13, the ninth left out with the fifth
  const thirteenth = nameOn({ ...reading, formula: reading.formula | NINTH }, bass, key);
  const missing = [...thirteenth.missing, root + 2];
  return [named, { ...thirteenth, missing, cost: thirteenth.cost + COST.missingNinth }];
}

function isThirteenthWithoutNinth({ formula, sounding }: RootReading): boolean {
  return holdsAll(formula, DOMINANT | THIRTEENTH) && !holdsAny(formula, NINTHS) && lacksFifth(formula, sounding);
}

/** A root with what the notes make on it. */
interface RootReading {
  readonly root: Note;
  readonly formula: Formula;
  readonly respelled: number;
  readonly sounding: Sounding;
  readonly present: boolean;
}

function nameOn({ root, formula, respelled, sounding, present }: RootReading, bass: Note, key: Key | null): ChordCandidate {
  const fifthless = lacksFifth(formula, sounding);
  const whole = fifthless ? formula | FIFTH : formula;
  const inRoot = chroma(bass - root) === 0;
  const tones = inRoot && key === null ? [] : formulaTones(whole);
  const bassTone = inRoot ? 0 : tones.findIndex((tone) => chroma(root + tone.interval - bass) === 0);
  const outside = key !== null && !isInside(root, tones, key) ? COST.outsideKey : 0;
  return {
    chord: { root, formula: whole, bass: present && !inRoot ? bassNote(root, tones[bassTone] as Tone, bass) : null },
    inversion: present ? bassTone : null,
    missing: [...(present ? [] : [root]), ...(fifthless ? [root + 1] : [])],
    cost:
      qualityCost(whole) +
      COST.respelled * respelled +
      placingCost(formula, { present, inRoot, fifthless }) +
      (present && inRoot && isWholeSeventhAndMore(formula) ? COST.wholeSeventh : 0) +
      outside,
  };
}

/** Third, fifth and seventh, and something added to them that no name of its own holds. */
function isWholeSeventhAndMore(formula: Formula): boolean {
  const { added, addedPastNinth } = departuresOf(formula);
  return added + addedPastNinth > 0 && holdsAny(formula, THIRDS) && holdsAny(formula, FIFTH) && holdsAny(formula, SEVENTHS);
}

interface Placing {
  readonly present: boolean;
  readonly inRoot: boolean;
  readonly fifthless: boolean;
}

/** What it costs that the root is not lowest, or not there, and that the fifth is not there. */
function placingCost(formula: Formula, { present, inRoot, fifthless }: Placing): number {
  const isShell = isShellOfDominant(formula);
  // a thirteenth or an altered ninth is played without its fifth as a rule
  const fifth = fifthless && !isShell ? COST.missingFifth : 0;
  if (!present) return fifth + (isShell ? COST.missingRootOfDominant : COST.missingRoot);
  return fifth + (inRoot ? 0 : COST.inverted);
}

/** Whether the name promises a fifth that does not sound. */
function lacksFifth(formula: Formula, { third, fifth }: Sounding): boolean {
  return third && !fifth && !holdsAny(formula, ALTERED_FIFTHS) && formula !== ALTERED_FORMULA;
}

/** The formula the notes make on a root, and how many of them are spelled otherwise. */
function readTones(notes: readonly Note[], root: Note, sounding: Sounding): { readonly formula: Formula; readonly respelled: number } {
  let formula: Formula = ROOT;
  let respelled = 0;
  for (const note of notes) {
    const interval = note - root;
    const name = toneAt(chroma(interval), interval, sounding);
    formula |= findTone(name) as Formula;
    // a ♯9 is written as the ♭3 it sounds like more often than not
    if (toneInterval(name) !== interval && !(name === '#9' && interval === MINOR_THIRD)) respelled += 1;
  }
  return { formula, respelled };
}

/** Which half steps above the root sound, and what that says about the rest. */
interface Sounding {
  readonly steps: number;
  readonly majorThird: boolean;
  readonly minorThird: boolean;
  readonly third: boolean;
  readonly fifth: boolean;
  readonly seventh: boolean;
}

/** What sounds above a root: the set of sounding half steps turned so that the root is 0. */
function soundingOn(sound: number, root: Note): Sounding {
  const turn = chroma(root);
  const steps = 1 | (((sound >> turn) | (sound << (12 - turn))) & OCTAVE);
  const majorThird = (steps & (1 << 4)) !== 0;
  const minorThird = (steps & (1 << 3)) !== 0;
  return {
    steps,
    majorThird,
    minorThird,
    third: majorThird || minorThird,
    fifth: (steps & (1 << 7)) !== 0,
    seventh: (steps & SEVENTH_STEPS) !== 0,
  };
}

const OCTAVE = 0xfff;
const SEVENTH_STEPS = (1 << 10) | (1 << 11);

/**
 * Roots that are not among the notes, as simple spellings near them. Players leave out the root
 * only of chords that their third and seventh name.
 */
function rootlessRoots(notes: readonly Note[], sound: number): readonly Note[] {
  if (notes.length < 3) return [];
  const centre = Math.round(notes.reduce((sum, note) => sum + note, 0) / notes.length);
  return Array.from({ length: 12 }, (_, step) => centre - 6 + step).filter((root) => {
    if ((sound & (1 << chroma(root))) !== 0) return false;
    const { third, seventh } = soundingOn(sound, root);
    return third && seventh;
  });
}

const PLAIN_TONES: readonly (ToneName | null)[] = ['1', 'b9', null, null, '3', null, null, '5', null, null, 'b7', '7'];

/** Which tone a note so many half steps above the root is, given everything else that sounds. */
function toneAt(semitones: number, interval: number, sounding: Sounding): ToneName {
  const plain = PLAIN_TONES[semitones];
  if (plain !== null && plain !== undefined) return plain;
  switch (semitones) {
    case 2:
      return sounding.third || (sounding.seventh && has(sounding, 5)) ? '9' : '2';
    case 3:
      return sounding.majorThird ? '#9' : 'b3';
    case 5:
      return sounding.third && sounding.seventh ? '11' : '4';
    case 6:
      return fourthOrFifth(interval, sounding);
    case 8:
      return fifthOrThirteenth(interval, sounding);
    default:
      return sixthOrSeventh(sounding);
  }
}

function fourthOrFifth(interval: number, sounding: Sounding): ToneName {
  if (sounding.fifth) return '#11';
  if (sounding.minorThird && !sounding.majorThird) return 'b5';
  return interval === SHARP_FOURTH ? '#11' : 'b5';
}

function fifthOrThirteenth(interval: number, sounding: Sounding): ToneName {
  const otherFifth = sounding.fifth || (has(sounding, 6) && sounding.minorThird && !sounding.majorThird);
  return otherFifth || interval === FLAT_SIXTH ? 'b13' : '#5';
}

function sixthOrSeventh(sounding: Sounding): ToneName {
  const diminished = sounding.minorThird && !sounding.majorThird && has(sounding, 6) && !sounding.fifth;
  if (diminished && !sounding.seventh) return 'bb7';
  return sounding.seventh ? '13' : '6';
}

function has({ steps }: Sounding, semitones: number): boolean {
  return (steps & (1 << semitones)) !== 0;
}

const SHARP_FOURTH = 6;
const MINOR_THIRD = -3;
const FLAT_SIXTH = -4;
const ROOT = findTone('1') as Formula;
const FIFTH = findTone('5') as Formula;
const ALTERED_FIFTHS = (findTone('b5') as Formula) | (findTone('#5') as Formula);

const DOMINANT = formulaOf('3', 'b7');
const THIRTEENTH = formulaOf('13');
const NINTH = formulaOf('9');
const NINTHS = formulaOf('b9', '9', '#9');
const SEVENTHS_OF_ITS_OWN = formulaOf('b7', '7');

/** Third and minor seventh with a ninth, plain or altered, or a thirteenth. */
function isShellOfDominant(formula: Formula): boolean {
  return holdsAll(formula, DOMINANT) && holdsAny(formula, NINTHS | THIRTEENTH) && !holdsAny(formula, formulaOf('7', '11', 'b3'));
}

/** A suspension that is altered or added to, an altered tension without a seventh, and a chord with tones left out are are names of last resort; 7sus4♭9 is none. */
function isUnusual(formula: Formula, changed: number, omitted: number): boolean {
  if (omitted > 0 || (holdsAny(formula, ALTERED_TENSIONS) && !holdsAny(formula, SEVENTHS | SIXTH))) return true;
  return changed > 0 && !holdsAny(formula, THIRDS) && !(holdsAll(formula, FOURTH_AND_SEVENTH) && holdsAny(formula, FIFTH));
}

const ALTERED_TENSIONS = formulaOf('b13');
/** Without a seventh under it such a tension is rarely meant. */
const BARE_TENSIONS = formulaOf('b9', '#9', '#11');
const SIXTH = formulaOf('6');
const THIRDS = formulaOf('b3', '3');
const FOURTH_AND_SEVENTH = formulaOf('4', 'b7');

/** How far a quality lies from a plain triad. */
function qualityCost(formula: Formula): number {
  const { frame, altered, added, addedPastNinth, omitted } = departuresOf(formula);
  const { extension, suspension } = frame;
  const stacked = extension === 'none' ? 0 : extension === '6' || extension === '69' ? COST.sixth : COST.stacked;
  const suspended = suspension === 'none' ? 0 : COST.suspension;
  const additions = COST.addition * added + COST.additionPastNinth * addedPastNinth;
  const unusual = isUnusual(formula, altered + added, omitted) ? COST.unusual : 0;
  const bare = holdsAny(formula, BARE_TENSIONS) && !holdsAny(formula, SEVENTHS | SIXTH) ? COST.bareTension : 0;
  return bare + stacked + suspended + COST.alteration * altered + additions + COST.omission * omitted + unusual;
}

/** The bass as the chord spells it, unless that would be a double sharp or flat. */
function bassNote(root: Note, tone: Tone, bass: Note): Note {
  const spelled = root + tone.interval;
  return Math.abs(accidentals(spelled)) > 1 ? bass : spelled;
}

function isInside(root: Note, tones: readonly Tone[], key: Key): boolean {
  const notes = keyNotes(key);
  return tones.every((tone) => notes.includes(root + tone.interval));
}
