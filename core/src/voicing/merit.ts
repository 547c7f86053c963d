import { type Calling, callingOf, type Instrument } from '../fretboard/instrument.ts';
import { gripOf } from './grips.ts';
import { innerMutes } from './hand.ts';
import type { Family, Frets, Voicing } from './voicing.ts';

const INVERTED = 2.4;
const THINNED = 0.8;
/** By family, most wanted first; what is in no list stands in the middle. */
const FAMILY_MERIT: Partial<Record<Family, number>> = {
  open: -1,
  'barre-6': -2,
  'barre-5': -2,
  triad: 1.2,
  spread: 1.6,
  shell: 1,
  other: 1.6,
};
const FAR = 0.1;
const HOLE = 0.6;
/** A string not sounding in a shape that is strummed: a thin one is missed more than a thick one. */
const QUIET_TREBLE = 1.5;
const QUIET_BASS = 0.7;
const STRUMMED: readonly Family[] = ['open', 'barre-6', 'barre-5'];

/** Grips that are taught come before what only arithmetic finds: open ones, then the movable by how early they are shown and how far up they lie. */
const OPEN_GRIP = -60;
const MOVABLE_GRIP = -40;
const OPEN_LATER = 0.1;
const SHOWN_LATER = 2;
const GRIP_FAR = 0.6;

/** Best first: taught grips, then root lowest before inversions, whole before thinned out, easy before hard; ties by the frets, so that the order never depends on chance. */
export function bestFirst(voicings: readonly Voicing[], instrument: Instrument): readonly Voicing[] {
  const calling = callingOf(instrument.tuning);
  const ranked = voicings.map((voicing) => ({
    voicing,
    demerit: gripDemerit(voicing, instrument, calling) ?? demeritOf(voicing, calling),
  }));
  return ranked.sort(byMerit).map(({ voicing }) => voicing);
}

function byMerit(a: Ranked, b: Ranked): number {
  return a.demerit - b.demerit || compareFrets(a.voicing.frets, b.voicing.frets);
}

interface Ranked {
  readonly voicing: Voicing;
  readonly demerit: number;
}

/** Undefined for what is no taught grip of this chord, with its root or the bass that is asked for lowest. */
function gripDemerit({ frets, chord, inversion }: Voicing, { tuning, capo }: Instrument, calling: Calling): number | undefined {
  if (chord.bass === null && inversion !== 0 && calling !== 'small') return undefined;
  const grip = gripOf(frets, tuning, capo);
  if (grip === undefined) return undefined;
  if (grip.open) return OPEN_GRIP + OPEN_LATER * grip.order;
  const lowest = Math.min(...frets.filter((fret) => fret !== null)) - capo;
  return MOVABLE_GRIP + SHOWN_LATER * grip.order + GRIP_FAR * lowest;
}

/** What an inversion costs: a bass carries the root, and where every string sounds nobody asks which is lowest. */
const INVERSION: Readonly<Record<Calling, number>> = { guitar: INVERTED, bass: 20, small: 0 };
/** What every fret up the neck costs more on instruments that are played near the nut. */
const UP_THE_NECK: Readonly<Record<Calling, number>> = { guitar: 0, bass: 0.4, small: 0.4 };

function demeritOf(voicing: Voicing, calling: Calling): number {
  const asked = voicing.chord.bass !== null;
  const inverted = asked || voicing.inversion === 0 ? 0 : INVERSION[calling];
  const family = FAMILY_MERIT[voicing.families[0]] ?? 0;
  const far = (FAR + UP_THE_NECK[calling]) * Math.max(0, ...voicing.frets.map((fret) => fret ?? 0));
  const quiet = STRUMMED.includes(voicing.families[0]) ? quietEdges(voicing.frets) : 0;
  return voicing.difficulty + inverted + family + far + quiet + THINNED * voicing.omitted.length + HOLE * innerMutes(voicing.frets);
}

/** Strings above and below a strummed shape that do not sound. */
function quietEdges(frets: Frets): number {
  const first = frets.findIndex((fret) => fret !== null);
  const last = frets.findLastIndex((fret) => fret !== null);
  return QUIET_BASS * first + QUIET_TREBLE * (frets.length - 1 - last);
}

function compareFrets(a: Frets, b: Frets): number {
  for (let string = 0; string < a.length; string += 1) {
    const difference = (a[string] ?? -1) - (b[string] ?? -1);
    if (difference !== 0) return difference;
  }
  return 0;
}
