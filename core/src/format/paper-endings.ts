import type { SheetBar } from './lead-sheet.ts';

/**
 * Endings as a chart has them, from endings as they stand on paper: every bar within one knows its
 * passes, and the repeat closes behind the last ending, while on paper each but the last goes back
 * by itself. Marks on the first and last bar of each ending are enough.
 */
export function withPaperEndings(bars: readonly SheetBar[]): readonly SheetBar[] {
  let open: readonly number[] | null = null;
  const inside = bars.map((bar, index): SheetBar => {
    const { ending, opensRepeat, closesRepeat } = bar.form;
    if (opensRepeat && ending === null) open = null;
    if (ending?.begins) open = ending.passes;
    const passes = open;
    const next = bars[index + 1]?.form;
    const ends = passes !== null && (ending?.ends === true || closesRepeat !== null || next?.ending?.begins === true || next === undefined);
    if (ends) open = null;
    if (passes === null) return { ...bar, form: { ...bar.form, ending: null } };
    return { ...bar, form: { ...bar.form, ending: { passes, begins: ending?.begins ?? false, ends } } };
  });
  return inside.map((bar, index): SheetBar => {
    const { ending } = bar.form;
    if (ending === null || !ending.ends) return bar;
    const next = inside[index + 1]?.form.ending;
    const goesOn = next?.begins === true && !next.passes.includes(1);
    return { ...bar, form: { ...bar.form, closesRepeat: goesOn ? null : Math.max(2, ...ending.passes) } };
  });
}

/**
 * Repeats as a chart has them: one that nobody opened goes back to where the one before closed, as
 * on paper; and as a chart's repeat stays within its section, a name inside one becomes a remark.
 */
export function withChartRepeats(bars: readonly SheetBar[]): readonly SheetBar[] {
  const opens = new Set<number>();
  const inside = new Set<number>();
  let start = 0;
  bars.forEach(({ form }, index) => {
    if (form.opensRepeat) start = index;
    if (form.closesRepeat === null) return;
    opens.add(start);
    for (let at = start + 1; at <= index; at += 1) inside.add(at);
    start = index + 1;
  });
  return bars.map((bar, index): SheetBar => {
    const form = { ...bar.form, opensRepeat: opens.has(index) };
    if (!inside.has(index) || bar.section === null) return { ...bar, form };
    return { ...bar, form, section: null, remarks: [bar.section, ...bar.remarks] };
  });
}
