import { headValue } from '../chart/head.ts';
import { type ChartReading, keysReadFrom } from '../chart/reading.ts';
import type { Key } from '../key/key.ts';
import { nameKey } from '../naming/naming.ts';
import { countedSections } from './counted-bars.ts';
import { type CellSection, type Projected, type ProjectionLens, projectChart } from './projection.ts';

/** How a part is written for its reader, and what is said at its head and foot. */
export interface PartLook extends ProjectionLens {
  /** Fret of the reader's capo, 0 for none. */
  readonly capo: number;
  /** What is said about the song tonight, for its head; empty for nothing. */
  readonly tonight: string;
  /** Whose part it is, for the foot of the page. */
  readonly foot: string;
}

/** A chart ready to be laid out on paper, in its reader's words. */
export interface ChartPart {
  readonly title: string;
  readonly facts: string;
  readonly sections: readonly CellSection[];
  readonly foot: string;
}

/** A chart as one reader reads it, ready for paper. */
export function chartPart(reading: ChartReading, look: PartLook): ChartPart {
  const projected: Projected = projectChart(reading, look);
  return {
    title: reading.head.title || 'Song without a title',
    facts: factsOf(reading, look),
    sections: look.kind === 'form' ? countedSections(projected.sections) : projected.sections,
    foot: look.foot,
  };
}

function factsOf(reading: ChartReading, look: PartLook): string {
  const { head, chart, stretches } = reading;
  return [
    `${nameKey(keysReadFrom(stretches, look.sounding)[0] as Key, look.naming)}${readsIn(look, keysReadFrom(stretches, look.written)[0] as Key)}`,
    `${head.meter.beats}/${head.meter.unit}`,
    head.tempo === null ? '' : `${head.tempo} bpm`,
    head.feel,
    head.numbering === 'relative' ? 'numbered from the relative major' : '',
    head.by,
    look.tonight,
    head.form === null ? '' : `Form: ${headValue(chart.head, 'form')}`,
  ]
    .filter((fact) => fact !== '')
    .join('  ·  ');
}

/** `, capo 3: G shapes`, `, written in F`: what the reader reads where it is not what sounds. */
function readsIn({ sounding, written, capo, naming }: PartLook, key: Key): string {
  const name = nameKey(key, naming);
  if (capo > 0) return `, capo ${capo}: ${name} shapes`;
  return sounding === written ? '' : `, written in ${name}`;
}
