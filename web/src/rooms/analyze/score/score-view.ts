import {
  type Column,
  columnsAt,
  inversionWords,
  letterView,
  type Naming,
  nameKey,
  nameNote,
  numberView,
  placeOf,
  type Reduction,
  type ReductionDepth,
  romanUnder,
  type SymbolView,
  symbolText,
  TICKS,
} from '@aurora/core';
import type { RidgeNames } from '../../../parts/analysis/analysis-view.ts';

/** A harmony as it stands in its bar. */
export interface ColumnCell {
  readonly index: number;
  /** Where it begins in its bar and how long it lasts there, in beats of the meter. */
  readonly at: number;
  readonly beats: number;
  /** Whether it only goes on from the bar before. */
  readonly goesOn: boolean;
  readonly letter: SymbolView | null;
  readonly number: SymbolView | null;
  readonly roman: string;
  readonly bass: string;
  /** What sounds, when no chord is decided. */
  readonly notes: string;
  readonly isYours: boolean;
  readonly isDoubtful: boolean;
  /** How many notes beside the chord it has. */
  readonly tones: number;
  readonly cadence: Reduction['cadences'][number]['kind'] | null;
  readonly label: string;
}

/** A bar of the reduction. */
export interface ColumnBar {
  readonly number: number;
  readonly beats: number;
  /** The key that begins in it; null within one. */
  readonly newKey: string | null;
  readonly cells: readonly ColumnCell[];
}

/** Less sure than this is shown as a question. */
const DOUBTFUL = 0.6;

/** A reduction bar by bar, at a depth. */
export function columnBars(reduction: Reduction, depth: ReductionDepth, naming: Naming): readonly ColumnBar[] {
  const { score, keys } = reduction;
  const kept = columnsAt(reduction, depth);
  return score.measures.map((measure): ColumnBar => {
    const unit = (TICKS * 4) / measure.meter.unit;
    const cells = kept
      .filter(({ from, to }) => from < measure.to && to > measure.from)
      .map(({ index, from, to }): ColumnCell => {
        const begin = Math.max(from, measure.from);
        const where = { at: (begin - measure.from) / unit, beats: (Math.min(to, measure.to) - begin) / unit, goesOn: from < measure.from };
        return { ...where, ...cellOf(reduction, index, naming) };
      });
    const begins = keys.find(({ from }) => from >= measure.from && from < measure.to);
    return {
      number: measure.number,
      beats: (measure.to - measure.from) / unit,
      newKey: begins === undefined ? null : nameKey(begins.key, naming),
      cells,
    };
  });
}

function cellOf(reduction: Reduction, index: number, naming: Naming): Omit<ColumnCell, 'at' | 'beats' | 'goesOn'> {
  const column = reduction.columns[index] as Column;
  const { chord, analyzed, by, confidence } = column;
  const letter = chord === null ? null : letterView(chord, naming);
  const roman = analyzed === null ? '' : romanUnder(analyzed, 'local', naming);
  const bass = inversionWords(column, naming);
  const notes = column.notes.map(({ note }) => nameNote(note, naming.notes)).join(' ');
  const { bar, beat } = placeOf(reduction.score, column.from);
  return {
    index,
    letter,
    number: analyzed === null ? null : numberView(analyzed.number, naming),
    roman,
    bass: column.inversion === 0 && !column.isPedal ? '' : bass,
    notes,
    isYours: by === 'player',
    isDoubtful: chord !== null && by === 'rules' && confidence < DOUBTFUL,
    tones: reduction.tones.filter((tone) => tone.column === index).length,
    cadence: reduction.cadences.find(({ harmony }) => harmony === index)?.kind ?? null,
    label: `${letter?.label ?? notes}, bar ${bar}, beat ${beat}${bass === '' ? '' : `, ${bass}`}`,
  };
}

/** What the ridge calls each column. */
export function ridgeNamesOf({ columns }: Reduction, naming: Naming): RidgeNames {
  const numbers = columns.map(({ analyzed }) => (analyzed === null ? null : numberView(analyzed.number, naming)));
  return {
    letters: columns.map(({ chord }) => (chord === null ? '?' : symbolText(letterView(chord, naming)))),
    numbers: numbers.map((view) => (view === null ? '?' : view.prefix + view.main + view.sign)),
  };
}
