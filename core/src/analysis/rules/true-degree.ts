import type { Degree, NumberChord } from '../../degree/degree.ts';
import { numberChord } from '../../degree/degree.ts';
import { accidentalsOnMajor } from '../../interval/interval-text.ts';
import { chroma, isWritable, MOST_ACCIDENTALS, type Note } from '../../pitch/note.ts';
import { degreeOf, type Home, modeFacts, ownsTone, stepOf } from '../home/home.ts';
import type { Claim } from '../reading.ts';
import type { ChordFacts } from './facts.ts';
import type { Scene } from './scene.ts';

const FIFTH_ABOVE = 1;
const TWO_ABOVE = 2;
const LEADING_TONE = 5;
const HALF_STEP_ABOVE = -5;
const RAISED_TWO = 9;
const FLAT_TWO = -5;
const FLAT_SIX = -4;
const FLAT_SEVEN = -2;

/**
 * The chord's number in the key on `tonic`, its degree spelled by what the chord is there: a typed E in
 * A♭ is the ♭6, E7 on its way to E♭ the ♭2. The bass keeps its distance from the root.
 */
export function trueNumber(claim: Claim, scene: Scene, tonic: Note): NumberChord {
  return respelled(scene.here, trueDegree(claim, scene, tonic), tonic);
}

/** The number of a chord of the home, spelled as the home spells it. */
export function ownNumber(home: Home, facts: ChordFacts, tonic: Note): NumberChord {
  return respelled(facts, degreeOf(home, stepOf(home, facts.root)), tonic);
}

function respelled({ chord }: ChordFacts, degree: Degree, tonic: Note): NumberChord {
  const typed = chord.root - tonic;
  if (!isPlain(degree) || chroma(degree) !== chroma(typed)) return numberChord(chord, tonic);
  const bass = chord.bass === null ? null : chord.bass - tonic + degree - typed;
  return { degree, formula: chord.formula, bass: bass === null || isPlain(bass) ? bass : numberChord(chord, tonic).bass };
}

function isPlain(degree: Degree): boolean {
  return Math.abs(accidentalsOnMajor(degree)) <= MOST_ACCIDENTALS;
}

/** The chord's facts under the name of its degree, for its scales; as typed where that name would need a double accidental. */
export function factsOnDegree(facts: ChordFacts, degree: Degree, tonic: Note): ChordFacts {
  const { chord } = facts;
  const by = tonic + degree - chord.root;
  if (by === 0 || by % 12 !== 0 || !isSimple(chord.root + by)) return facts;
  return { ...facts, chord: { ...chord, root: chord.root + by, bass: chord.bass === null ? null : chord.bass + by } };
}

function isSimple(note: Note): boolean {
  return isWritable(note) && note >= -8 && note <= 12;
}

function trueDegree(claim: Claim, scene: Scene, tonic: Note): Degree {
  const { here, home, step } = scene;
  const typed = here.chord.root - tonic;
  const candidate = degreeOfReading(claim, scene, typed);
  if (candidate !== undefined && chroma(candidate) === step) return candidate;
  const outside = home.mode.degrees[step] === undefined;
  return outside && here.class !== 'major' && here.class !== 'dominant' ? typed : degreeOf(home, step);
}

/** The degree a reading gives a chord; undefined where it says nothing of it. */
function degreeOfReading(claim: Claim, { here, home, step, after, nextStep }: Scene, typed: Degree): Degree | undefined {
  const target = claim.target === undefined ? undefined : degreeOf(home, claim.target);
  switch (claim.kind) {
    case 'secondary-dominant':
      return target === undefined ? undefined : target + FIFTH_ABOVE;
    case 'related-two':
      return target === undefined ? undefined : target + TWO_ABOVE;
    case 'tritone-substitute':
      return target === undefined ? undefined : target + HALF_STEP_ABOVE;
    case 'secondary-leading-tone':
      return target === undefined ? typed : leadingDegree(target, step, typed);
    case 'neapolitan':
      return FLAT_TWO;
    case 'augmented-sixth':
      return FLAT_SIX;
    case 'backdoor-dominant':
      return FLAT_SEVEN;
    case 'borrowed':
      return borrowedDegree(claim, here, step);
    case 'passing-diminished':
    case 'common-tone-diminished':
      return after === null || nextStep === null ? undefined : slidingDegree(here, after, home, nextStep);
    default:
      return undefined;
  }
}

/** Any note of a full diminished chord may lead: the chord is named from the note that does, or as typed. */
function leadingDegree(target: Degree, step: number, typed: Degree): Degree {
  return chroma(target + LEADING_TONE) === step ? target + LEADING_TONE : typed;
}

/** The degree in the scale it was borrowed from; one that has the root under two names is asked which holds the chord. */
function borrowedDegree({ sources }: Claim, { tones }: ChordFacts, step: number): Degree | undefined {
  const source = sources?.[0];
  if (source === undefined) return undefined;
  const mode = modeFacts(source);
  const degree = mode.degrees[step];
  if (degree === undefined) return undefined;
  return tones.every((tone) => ownsTone({ tonic: 0, mode }, degree, tone)) ? degree : undefined;
}

/** A diminished chord that rises is a raised degree, one that falls a lowered one; one that stays on the root is its ♯2. */
function slidingDegree(here: ChordFacts, after: ChordFacts, home: Home, nextStep: number): Degree | undefined {
  const next = degreeOf(home, nextStep);
  const bass = degreeOf(home, stepOf(home, after.bass));
  const rises = (from: number, to: number) => (from + 1) % 12 === to;
  if (rises(here.root, after.root)) return next + LEADING_TONE;
  if (rises(here.root, after.bass)) return bass + LEADING_TONE;
  if (rises(after.root, here.root)) return next + HALF_STEP_ABOVE;
  if (rises(after.bass, here.root)) return bass + HALF_STEP_ABOVE;
  if (here.root === after.root) return next;
  return chroma(next + RAISED_TWO) === stepOf(home, here.root) ? next + RAISED_TWO : undefined;
}
