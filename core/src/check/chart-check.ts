import type { Analysis } from '../analysis/analysis.ts';
import type { ReadingKind } from '../analysis/reading.ts';
import type { Section, WrittenBar } from '../chart/bars.ts';
import type { ChartReading } from '../chart/reading.ts';
import type { NumberChord } from '../degree/degree.ts';

/** Something worth a look before a chart reaches the band. What the text itself gets wrong is a problem, not a finding. */
export type Finding =
  /** A phrase of an odd number of bars: a bar may be missing. */
  | { readonly code: 'odd-phrase'; readonly bar: number; readonly section: string; readonly bars: number }
  /** A chord outside the key that no reading explains: a slip, perhaps. The nearest readings are told. */
  | { readonly code: 'chord-unexplained'; readonly bar: number; readonly number: NumberChord; readonly nearest: readonly ReadingKind[] }
  /** A chord outside the key with its reading: meant, most likely. */
  | { readonly code: 'chord-outside'; readonly bar: number; readonly number: NumberChord; readonly reading: ReadingKind }
  | { readonly code: 'no-ending'; readonly bar: number }
  | { readonly code: 'section-unplayed'; readonly bar: number; readonly section: string }
  | { readonly code: 'section-empty'; readonly section: string; readonly bar: number };

/** What should be looked at in a chart, in the order of its bars. The analysis is the one of the same text. */
export function checkChart(reading: ChartReading, analysis: Analysis): readonly Finding[] {
  if (reading.bars.length === 0) return [];
  const findings = [...oddPhrases(reading), ...outsideChords(analysis), ...unplayed(reading), ...ending(reading)];
  return findings.sort((a, b) => a.bar - b.bar);
}

const SHORTEST_PHRASE = 3;

/** Sections whose bars, heard once through with their first ending, are odd in number. */
function oddPhrases({ bars, sections }: ChartReading): readonly Finding[] {
  return sections.flatMap(({ name, from, count }): readonly Finding[] => {
    const heard = bars
      .slice(from, from + count)
      .filter(({ pickup, form }) => pickup === null && (form.ending === null || form.ending.passes.includes(1)));
    if (heard.length < SHORTEST_PHRASE || heard.length % 2 === 0) return [];
    return [{ code: 'odd-phrase', bar: from, section: name, bars: heard.length }];
  });
}

const AT_HOME: readonly ReadingKind[] = ['diatonic', 'line-cliche', 'pedal', 'blues-dominant'];

/** Every chord outside the key once, where it first stands. */
function outsideChords({ chords, progression }: Analysis): readonly Finding[] {
  const seen = new Set<string>();
  return chords.flatMap(({ reading, number, others }, index): readonly Finding[] => {
    if (AT_HOME.includes(reading.kind)) return [];
    const name = `${number.degree} ${number.formula} ${number.bass} ${reading.kind}`;
    if (seen.has(name)) return [];
    seen.add(name);
    const bar = progression.chords[index]?.bar ?? 0;
    if (reading.kind !== 'unexplained') return [{ code: 'chord-outside', bar, number, reading: reading.kind }];
    return [{ code: 'chord-unexplained', bar, number, nearest: others.map(({ kind }) => kind) }];
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

/** A song ends on its 1, on a chord that rings or stops, or at a Fine. */
function ending({ bars, performance, head }: ChartReading): readonly Finding[] {
  const last = performance.order.at(-1);
  const bar = bars[last ?? -1];
  if (last === undefined || bar === undefined) return [];
  const chord = bar.chords.at(-1);
  const home = head.numbering === 'relative' ? [0, RELATIVE_MINOR] : [0];
  const rests = chord?.chord == null || chord.ring || chord.stop || home.includes(chord.chord.degree);
  return rests || hasFine(bar) ? [] : [{ code: 'no-ending', bar: last }];
}

/** The minor tonic counted from its relative major: the 6. */
const RELATIVE_MINOR = 3;

function hasFine({ form }: WrittenBar): boolean {
  return form.after.includes('fine');
}
