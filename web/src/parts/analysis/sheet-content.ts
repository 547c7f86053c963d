import {
  type Analysis,
  type AnalysisSheetContent,
  chordScaleName,
  harmonize,
  homeWords,
  type Key,
  keyWords,
  type Naming,
  nameChord,
  nameNote,
  nameRoman,
  patternWords,
  READING_NAMES,
  regionWords,
  symbolText,
} from '@aurora/core';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { type GridChord, gridRows } from './analysis-view.ts';

/** What is laid over the bars. */
export interface Layer {
  readonly romans: boolean;
  readonly brackets: boolean;
  readonly readings: boolean;
  readonly scales: boolean;
  readonly notes: boolean;
}

export const NO_LAYER: Layer = { romans: false, brackets: false, readings: false, scales: false, notes: false };

export const FULL_LAYER: Layer = { romans: true, brackets: true, readings: true, scales: false, notes: true };

export const LAYER_NAMES: readonly (readonly [keyof Layer, string])[] = [
  ['romans', PARTS_WORDS.romanNumerals],
  ['brackets', PARTS_WORDS.iiVBrackets],
  ['readings', PARTS_WORDS.readings],
  ['scales', PARTS_WORDS.scales],
  ['notes', PARTS_WORDS.yourNotes],
];

/** The lines that a layer puts under a chord, in the order they stand. */
export function layerLines(chord: GridChord, scale: string | null, layer: Layer): readonly string[] {
  return [
    ...(layer.romans ? chord.romans : []),
    ...(layer.readings && chord.reading !== null ? [`${chord.yours ? 'yours: ' : ''}${chord.reading}`] : []),
    ...(layer.scales && scale !== null ? [scale] : []),
    ...(layer.notes && chord.note !== '' ? [`“${chord.note}”`] : []),
  ];
}

/** The first scale of a chord in a few letters. */
export function scaleOf({ chords }: Analysis, index: number, naming: Naming): string | null {
  const scale = chords[index]?.scales[0];
  return scale === undefined ? null : `${nameNote(scale.tonic, naming.notes)} ${chordScaleName(scale.scale)}`;
}

/** The sheet: the chart with its layer, then the keys, the patterns and where borrowed chords come from. */
export function sheetContent(analysis: Analysis, naming: Naming, layer: Layer): AnalysisSheetContent {
  const { regions, keys, patterns, progression, chords } = analysis;
  const rows = gridRows(analysis, { naming, reader: { transpose: 0, capo: 0, tuning: 0 }, beside: null });
  const home = regions[0]?.key;
  return {
    title: progression.chart.head.title || PARTS_WORDS.analysis,
    facts: home === undefined ? '' : factsOf(home, keys[1]?.key, naming),
    rows: rows.map(({ section, bars }) => ({
      section,
      bars: bars.map((bar) => ({
        chords: bar.chords.map((chord) => ({
          number: symbolText({ ...chord.number, raised: '' }),
          raised: chord.number.raised,
          letter: symbolText(chord.letter),
          below: layerLines(chord, scaleOf(analysis, chord.index, naming), layer),
          bracket: layer.brackets ? chord.bracket : null,
        })),
      })),
    })),
    remarks: [
      ...regions.slice(1).map((region, place) => regionWords(region, regions[place]?.key ?? null, chords, naming)),
      ...(layer.readings ? borrowedRemarks(analysis, naming) : []),
      ...(layer.brackets ? [...new Set(patterns.map((pattern) => patternWords(pattern, naming)))].slice(0, MOST_PATTERNS) : []),
    ],
    foot: PARTS_WORDS.auroraRidge,
  };
}

/** The key, and the next best one: it is never hidden. */
function factsOf(home: Key, second: Key | undefined, naming: Naming): string {
  return PARTS_WORDS.inKeyAnd(homeWords(home, naming), second === undefined ? '' : PARTS_WORDS.nextBest(homeWords(second, naming)));
}

const MOST_PATTERNS = 12;

/** Each borrowed chord once, with both keys written out and its place in the other one. */
function borrowedRemarks({ chords, regions }: Analysis, naming: Naming): readonly string[] {
  const remarks = chords.flatMap(({ chord, reading, region }) => {
    const [home, source] = [regions[region]?.key, reading.sources?.[0]];
    if (home === undefined || source === undefined) return [];
    const other: Key = { tonic: home.tonic, scale: source };
    const own = harmonize(other, 'triad').find((one) => one.chord.root === chord.root);
    const place = own === undefined ? '' : PARTS_WORDS.its(nameRoman(own.number, { ...naming, degrees: 'roman' }));
    return [
      PARTS_WORDS.from(
        nameChord(chord, naming),
        READING_NAMES[reading.kind],
        keyWords(other, naming),
        place,
        written(home, naming),
        written(other, naming),
      ),
    ];
  });
  return [...new Set(remarks)];
}

function written(key: Key, naming: Naming): string {
  return `${keyWords(key, naming)}: ${harmonize(key, 'triad')
    .map(({ chord }) => nameChord(chord, naming))
    .join(' ')}`;
}
