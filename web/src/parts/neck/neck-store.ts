import { type Chord, FAMILIES, FAMILY_NAMES, type Family, type Frets, type Instrument, type Voicing } from '@aurora/core';
import { create } from 'zustand';
import { PARTS_WORDS } from '../../wording/parts.ts';

/** What players ask for first, before the families by name. */
const ASKED_FIRST = ['open', 'barre', 'up'] as const;

/** A family of shapes, or several of them under one word; `up` is what can be moved up the neck. */
export type ShapeGroup = Family | (typeof ASKED_FIRST)[number];

/** Which shapes of the selected chord are walked through. */
export interface ShapeChoice {
  /** Null for all of them. */
  readonly family: ShapeGroup | null;
  /** Null for any. */
  readonly inversion: number | null;
  /** Tones that may be left to somebody else. */
  readonly without: readonly ('root' | 'fifth')[];
}

interface NeckState extends ShapeChoice {
  /** Whether the neck shows every tone of the chord, one shape, or the scale chosen over it. */
  readonly show: 'tones' | 'shape' | 'scale';
  /** The shape chosen, and of which chord on which strings; any other chord starts from its best shape. */
  readonly chosen: { readonly of: string; readonly frets: Frets; readonly hold: number } | null;
}

export const useNeck = create<NeckState>()(() => ({ show: 'tones', family: null, inversion: null, without: [], chosen: null }));

/** Shows a shape, held in the given way counted from the easiest. */
export function chooseShape(of: string, frets: Frets, hold = 0): void {
  useNeck.setState({ show: 'shape', chosen: { of, frets, hold } });
}

/** A name for a chord on an instrument, by which a choice is known again. */
export function placeName(chord: Chord, { tuning, capo }: Pick<Instrument, 'tuning' | 'capo'>): string {
  return JSON.stringify([chord, tuning, capo]);
}

/** Whether players ask for a group before they name families. */
export function isAskedFirst(group: ShapeGroup): boolean {
  return ASKED_FIRST.some((first) => first === group);
}

/** Whether a group is one family and not several. */
export function isFamily(group: ShapeGroup): group is Family {
  return group !== 'barre' && group !== 'up';
}

/** What a group is called. */
export function groupName(group: ShapeGroup): string {
  if (group === 'barre') return PARTS_WORDS.barre;
  return group === 'up' ? PARTS_WORDS.upTheNeck : FAMILY_NAMES[group];
}

/** Frets from the nut or the capo in which a hand is not up the neck yet. */
const FIRST_FRETS = 4;

/** Whether a shape belongs to a group, on an instrument with its capo there. */
function isOf({ families, frets }: Voicing, group: ShapeGroup, capo: number): boolean {
  if (group === 'barre') return families.includes('barre-6') || families.includes('barre-5');
  if (group === 'up') return frets.every((fret) => fret === null || fret > capo + FIRST_FRETS);
  return families.includes(group);
}

/** The shapes left by a choice, on an instrument with its capo there. */
export function shapesLeft(
  voicings: readonly Voicing[],
  { family, inversion }: Pick<ShapeChoice, 'family' | 'inversion'>,
  capo = 0,
): readonly Voicing[] {
  return voicings.filter(
    (voicing) => (family === null || isOf(voicing, family, capo)) && (inversion === null || voicing.inversion === inversion),
  );
}

const GROUPS: readonly ShapeGroup[] = [...ASKED_FIRST, ...FAMILIES.filter((family) => family !== 'open')];

/** The groups there are shapes of, what is asked for first before the families, with how many. */
export function groupsIn(voicings: readonly Voicing[], capo = 0): readonly (readonly [ShapeGroup, number])[] {
  return GROUPS.flatMap((family) => {
    const { length } = shapesLeft(voicings, { family, inversion: null }, capo);
    return length === 0 ? [] : [[family, length] as const];
  });
}

/** The inversions there are shapes of, lowest first. */
export function inversionsIn(voicings: readonly Voicing[]): readonly number[] {
  return [...new Set(voicings.flatMap(({ inversion }) => (inversion === null ? [] : [inversion])))].sort((a, b) => a - b);
}

/** The choice after `current` in a round that begins and ends with “all”. */
export function nextChoice<T>(options: readonly T[], current: T | null): T | null {
  if (current === null) return options[0] ?? null;
  return options[options.indexOf(current) + 1] ?? null;
}
