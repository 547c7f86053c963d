import type { Chord } from '../chord/chord.ts';
import type { Key } from '../key/key.ts';
import { columnsAt, type Depth, type KeptColumn } from '../reduce/depth.ts';
import type { Column, Reduction } from '../reduce/reduction.ts';
import { beatTicks } from '../score/place.ts';
import type { Measure } from '../score/score.ts';
import { chordsOfBar, type SheetBar } from './lead-sheet.ts';
import { chartOfSheet } from './lead-sheet-chart.ts';
import { LossList } from './loss.ts';

/** A reduction as a number chart: its bars, keys and chords; undecided stretches stand as N.C. */
export function chartOfReduction(reduction: Reduction, depth: Depth = 'every'): string {
  const { score, columns, keys } = reduction;
  const kept = columnsAt(reduction, depth);
  const first = keys[0];
  let before: Chord | null = null;
  const bars = score.measures.map((measure): SheetBar => {
    const { chords, goesOn } = chordsIn(measure, kept, columns, before);
    before = goesOn;
    const key = keyAt(reduction, measure) ?? (first?.key as Key);
    return { ...EMPTY, meter: measure.meter, key, tempo: score.tempo, pickup: pickupOf(measure), chords };
  });
  return chartOfSheet({ title: score.title, by: score.by, feel: '', fields: [], bars }, new LossList());
}

const EMPTY: Omit<SheetBar, 'meter' | 'key' | 'tempo' | 'pickup' | 'chords'> = {
  section: null,
  times: 1,
  newLine: false,
  remarks: [],
  words: [],
  form: { opensRepeat: false, closesRepeat: null, ending: null, signs: [], after: [] },
};

function chordsIn(measure: Measure, kept: readonly KeptColumn[], columns: readonly Column[], before: Chord | null) {
  const beat = beatTicks(measure);
  const entering = kept
    .filter(({ from }) => from >= measure.from && from < measure.to)
    .map(({ from, index }) => ({ at: (from - measure.from) / beat, chord: (columns[index] as Column).chord }));
  return chordsOfBar(entering, before, pickupOf(measure) ?? measure.meter.beats);
}

function pickupOf(measure: Measure): number | null {
  const beats = (measure.to - measure.from) / beatTicks(measure);
  return measure.number === 0 ? Math.max(0.5, Math.round(beats * 2) / 2) : null;
}

/** The key that most of a measure is in. */
function keyAt({ keys }: Reduction, measure: Measure): Key | undefined {
  const share = ({ from, to }: { readonly from: number; readonly to: number }) => Math.min(to, measure.to) - Math.max(from, measure.from);
  return [...keys].sort((a, b) => share(b) - share(a))[0]?.key;
}
