import { BARS_A_ROW, type BarCell, type CellRow, type CellSection } from './projection.ts';

/** More bars than this are not counted at a glance. */
const MOST_COUNTED = 8;

/**
 * A drummer's bars: those in which nothing falls are counted together, up to eight, and begun anew
 * wherever there is something to read. All others stay as they are.
 */
export function countedBars(bars: readonly BarCell[]): readonly BarCell[] {
  const counted: BarCell[] = [];
  for (const bar of bars) {
    const before = counted.at(-1);
    if (!isQuiet(bar)) counted.push(bar);
    else if (before !== undefined && goesOn(before, bar)) counted[counted.length - 1] = joined(before, bar);
    else counted.push({ ...bar, sign: 'count' });
  }
  return counted;
}

/** Sections with their bars counted, in rows of four; words stay under the bars they belong to. */
export function countedSections(sections: readonly CellSection[]): readonly CellSection[] {
  return sections.map((section) => ({ ...section, rows: countedRows(section.rows) }));
}

function countedRows(rows: readonly CellRow[]): readonly CellRow[] {
  const stretches: { bars: BarCell[]; isPickup: boolean; words: readonly string[] }[] = [];
  for (const { bars, isPickup, words } of rows) {
    const open = stretches.at(-1);
    if (open !== undefined && !open.isPickup && !isPickup && open.words.length === 0) {
      open.bars.push(...bars);
      open.words = words;
    } else stretches.push({ bars: [...bars], isPickup, words });
  }
  return stretches.flatMap(({ bars, isPickup, words }) => inRows(isPickup ? bars : countedBars(bars), isPickup, words));
}

function inRows(bars: readonly BarCell[], isPickup: boolean, words: readonly string[]): readonly CellRow[] {
  const rows = barRows(bars);
  return rows.map((row, place) => ({ bars: row, isPickup, words: place === rows.length - 1 ? words : [] }));
}

/** Bars four by four. */
export function barRows(bars: readonly BarCell[]): readonly (readonly BarCell[])[] {
  const count = Math.ceil(bars.length / BARS_A_ROW);
  return Array.from({ length: count }, (_, row) => bars.slice(row * BARS_A_ROW, (row + 1) * BARS_A_ROW));
}

/** Whether time is only kept in a bar. */
function isQuiet({ chords, remarks, wrong, sign }: BarCell): boolean {
  if (sign === 'count') return true;
  return !wrong && remarks.length === 0 && chords.every(({ chord, marks }) => chord !== null && !marks.push && !marks.ring && !marks.stop);
}

function goesOn(before: BarCell, bar: BarCell): boolean {
  const ends = before.closesRepeat !== null || before.after.length > 0 || before.ending?.ends === true;
  const begins = bar.opensRepeat || bar.heading !== '' || bar.signs.length > 0 || bar.ending?.begins === true;
  return isQuiet(before) && before.counts < MOST_COUNTED && !ends && !begins && before.ending?.label === bar.ending?.label;
}

function joined(before: BarCell, bar: BarCell): BarCell {
  const ending = before.ending === null ? null : { ...before.ending, ends: bar.ending?.ends ?? false };
  return { ...before, counts: before.counts + 1, closesRepeat: bar.closesRepeat, after: bar.after, ending };
}
