import { type Analysis, type Naming, type Reader, readingWords } from '@aurora/core';
import { useCallback, useMemo } from 'react';
import { gridRows } from '../analyze/analysis-view.ts';
import { type Layer, layerLines, scaleOf } from '../analyze/sheet-content.ts';
import { useHeardSong } from '../analyze/use-heard-song.ts';
import { useLens } from '../lens/lens-store.ts';
import type { ChordLayer, ChordPlace } from './ChartSheet.tsx';

const NO_MELODY = new Map<number, number>();

/** What the analysis says of a chart: the ridge over it, why each chord works, and the layer over the bars. */
export function useChartAnalysis(source: string, layer: Layer) {
  const { naming, reader } = useLens();
  const { analysis } = useHeardSong(source, NO_MELODY, false);
  const places = useMemo(() => {
    const names = analysis.progression.chords.map(({ bar, place }) => `${bar}.${place}`);
    return new Map(names.map((name, index) => [name, index]));
  }, [analysis]);
  const heights = useMemo(() => analysis.ridge.map(({ ground, height }) => ground + height), [analysis]);
  const over = useMemo(() => layerOver(analysis, layer, { naming, reader: reader.reader }), [analysis, layer, naming, reader]);
  const whyOf = useCallback(
    ({ bar, chord }: ChordPlace) => {
      const index = places.get(`${bar}.${chord}`);
      return index === undefined ? null : readingWords(analysis, index, naming);
    },
    [analysis, places, naming],
  );
  return {
    heights,
    layer: over,
    whyOf,
    indexOf: (place: ChordPlace | null) => (place === null ? null : (places.get(`${place.bar}.${place.chord}`) ?? null)),
    placeOf: (index: number): ChordPlace => {
      const chord = analysis.progression.chords[index];
      return { bar: chord?.bar ?? 0, chord: chord?.place ?? 0 };
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
