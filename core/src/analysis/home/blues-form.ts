import { mod } from '../../fault.ts';
import type { ChordFacts } from '../rules/facts.ts';

/** A chord with the bar it stands in. */
export interface ChordInBar {
  readonly facts: ChordFacts;
  readonly bar: number;
}

/** Twelve bars of blues: the chords from one index to another, and the tonic in half steps above C. */
export interface BluesForm {
  readonly from: number;
  readonly to: number;
  readonly tonic: number;
}

const BARS = 12;

/** Which roots may stand at the head of each bar, in half steps above the tonic. Source: the common forms of the twelve-bar blues. */
const FORM: readonly (readonly number[])[] = [
  [0],
  [0, 5],
  [0],
  [0, 7],
  [5],
  [5, 6],
  [0],
  [0, 9, 4],
  [7, 2, 8],
  [5, 7, 1],
  [0, 4],
  [0, 7, 2],
];

/** Every chorus of twelve-bar blues, one behind the other, wherever the first begins. */
export function findBluesForms(chords: readonly ChordInBar[]): readonly BluesForm[] {
  const heads = new Map<number, number>();
  chords.forEach(({ bar }, index) => {
    if (!heads.has(bar)) heads.set(bar, index);
  });
  const bars = [...heads.keys()];
  const forms: BluesForm[] = [];
  for (let at = 0; at + BARS <= bars.length; ) {
    const form = formAt(chords, heads, bars, at);
    if (form !== undefined) forms.push(form);
    at += form === undefined ? 1 : BARS;
  }
  return forms;
}

function formAt(
  chords: readonly ChordInBar[],
  heads: ReadonlyMap<number, number>,
  bars: readonly number[],
  at: number,
): BluesForm | undefined {
  const headOf = (bar: number) => chords[heads.get(bars[at + bar] as number) as number] as ChordInBar;
  const tonic = headOf(0).facts.root;
  for (let bar = 0; bar < BARS; bar += 1) {
    const step = mod(headOf(bar).facts.root - tonic, 12);
    if (!(FORM[bar] as readonly number[]).includes(step)) return undefined;
  }
  const from = heads.get(bars[at] as number) as number;
  const next = bars[at + BARS];
  return { from, to: (next === undefined ? chords.length : (heads.get(next) as number)) - 1, tonic };
}
