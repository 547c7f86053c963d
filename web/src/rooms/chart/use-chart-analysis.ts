import { type Analysis, checkChart, type Naming, type Reader, readingWords, songProfile, walkingScales } from '@aurora/core';
import { useCallback, useMemo } from 'react';
import { gridRows } from '../../parts/analysis/analysis-view.ts';
import { type Layer, layerLines, scaleOf } from '../../parts/analysis/sheet-content.ts';
import { useHeardSong } from '../../parts/analysis/use-heard-song.ts';
import { useLens } from '../../session/lens.ts';
import type { BarSelection } from './sheet/bar-selection.ts';
import { choose } from './sheet/bar-selection.ts';
import type { ChordLayer } from './sheet/chord-layer.ts';

/** Which chord of which bar. */
interface ChordPlace {
  readonly bar: number;
  readonly chord: number;
}

const NO_MELODY = new Map<number, number>();

/** What the analysis says of a chart: the ridge over it, why each chord works, and the layer over the bars. */
export function useChartAnalysis(source: string, layer: Layer) {
  const { naming, reader } = useLens();
  const { analysis } = useHeardSong(source, NO_MELODY);
  const places = useMemo(() => {
    const names = analysis.progression.chords.map(({ bar, place }) => `${bar}.${place}`);
    return new Map(names.map((name, index) => [name, index]));
  }, [analysis]);
  const profile = useMemo(() => songProfile(analysis), [analysis]);
  const scaleAt = useMemo(() => walkingScales(analysis), [analysis]);
  const findings = useMemo(() => checkChart(analysis.progression.chart, analysis), [analysis]);
  const over = useMemo(() => layerOver(analysis, layer, { naming, reader: reader.reader }), [analysis, layer, naming, reader]);
  const whyOf = useCallback(
    ({ bar, chord }: ChordPlace) => {
      const index = places.get(`${bar}.${chord}`);
      return index === undefined ? null : readingWords(analysis, index, naming);
    },
    [analysis, places, naming],
  );
  return {
    profile,
    scaleAt,
    findings,
    layer: over,
    whyOf,
    indexOf: (selection: BarSelection | null) => (selection === null ? null : (places.get(`${selection.head}.${selection.chord}`) ?? null)),
    placeOf: (index: number): BarSelection => {
      const chord = analysis.progression.chords[index];
      return choose(chord?.bar ?? 0, chord?.place ?? 0);
    },
  };
}

/** The layer by `bar.place`; null when nothing of it is wanted. */
function layerOver(
  analysis: Analysis,
  layer: Layer,
  { naming, reader }: { readonly naming: Naming; readonly reader: Reader },
): ReadonlyMap<string, ChordLayer> | null {
  if (!Object.values(layer).some((on) => on)) return null;
  const chords = gridRows(analysis, { naming, reader, beside: null }).flatMap(({ bars }) => bars.flatMap((bar) => bar.chords));
  return new Map(
    chords.map((chord) => {
      const { bar = 0, place = 0 } = analysis.progression.chords[chord.index] ?? {};
      const lines = layerLines(chord, scaleOf(analysis, chord.index, naming), layer);
      return [`${bar}.${place}`, { lines, bracket: layer.brackets ? chord.bracket : null }];
    }),
  );
}
