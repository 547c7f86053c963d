import type { WrittenBar } from '../chart/bars.ts';
import type { Change, FormMark, MusicItem } from '../chart/chart.ts';
import { draftOf, type OpenChart } from './bar-edits.ts';

/** The signs and jumps a bar may carry. */
export type BarSign = Extract<FormMark, { readonly kind: 'sign' | 'to-coda' | 'jump' }>;

/** Segno and coda stand over the beginning of a bar; what ends or leaves it stands behind. */
function sideOf(mark: BarSign): 'before' | 'behind' {
  return mark.kind === 'sign' && mark.sign !== 'fine' ? 'before' : 'behind';
}

/** Gives a bar a sign or a jump, or takes it away where it stands there already. */
export function toggleSign(chart: OpenChart, bar: number, mark: BarSign): string {
  const written = chart.reading.bars[bar];
  if (written === undefined) return chart.source;
  const draft = draftOf(chart);
  const side = sideOf(mark);
  const isIt = (item: MusicItem) => item.kind === 'form' && sameMark(item.mark, mark);
  if (!draft.unmark(bar, side, isIt)) draft.mark(bar, side, { kind: 'form', mark, at: written.at });
  return draft.text();
}

function sameMark(a: FormMark, b: BarSign): boolean {
  if (a.kind === 'sign' && b.kind === 'sign') return a.sign === b.sign;
  if (a.kind === 'jump' && b.kind === 'jump') return a.to === b.to && a.until === b.until && a.keepRepeats === b.keepRepeats;
  return a.kind === b.kind;
}

/** What may change with a bar. A step and a named key are one kind of change. */
export type ChangeKind = 'key' | 'meter' | 'tempo' | 'pickup';

function kindOf({ kind }: Change): ChangeKind {
  return kind === 'step' ? 'key' : kind;
}

/** Has a key, meter, tempo or pickup begin with a bar, in the place of one of its kind; null takes it away. */
export function changeFrom(chart: OpenChart, bar: number, kind: ChangeKind, change: Change | null): string {
  const written: WrittenBar | undefined = chart.reading.bars[bar];
  if (written === undefined) return chart.source;
  const draft = draftOf(chart);
  while (draft.unmark(bar, 'before', (item) => item.kind === 'change' && kindOf(item.change) === kind));
  if (change !== null) draft.mark(bar, 'before', { kind: 'change', change, at: written.at });
  return draft.text();
}
