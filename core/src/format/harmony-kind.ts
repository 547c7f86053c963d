import { type Formula, findTone, formulaTones, type Tone } from '../chord/formula.ts';
import { KIND_TABLE, READ_KINDS } from './musicxml/kind-table.ts';

/** A departure from a kind: a tone added, taken away, or raised and lowered. */
export interface KindDegree {
  readonly type: 'add' | 'alter' | 'subtract';
  readonly value: number;
  /** Half steps against the tone the degree has in a major or, for sevenths, dominant chord. */
  readonly alter: number;
}

export interface HarmonyKind {
  readonly kind: string;
  /** The kind's own tones, before anything departs from them. */
  readonly tones: Formula;
  readonly degrees: readonly KindDegree[];
}

/** A formula as the kind that needs the fewest departures. */
export function kindOf(formula: Formula): HarmonyKind {
  let best: HarmonyKind | null = null;
  for (const [kind, tones] of KIND_TABLE) {
    const degrees = departures(formula, tones);
    if (best === null || degrees.length < best.degrees.length) best = { kind, tones, degrees };
  }
  return best as HarmonyKind;
}

/** What is added to and taken from a kind's tones; a tone of the same number in its place is altered. */
function departures(formula: Formula, kind: Formula): readonly KindDegree[] {
  const missing = [...formulaTones(kind & ~formula)];
  const degrees = formulaTones(formula & ~kind).map((tone): KindDegree => {
    const at = missing.findIndex(({ number }) => number === tone.number);
    const replaced = at < 0 ? undefined : missing.splice(at, 1)[0];
    return replaced === undefined
      ? { type: 'add', value: tone.number, alter: alterOf(tone) }
      : { type: 'alter', value: tone.number, alter: tone.alteration - replaced.alteration };
  });
  return [...degrees, ...missing.map((tone): KindDegree => ({ type: 'subtract', value: tone.number, alter: 0 }))];
}

/** An added seventh is a minor one where nothing is said: MusicXML takes added degrees from a dominant chord. */
function alterOf({ number, alteration }: Tone): number {
  return number === 7 ? alteration + 1 : alteration;
}

/** The formula of a kind with its departures; undefined for a kind nobody knows or a tone no chord has. */
export function formulaOfKind(kind: string, degrees: readonly KindDegree[]): Formula | undefined {
  const tones = [...KIND_TABLE, ...READ_KINDS].find(([name]) => name === kind)?.[1];
  return degrees.reduce<Formula | undefined>((formula, degree) => (formula === undefined ? undefined : departed(formula, degree)), tones);
}

/** A formula after one departure; undefined where it leads to a tone no chord has. */
function departed(formula: Formula, { type, value, alter }: KindDegree): Formula | undefined {
  const present = formulaTones(formula).find(({ number }) => number === value);
  const rest = present === undefined ? formula : formula & ~toneNamed(present.name);
  if (type === 'subtract') return rest;
  const replaces = type === 'alter' && present !== undefined;
  const alteration = replaces ? present.alteration + alter : alter - (value === 7 ? 1 : 0);
  const tone = findTone(toneName(value, alteration)) ?? findTone(toneName(value > 7 ? value - 7 : value, alteration));
  return tone === undefined ? undefined : (replaces ? rest : formula) | tone;
}

function toneNamed(name: string): Formula {
  return findTone(name) ?? 0;
}

function toneName(value: number, alteration: number): string {
  return `${(alteration < 0 ? 'b' : '#').repeat(Math.abs(alteration))}${value}`;
}
