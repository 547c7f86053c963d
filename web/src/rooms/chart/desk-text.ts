import { CHART_WORDS } from '../../wording/chart.ts';

const USUAL_NAMES = [CHART_WORDS.intro, CHART_WORDS.verse, CHART_WORDS.chorus, CHART_WORDS.bridge, CHART_WORDS.outro];

/** A name for a new section that no other has. */
export function freeSectionName(names: readonly string[]): string {
  const taken = new Set(names.map((name) => name.toLowerCase()));
  const usual = USUAL_NAMES.find((name) => !taken.has(name.toLowerCase()));
  if (usual !== undefined) return usual;
  let count = names.length + 1;
  while (taken.has(CHART_WORDS.section(count))) count += 1;
  return CHART_WORDS.sectionNumbered(count);
}

/** A bar kept inside the chart. */
export function within(bar: number, bars: number): number {
  return Math.max(0, Math.min(bars - 1, bar));
}
