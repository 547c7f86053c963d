/** Which bars are chosen on the sheet, and which chord of one bar. Indices of written bars. */
export interface BarSelection {
  /** Where choosing began. */
  readonly anchor: number;
  /** Where it has come to: the bar with the focus. */
  readonly head: number;
  /** The chord within that bar. */
  readonly chord: number;
}

/** The bars from the first chosen one to the last. */
export function rangeOf({ anchor, head }: BarSelection): { readonly from: number; readonly to: number } {
  return { from: Math.min(anchor, head), to: Math.max(anchor, head) };
}

/** One chord chosen. */
export function choose(bar: number, chord = 0): BarSelection {
  return { anchor: bar, head: bar, chord };
}

/** The choice reaching on to another bar. */
export function reachTo(selection: BarSelection | null, bar: number): BarSelection {
  return selection === null ? choose(bar) : { ...selection, head: bar, chord: 0 };
}

/** The chord beside the chosen one, in playing direction of the text; null when there are none. */
export function chordBeside(
  selection: BarSelection | null,
  step: 1 | -1,
  chordsOf: (bar: number) => number,
  bars: number,
): BarSelection | null {
  if (bars === 0) return null;
  if (selection === null) return choose(step === 1 ? 0 : bars - 1);
  const { head, chord } = selection;
  const next = chord + step;
  if (next >= 0 && next < Math.max(1, chordsOf(head))) return choose(head, next);
  const bar = head + step;
  if (bar < 0 || bar >= bars) return choose(head, chord);
  return choose(bar, step === 1 ? 0 : Math.max(0, chordsOf(bar) - 1));
}

/** The choice kept inside a chart that has become shorter; null when nothing is left. */
export function kept(selection: BarSelection | null, bars: number): BarSelection | null {
  if (selection === null || bars === 0) return null;
  const last = bars - 1;
  if (selection.anchor <= last && selection.head <= last) return selection;
  return { anchor: Math.min(selection.anchor, last), head: Math.min(selection.head, last), chord: 0 };
}
