import { type Key, keyText, medianOf, parseKey, QUESTION_NAMES, type QuestionKind, simplestKey } from '@aurora/core';
import type { PracticeLog } from '@aurora/wire';

const DAY = 24 * 60 * 60_000;
/** Major tonics by fifths from C, the twelve of the circle. */
const CIRCLE = [0, 1, 2, 3, 4, 5, 6, -5, -4, -3, -2, -1];

/** What can be practised in a key, as columns of the map. */
export const MAP_STAGES = ['recall', 'programme', 'aloud', 'shapes', 'runs', 'chain', 'ear', 'worksheet'] as const;
type MapStage = (typeof MAP_STAGES)[number];

/** A key on the map: how much of each stage was played and how it went, and how long ago. */
export interface KeyRow {
  readonly key: Key;
  readonly stages: readonly { readonly stage: MapStage; readonly passes: number; readonly share: number | null }[];
  readonly passes: number;
  /** Days since it was seen; null for never. */
  readonly days: number | null;
}

/** The twelve keys by the stages: minor keys count with the major key of their tonic's sound. */
export function keyMap({ cells }: PracticeLog, scale: 'major' | 'natural minor', now: number): readonly KeyRow[] {
  return CIRCLE.map((tonic) => {
    const key = simplestKey({ tonic, scale }, { tonic, scale });
    const own = cells.filter((cell) => isSame(cell.key, key));
    const stages = MAP_STAGES.map((stage) => {
      const here = own.filter(({ study }) => study === stage);
      const passes = here.reduce((sum, one) => sum + one.passes, 0);
      return { stage, passes, share: passes === 0 ? null : here.reduce((sum, one) => sum + one.good, 0) / passes };
    });
    const last = Math.max(...own.map(({ lastAt }) => Date.parse(lastAt)));
    return {
      key,
      stages,
      passes: own.reduce((sum, { passes }) => sum + passes, 0),
      days: own.length === 0 ? null : Math.max(0, Math.floor((now - last) / DAY)),
    };
  });
}

function isSame(text: string, key: Key): boolean {
  if (text === keyText(key)) return true;
  const read = parseKey(text);
  return read.ok && read.value.scale === key.scale && (read.value.tonic - key.tonic) % 12 === 0;
}

/** Keys not seen for long, the longest first; those never seen before them. */
export function unseenKeys(rows: readonly KeyRow[], most: number): readonly KeyRow[] {
  return [...rows].sort((a, b) => (b.days ?? Number.POSITIVE_INFINITY) - (a.days ?? Number.POSITIVE_INFINITY)).slice(0, most);
}

/** Seconds to answer, week by week: one line for every kind that was asked often enough, and the median of all. */
export interface RecallLine {
  readonly kind: QuestionKind;
  readonly name: string;
  readonly points: readonly { readonly week: string; readonly seconds: number }[];
  readonly answers: number;
}

const FEWEST_ANSWERS = 8;

export function recallLines({ recall }: PracticeLog, most: number): readonly RecallLine[] {
  const kinds = [...new Set(recall.map(({ what }) => what))];
  return kinds
    .map((what): RecallLine => {
      const own = recall.filter((one) => one.what === what);
      const points = own.flatMap(({ week, medianMs }) => (medianMs === null ? [] : [{ week, seconds: Math.round(medianMs / 100) / 10 }]));
      return {
        kind: what as QuestionKind,
        name: QUESTION_NAMES[what as QuestionKind] ?? what,
        points,
        answers: own.reduce((sum, { answers }) => sum + answers, 0),
      };
    })
    .filter(({ answers, points }) => answers >= FEWEST_ANSWERS && points.length > 0)
    .sort((a, b) => b.answers - a.answers)
    .slice(0, most);
}

/** The median of a week's medians, as one line through all kinds. */
export function medianLine({ recall }: PracticeLog): readonly { readonly week: string; readonly seconds: number }[] {
  const weeks = [...new Set(recall.map(({ week }) => week))].sort();
  return weeks.flatMap((week) => {
    const middle = medianOf(recall.flatMap((one) => (one.week === week && one.medianMs !== null ? [one.medianMs] : [])));
    return middle === null ? [] : [{ week, seconds: Math.round(middle / 100) / 10 }];
  });
}

/** The fastest clean tempo of every item, and where it began. */
export interface TempoRow {
  readonly item: string;
  readonly first: number;
  readonly last: number;
  readonly points: readonly number[];
}

export function tempoRows({ tempos }: PracticeLog, most: number): readonly TempoRow[] {
  const byItem = new Map<string, { day: string; tempo: number }[]>();
  for (const { item, day, tempo } of tempos) byItem.set(item, [...(byItem.get(item) ?? []), { day, tempo }]);
  return [...byItem]
    .map(([item, all]): TempoRow => {
      const points = [...all].sort((a, b) => (a.day < b.day ? -1 : 1)).map(({ tempo }) => tempo);
      return { item, first: points[0] as number, last: points.at(-1) as number, points };
    })
    .filter(({ points }) => points.length > 1)
    .sort((a, b) => b.points.length - a.points.length)
    .slice(0, most);
}
