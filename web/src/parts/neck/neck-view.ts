import {
  type Chord,
  chordOnNeck,
  type Finger,
  type Fingering,
  type Instrument,
  type Naming,
  nameNote,
  type RunNote,
  type Voicing,
  withGlyphs,
} from '@aurora/core';
import { PARTS_WORDS } from '../../wording/parts.ts';

/** Frets until half of the drawn string is used up; 12 on the instrument. */
const HALVING = 17.8;
/** In pixels of the screen; dots are 20 across, and strings lie so far apart that none touch. */
const BOARD = { width: 1100, nut: 46, top: 16, open: 22, end: 14, gap: 23, roomy: 30 } as const;
/** Under the strings: fret numbers, and those from the capo. */
const NUMBERS = 31;
const CAPO_NUMBERS = 15;

/** What of a neck is drawn, and how large. */
export interface NeckCut {
  /** The first fret drawn; 0 or 1 shows the nut. */
  readonly firstFret?: number;
  /** Pixels of the drawing. */
  readonly width?: number;
  /** Whether the strings lie further apart, where there is room. */
  readonly roomy?: boolean;
}

/** Where things lie on the drawn neck, in pixels. */
export interface NeckGeometry {
  readonly width: number;
  readonly height: number;
  readonly strings: number;
  /** The frets drawn; strings that ring open keep their place before the first. */
  readonly firstFret: number;
  readonly lastFret: number;
  /** Height of a string; string 1, the thinnest, is drawn on top. */
  readonly stringY: (string: number) => number;
  /** Where fret wire lies. */
  readonly fretX: (fret: number) => number;
  /** Middle of the space a finger goes to; open strings sound before the nut. */
  readonly spaceX: (fret: number) => number;
}

/**
 * The neck of an instrument. Frets grow narrower toward the body, though less than on the
 * instrument, so that dots high up keep their room. For the left hand it is mirrored.
 */
export function neckGeometry({ tuning, leftHanded, capo }: Instrument, lastFret: number, cut: NeckCut = {}): NeckGeometry {
  const { firstFret = 1, width = BOARD.width, roomy = false } = cut;
  const strings = tuning.length;
  const gap = roomy ? BOARD.roomy : BOARD.gap;
  const mirrored = (x: number) => (leftHanded ? width - x : x);
  const far = (fret: number) => 1 - 2 ** (-fret / HALVING);
  const from = far(Math.max(0, firstFret - 1));
  const wire = (fret: number) => BOARD.nut + ((far(fret) - from) / (far(lastFret) - from)) * (width - BOARD.nut - BOARD.end);
  return {
    width,
    firstFret: Math.max(1, firstFret),
    height: BOARD.top + gap * (strings - 1) + NUMBERS + (capo > 0 ? CAPO_NUMBERS : 0),
    strings,
    lastFret,
    stringY: (string) => BOARD.top + (string - 1) * gap,
    fretX: (fret) => mirrored(wire(fret)),
    spaceX: (fret) => mirrored(fret === 0 ? BOARD.open : (wire(fret - 1) + wire(fret)) / 2),
  };
}

/** Frets shown to each side of a shape. */
const AROUND = 3;

/** The frets around a shape: three to each side, and the nut where it is near. */
export function fretsAround(
  frets: readonly (number | null)[],
  { capo, frets: last }: Pick<Instrument, 'capo' | 'frets'>,
): {
  readonly firstFret: number;
  readonly lastFret: number;
} {
  const pressed = frets.filter((fret): fret is number => fret !== null && fret > capo);
  const [lowest, highest] = pressed.length === 0 ? [capo + 1, capo + 1] : [Math.min(...pressed), Math.max(...pressed)];
  const firstFret = lowest - AROUND <= capo + 1 ? Math.max(1, capo) : lowest - AROUND;
  return { firstFret, lastFret: Math.min(last, Math.max(highest + AROUND, firstFret + 2 * AROUND)) };
}

/** No fret is drawn so wide that the hand cannot be imagined on it. */
export const WIDEST = 120;
/** Pixels beside the frets: strings that ring open, and the end of the board. */
export const BESIDE = BOARD.nut + BOARD.end;

/** The frets asked for, and as many more as a drawing of this width has room for: towards the body, else towards the nut. */
export function widened(
  { firstFret, lastFret }: { readonly firstFret: number; readonly lastFret: number },
  wide: number,
  frets: number,
): { readonly firstFret: number; readonly lastFret: number } {
  const room = Math.ceil((wide - BESIDE) / WIDEST);
  const last = Math.max(lastFret, Math.min(frets, firstFret + room - 1));
  return { firstFret: Math.min(firstFret, Math.max(1, last - room + 1)), lastFret: last };
}

/** What stands in the dots. */
export type NeckLabels = 'notes' | 'formula' | 'fingers';

/** One dot on the neck. */
export interface NeckDot {
  readonly string: number;
  readonly fret: number;
  readonly midi: number;
  readonly root: boolean;
  /** A note of the scale that is no tone of the chord: drawn smaller. */
  readonly passing?: boolean;
  readonly label: string;
  /** What a screen reader says of it. */
  readonly name: string;
}

/** Every tone of the chord as a dot, open strings at the nut or at the capo. */
export function toneDots(chord: Chord, instrument: Instrument, lastFret: number, { labels, naming }: DotLook): readonly NeckDot[] {
  return chordOnNeck(chord, instrument.tuning, instrument.capo, lastFret).map(({ string, fret, midi, note, formula, root }) => {
    const named = { note: nameNote(note, naming.notes), formula: withGlyphs(formula) };
    return {
      string,
      fret,
      midi,
      root,
      label: labels === 'notes' ? named.note : numberLabel(named.formula),
      name: dotName(named.note, root ? 'root' : named.formula, string, fret),
    };
  });
}

interface DotLook {
  readonly labels: NeckLabels;
  readonly naming: Naming;
}

/** The sounding strings of a shape, with the fingers that press them when that is what is wanted. */
export function shapeDots({ tones, frets }: Voicing, fingering: Fingering, { labels, naming }: DotLook): readonly NeckDot[] {
  return tones.map(({ string, fret, midi, note, formula }) => {
    const finger = fingering.fingers[frets.length - string] ?? 0;
    const root = formula === '1';
    const named: Readonly<Record<NeckLabels, string>> = {
      notes: nameNote(note, naming.notes),
      formula: withGlyphs(formula),
      fingers: finger === 0 ? '' : String(finger),
    };
    const name = `${dotName(named.notes, root ? 'root' : named.formula, string, fret)}${heldBy(finger)}`;
    return { string, fret, midi, root, label: labels === 'formula' ? numberLabel(named.formula) : named[labels], name };
  });
}

function heldBy(finger: Finger): string {
  if (finger === 0) return '';
  return finger === 'T' ? ', thumb' : PARTS_WORDS.finger(finger);
}

/** The places a run passes through, each once. */
export function runDots(notes: readonly RunNote[], root: number | null, { labels, naming }: DotLook): readonly NeckDot[] {
  const places = new Map<string, NeckDot>();
  // over several chords a place has several numbers, but one name
  const by = root === null && labels === 'formula' ? 'notes' : labels;
  for (const { string, fret, midi, note, number, finger } of notes) {
    const isRoot = note === root;
    const label = by === 'notes' ? nameNote(note, naming.notes) : by === 'formula' ? withGlyphs(number) : String(finger || '');
    const name = dotName(nameNote(note, naming.notes), isRoot ? 'root' : withGlyphs(number), string, fret);
    places.set(`${string}:${fret}`, { string, fret, midi, root: isRoot, label, name });
  }
  return [...places.values()];
}

/** A tapped place, named by what sounds there. */
export function tapDots(
  frets: readonly (number | null)[],
  tuning: readonly number[],
  nameOf: (midi: number) => string,
): readonly NeckDot[] {
  return frets.flatMap((fret, index): readonly NeckDot[] => {
    if (fret === null) return [];
    const [string, midi] = [tuning.length - index, (tuning[index] as number) + fret];
    return [{ string, fret, midi, root: false, label: nameOf(midi), name: dotName(nameOf(midi), 'tapped', string, fret) }];
  });
}

function numberLabel(formula: string): string {
  if (formula === '1') return 'R';
  return formula === 'bass' ? 'B' : formula;
}

function dotName(note: string, what: string, string: number, fret: number): string {
  return PARTS_WORDS.dotLabel(note, what, string, fret === 0 ? 'open' : PARTS_WORDS.fret(fret));
}

/** The next dot in a direction, nearest first; the same one when there is none. */
export function nextDot(dots: readonly NeckDot[], from: NeckDot, direction: 'left' | 'right' | 'up' | 'down'): NeckDot {
  const ahead = dots.filter((dot) => {
    if (direction === 'left') return dot.fret < from.fret;
    if (direction === 'right') return dot.fret > from.fret;
    return direction === 'up' ? dot.string < from.string : dot.string > from.string;
  });
  const along = direction === 'left' || direction === 'right';
  const far = (dot: NeckDot) => {
    const [frets, strings] = [Math.abs(dot.fret - from.fret), Math.abs(dot.string - from.string)];
    return along ? frets + 3 * strings : frets + 4 * strings;
  };
  return ahead.reduce((nearest, dot) => (nearest === from || far(dot) < far(nearest) ? dot : nearest), from);
}
