import type { Chord } from '../../chord/chord.ts';
import { type Formula, formulaOf, formulaTones, holdsAll, holdsAny } from '../../chord/formula.ts';
import { mod } from '../../fault.ts';
import type { Interval } from '../../interval/interval.ts';
import { chroma } from '../../pitch/note.ts';

/** What a chord is to an ear that listens for where it wants to go. */
type ChordClass = 'major' | 'dominant' | 'minor' | 'minor-major' | 'half-diminished' | 'diminished' | 'augmented' | 'suspended' | 'power';

/** A chord taken apart once, so that every rule can ask it quickly. */
export interface ChordFacts {
  readonly chord: Chord;
  /** Half steps above C, 0–11. */
  readonly root: number;
  readonly bass: number;
  /** Distances of its tones from the root on the line of fifths. */
  readonly tones: readonly Interval[];
  /** Its tones as half steps above C: bit n for n. */
  readonly mask: number;
  readonly class: ChordClass;
  /** A full diminished seventh chord: any of its four notes may be its root. */
  readonly symmetric: boolean;
  readonly seventh: boolean;
  /** Whether the bass is no tone of the chord. */
  readonly foreignBass: boolean;
}

const THIRD = formulaOf('3');
const MINOR_THIRD = formulaOf('b3');
const FIFTH = formulaOf('5');
const LOW_FIFTHS = formulaOf('b5');
const HIGH_FIFTHS = formulaOf('#5');
const SUSPENSIONS = formulaOf('2', '4');
const MINOR_SEVENTH = formulaOf('b7');
const MAJOR_SEVENTH = formulaOf('7');
const DIMINISHED_SEVENTH = formulaOf('bb7');
const SEVENTHS = MINOR_SEVENTH | MAJOR_SEVENTH | DIMINISHED_SEVENTH;
const DIMINISHED = MINOR_THIRD | LOW_FIFTHS;
const SEVENTH_IN_BASS = -2;

/** Takes a chord apart. A ♭7 that only the bass plays (C/B♭) counts as the chord's seventh. */
function factsOf(chord: Chord): ChordFacts {
  const root = chroma(chord.root);
  const bass = chroma(chord.bass ?? chord.root);
  const own = formulaTones(chord.formula).map(({ interval }) => interval);
  const foreign = !own.some((interval) => chroma(chord.root + interval) === bass);
  const seventhInBass = foreign && mod(bass - root, 12) === 10 && !holdsAny(chord.formula, SEVENTHS);
  const formula = seventhInBass ? chord.formula | MINOR_SEVENTH : chord.formula;
  const tones = seventhInBass ? [...own, SEVENTH_IN_BASS] : own;
  return {
    chord,
    root,
    bass,
    tones,
    mask: tones.reduce((mask, interval) => mask | (1 << chroma(chord.root + interval)), 0),
    class: classOf(formula),
    symmetric: holdsAll(formula, DIMINISHED | DIMINISHED_SEVENTH),
    seventh: holdsAny(formula, SEVENTHS),
    foreignBass: foreign && !seventhInBass,
  };
}

/** The facts of every chord; equal chords share one value, so that they can be compared as such. */
export function factsOfAll(chords: readonly Chord[]): readonly ChordFacts[] {
  const known = new Map<string, ChordFacts>();
  return chords.map((chord) => {
    const name = `${chord.root} ${chord.formula} ${chord.bass}`;
    const facts = known.get(name) ?? factsOf(chord);
    known.set(name, facts);
    return facts;
  });
}

function classOf(formula: Formula): ChordClass {
  if (holdsAny(formula, THIRD)) return majorClass(formula);
  if (holdsAny(formula, MINOR_THIRD)) return minorClass(formula);
  return holdsAny(formula, SUSPENSIONS | SEVENTHS) ? 'suspended' : 'power';
}

function majorClass(formula: Formula): ChordClass {
  if (holdsAny(formula, MINOR_SEVENTH)) return 'dominant';
  return holdsAny(formula, HIGH_FIFTHS) && !holdsAny(formula, FIFTH) ? 'augmented' : 'major';
}

function minorClass(formula: Formula): ChordClass {
  if (holdsAny(formula, LOW_FIFTHS) && !holdsAny(formula, FIFTH)) {
    return holdsAny(formula, MINOR_SEVENTH) ? 'half-diminished' : 'diminished';
  }
  return holdsAny(formula, MAJOR_SEVENTH) ? 'minor-major' : 'minor';
}

/** Whether the chord has a major third and no major seventh: it can pull down a fifth. */
export function canPull(facts: ChordFacts): boolean {
  if (facts.class === 'dominant' || facts.class === 'augmented') return true;
  return facts.class === 'major' && !facts.seventh;
}

/** A 5 whose third waits: suspended, with its ♭7. */
export function isSuspendedFive({ class: kind, seventh }: ChordFacts): boolean {
  return kind === 'suspended' && seventh;
}

/** A dominant seventh, or one whose third waits. */
export function isFive(facts: ChordFacts): boolean {
  return facts.class === 'dominant' || isSuspendedFive(facts);
}
