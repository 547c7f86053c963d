import type { Analysis } from '../analysis/analysis.ts';
import type { ReadingKind } from '../analysis/reading.ts';
import type { Section } from '../chart/bars.ts';
import type { ChartReading } from '../chart/reading.ts';
import type { NumberChord } from '../degree/degree.ts';

/** Something a player must look at before a chart reaches the band. What the text itself gets wrong is a problem, not a finding. */
export type Finding =
  /** A chord outside the key that no reading explains: a slip, perhaps. The nearest readings are told. */
  | { readonly code: 'chord-unexplained'; readonly bar: number; readonly number: NumberChord; readonly nearest: readonly ReadingKind[] }
  | { readonly code: 'section-unplayed'; readonly bar: number; readonly section: string }
  | { readonly code: 'section-empty'; readonly section: string; readonly bar: number };

/**
 * What must be looked at in a chart, in the order of its bars. The analysis is the one of the same text. A chord with a
 * common reading is none of it, however far it is from home.
 */
export function checkChart(reading: ChartReading, analysis: Analysis): readonly Finding[] {
  if (reading.bars.length === 0) return [];
  return [...unexplained(analysis), ...unplayed(reading)].sort((a, b) => a.bar - b.bar);
}

/** Every chord that nothing explains once, where it first stands. */
function unexplained({ chords, progression }: Analysis): readonly Finding[] {
  const seen = new Set<string>();
  return chords.flatMap(({ reading, number, others }, index): readonly Finding[] => {
    const name = `${number.degree} ${number.formula} ${number.bass}`;
    if (reading.kind !== 'unexplained' || seen.has(name)) return [];
    seen.add(name);
    return [{ code: 'chord-unexplained', bar: progression.chords[index]?.bar ?? 0, number, nearest: others.map(({ kind }) => kind) }];
  });
}

function unplayed({ sections, performance, bars }: ChartReading): readonly Finding[] {
  const played = new Set(performance.parts.map(({ section }) => section));
  return sections.flatMap((section: Section, index): readonly Finding[] => {
    const bar = Math.min(section.from, bars.length - 1);
    if (section.count === 0) return [{ code: 'section-empty', section: section.name, bar }];
    return played.has(index) ? [] : [{ code: 'section-unplayed', section: section.name, bar }];
  });
}
