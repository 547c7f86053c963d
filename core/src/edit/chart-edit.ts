import type { Change } from '../chart/chart.ts';
import type { Numbering } from '../chart/head.ts';
import { type Result, success } from '../fault.ts';
import type { Key } from '../key/key.ts';
import type { Cell } from './bar-draft.ts';
import {
  type BarRange,
  deleteBars,
  duplicateBars,
  insertCells,
  joinBars,
  markEnding,
  moveBars,
  type OpenChart,
  type SlotMark,
  splitBar,
  type TypedBar,
  toggleMark,
  toggleRepeat,
  writeBar,
} from './bar-edits.ts';
import { deepenBars, type FormerChords } from './deepen.ts';
import { withHeadLine } from './head-edit.ts';
import { type BarSign, type ChangeKind, changeFrom, toggleSign } from './mark-edits.ts';
import { putPasted } from './pasted-text.ts';
import { applyQuickFix, type QuickFix } from './quick-fix.ts';
import { type KeptInRekeying, rekey } from './rekey.ts';
import {
  beginSection,
  deleteSection,
  duplicateSection,
  type Heading,
  insertSection,
  moveSection,
  nameSection,
  renumber,
  replaceSection,
} from './section-edits.ts';
import { changeBetween, changeOf, type TextChange } from './text-change.ts';

/**
 * Something that is done to a chart, as a value: it can be stored, sent and done again. Bars and
 * sections are named by their places in the chart it is done to.
 */
export type ChartEdit =
  | ({ readonly kind: 'write-bar' } & TypedBar)
  | { readonly kind: 'delete-bars' | 'duplicate-bars' | 'join-bars'; readonly range: BarRange }
  | { readonly kind: 'move-bars'; readonly range: BarRange; readonly before: number }
  | { readonly kind: 'split-bar'; readonly bar: number }
  | { readonly kind: 'put-bars'; readonly before: number; readonly cells: readonly Cell[] }
  | { readonly kind: 'toggle-repeat'; readonly range: BarRange }
  | { readonly kind: 'mark-ending'; readonly range: BarRange; readonly passes: readonly number[] }
  | { readonly kind: 'toggle-mark'; readonly range: BarRange; readonly mark: SlotMark; readonly place: number | null }
  | { readonly kind: 'toggle-sign'; readonly bar: number; readonly sign: BarSign }
  | { readonly kind: 'change-from'; readonly bar: number; readonly what: ChangeKind; readonly change: Change | null }
  | { readonly kind: 'deepen'; readonly range: BarRange; readonly depth: 'triad' | 'seventh'; readonly former: FormerChords }
  | { readonly kind: 'begin-section'; readonly bar: number; readonly name: string }
  | { readonly kind: 'name-section'; readonly section: number; readonly heading: Heading }
  | { readonly kind: 'move-section'; readonly section: number; readonly before: number }
  | { readonly kind: 'duplicate-section' | 'delete-section'; readonly section: number }
  | { readonly kind: 'put-section'; readonly before: number; readonly text: string }
  | { readonly kind: 'replace-section'; readonly section: number; readonly text: string }
  | { readonly kind: 'head-line'; readonly name: string; readonly value: string }
  | { readonly kind: 'rekey'; readonly key: Key; readonly keeps: KeptInRekeying }
  | { readonly kind: 'renumber'; readonly to: Numbering }
  | { readonly kind: 'paste'; readonly behind: number | null; readonly text: string }
  | { readonly kind: 'fix'; readonly fix: QuickFix }
  /** Characters of the text itself, as when it is typed. */
  | { readonly kind: 'text'; readonly from: number; readonly to: number; readonly insert: string };

/**
 * The edit as a change of the chart's text; null where it changes nothing. Only a bar as typed can be
 * refused: its fault comes back with its place in what was typed.
 */
export function compileEdit(chart: OpenChart, edit: ChartEdit): Result<TextChange | null> {
  if (edit.kind === 'text') return success(spanChange(chart.source, edit));
  const text = editedText(chart, edit);
  return text.ok ? success(changeBetween(chart.source, text.value)) : text;
}

function spanChange(source: string, { from, to, insert }: { readonly from: number; readonly to: number; readonly insert: string }) {
  const start = Math.min(Math.max(0, from), source.length);
  const end = Math.min(Math.max(start, to), source.length);
  return source.slice(start, end) === insert ? null : changeOf([{ from: start, to: end, insert }], source.length);
}

/** The chart's text after an edit. */
function editedText(chart: OpenChart, edit: Exclude<ChartEdit, { readonly kind: 'text' }>): Result<string> {
  return edit.kind === 'write-bar' ? writeBar(chart, edit) : success(done(chart, edit));
}

function done(chart: OpenChart, edit: Exclude<ChartEdit, { readonly kind: 'text' | 'write-bar' }>): string {
  switch (edit.kind) {
    case 'delete-bars':
      return deleteBars(chart, edit.range);
    case 'duplicate-bars':
      return duplicateBars(chart, edit.range);
    case 'join-bars':
      return joinBars(chart, edit.range);
    case 'move-bars':
      return moveBars(chart, edit.range, edit.before);
    case 'split-bar':
      return splitBar(chart, edit.bar);
    case 'put-bars':
      return insertCells(chart, edit.before, edit.cells);
    case 'toggle-repeat':
      return toggleRepeat(chart, edit.range);
    case 'mark-ending':
      return markEnding(chart, edit.range, edit.passes);
    case 'toggle-mark':
      return toggleMark(chart, edit.range, edit.mark, edit.place);
    case 'toggle-sign':
      return toggleSign(chart, edit.bar, edit.sign);
    case 'change-from':
      return changeFrom(chart, edit.bar, edit.what, edit.change);
    case 'deepen':
      return deepenBars(chart, edit.range, edit.depth, edit.former).text;
    case 'paste':
      return putPasted(chart, edit.behind, edit.text);
    case 'fix':
      return applyQuickFix(chart.source, edit.fix);
    default:
      return doneWhole(chart, edit);
  }
}

type WholeEdit = Extract<
  ChartEdit,
  {
    readonly kind:
      | 'begin-section'
      | 'name-section'
      | 'move-section'
      | 'duplicate-section'
      | 'delete-section'
      | 'put-section'
      | 'replace-section'
      | 'head-line'
      | 'rekey'
      | 'renumber';
  }
>;

/** Edits of sections, and of the chart as a whole. */
function doneWhole(chart: OpenChart, edit: WholeEdit): string {
  switch (edit.kind) {
    case 'begin-section':
      return beginSection(chart, edit.bar, edit.name);
    case 'name-section':
      return nameSection(chart, edit.section, edit.heading);
    case 'move-section':
      return moveSection(chart, edit.section, edit.before);
    case 'duplicate-section':
      return duplicateSection(chart, edit.section);
    case 'delete-section':
      return deleteSection(chart, edit.section);
    case 'put-section':
      return insertSection(chart, edit.before, edit.text);
    case 'replace-section':
      return replaceSection(chart, edit.section, edit.text);
    case 'head-line':
      return withHeadLine(chart.source, chart.reading, edit.name, edit.value);
    case 'rekey':
      return rekey(chart, edit.key, edit.keeps);
    case 'renumber':
      return renumber(chart, edit.to);
  }
}
