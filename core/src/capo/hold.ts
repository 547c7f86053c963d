import type { Chord } from '../chord/chord.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import { chroma } from '../pitch/note.ts';
import { findVoicings } from '../voicing/search.ts';
import type { Frets, Voicing } from '../voicing/voicing.ts';

/** The easiest way to hold a chord by the nut or the capo. */
export interface ChordHold {
  /** Whether it is one of the open chords: every string from the bass up rings, and the hand lies easily. */
  readonly open: boolean;
  /** 0 for next to nothing, 10 for the edge of what hands do. */
  readonly difficulty: number;
  /** String by string, lowest first; null when the instrument cannot hold it. */
  readonly frets: Frets | null;
}

/** Open chords lie within the first frets. */
const OPEN_FRETS = 3;
/** Over three frets a shape must be light to count as an open chord; within two neighbouring ones it may be fuller: B7. */
const LIGHT = 3.6;
const FULL = 4.5;
/** A shape on fewer strings than this must hold every tone of its chord. */
const MANY_STRINGS = 5;
/** Where the closed shape is looked for: the first eight frets hold a barre of every chord. */
const CLOSED_FRETS = 8;
const FEWEST_CLOSED = 4;

/** Chords come back song after song; what they ask of the hand does not change. */
const known = new Map<string, ChordHold>();
const MOST_KNOWN = 5000;

/** The open shape of a chord on an instrument without its capo, or else the easiest closed one. */
export function easiestHold(chord: Chord, instrument: Instrument): ChordHold {
  const name = `${instrument.tuning} ${chroma(chord.root)} ${chord.formula} ${chord.bass === null ? '' : chroma(chord.bass)}`;
  const before = known.get(name);
  if (before !== undefined) return before;
  if (known.size >= MOST_KNOWN) known.clear();
  const hold = openHold(chord, instrument) ?? closedHold(chord, instrument);
  known.set(name, hold);
  return hold;
}

const AS_OPEN = { families: ['open'], maxFret: OPEN_FRETS, bassLowest: true, unbroken: true } as const;

function openHold(chord: Chord, instrument: Instrument): ChordHold | undefined {
  const { voicings } = findVoicings(chord, { ...instrument, capo: 0 }, AS_OPEN);
  const open = voicings.filter((voicing) => hasItsBass(voicing, chord) && isOpenChord(voicing, chord.bass !== null));
  return holdOf(open, true);
}

/** Under another bass the thinnest string may be silent: D/F♯ as 20023x. */
function isOpenChord({ frets, difficulty, omitted }: Voicing, overBass: boolean): boolean {
  const heard = frets.slice(frets.findIndex((fret) => fret !== null));
  const sounding = overBass && heard.at(-1) === null && heard.length > MANY_STRINGS ? heard.slice(0, -1) : heard;
  if (sounding.some((fret) => fret === null)) return false;
  if (omitted.length > 0 && sounding.length < MANY_STRINGS) return false;
  const pressed = frets.filter((fret): fret is number => fret !== null && fret > 0);
  const span = pressed.length === 0 ? 0 : Math.max(...pressed) - Math.min(...pressed);
  return difficulty <= (span > 1 ? LIGHT : FULL);
}

/** A closed shape moves along the neck, so that any place tells how hard it is. */
function closedHold(chord: Chord, instrument: Instrument): ChordHold {
  const neck = { ...instrument, capo: 0 };
  const wish = { maxFret: CLOSED_FRETS, closed: true, bassLowest: true } as const;
  const barre = holdOf(findVoicings(chord, neck, { ...wish, families: ['barre-6', 'barre-5'] }).voicings, false);
  if (barre !== undefined) return barre;
  const closed = findVoicings(chord, neck, wish).voicings.filter((voicing) => hasItsBass(voicing, chord));
  const some = closed.filter(({ tones }) => tones.length >= FEWEST_CLOSED);
  const any = () => holdOf(findVoicings(chord, neck, { maxFret: CLOSED_FRETS }).voicings, false);
  return holdOf(some, false) ?? holdOf(closed, false) ?? any() ?? CANNOT;
}

const CANNOT: ChordHold = { open: false, difficulty: 10, frets: null };

function hasItsBass({ tones: [lowest] }: Voicing, chord: Chord): boolean {
  return lowest !== undefined && chroma(lowest.note) === chroma(chord.bass ?? chord.root);
}

function holdOf(voicings: readonly Voicing[], open: boolean): ChordHold | undefined {
  const [first] = voicings;
  if (first === undefined) return undefined;
  const { difficulty, frets } = voicings.reduce((best, other) => (other.difficulty < best.difficulty ? other : best), first);
  return { open, difficulty, frets };
}
