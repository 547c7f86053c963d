import { linesOf } from '../chart/text-lines.ts';
import { type OpenChart, openChart } from './bar-edits.ts';
import { mergeOrder } from './merge-order.ts';
import { leadText, sectionText } from './section-edits.ts';

/** What is kept where two people changed the same part of a chart. */
export type Side = 'mine' | 'theirs' | 'both';

/** A part of a chart that two people made something different of. */
export interface ChartClash {
  /** What it is told apart by, for choosing. */
  readonly id: string;
  /** The section's name; empty for what stands before the first section. */
  readonly name: string;
  readonly isHead: boolean;
  /** What each made of it; null where it was taken away. */
  readonly mine: string | null;
  readonly theirs: string | null;
}

/** One text of two, and what could not be decided without asking. */
export interface MergedCharts {
  /** What is in dispute stands in it as I have it. */
  readonly text: string;
  readonly clashes: readonly ChartClash[];
}

/** A part of a chart with a name that stays the same in all three texts. */
interface Piece {
  readonly id: string;
  readonly name: string;
  readonly text: string;
}

const HEAD = 'head';
const LEAD = 'lead';

/**
 * Puts together what two people made of one chart. What only one of them changed is taken as that
 * one has it: head lines one by one, sections whole. A section both changed is asked about, and
 * stays as I have it until `choices` say otherwise, by the clash's id.
 */
export function mergeCharts(base: string, mine: string, theirs: string, choices: Readonly<Record<string, Side>> = {}): MergedCharts {
  if (base === theirs || mine === theirs) return { text: mine, clashes: [] };
  if (base === mine) return { text: theirs, clashes: [] };
  const before = piecesOf(base);
  const [a, b] = [named(piecesOf(mine), before), named(piecesOf(theirs), before)];
  const pieces = { before, mine: a, theirs: b };
  const clashes: ChartClash[] = [];
  const texts = new Map<string, readonly string[]>();
  for (const id of new Set([...before, ...a, ...b].map((piece) => piece.id))) {
    const part = decidePart(id, pieces);
    if ('clash' in part) clashes.push(part.clash);
    const kept = 'clash' in part ? keptOf(choices[id] ?? 'mine', part.clash) : [part.text];
    texts.set(
      id,
      kept.filter((text) => text !== null),
    );
  }
  const order = orderOf(idsOf(before), idsOf(a), idsOf(b), new Set(clashes.map(({ id }) => id)));
  const blocks = order.flatMap((id) => texts.get(id) ?? []).filter((text) => text !== '');
  return { text: `${blocks.join('\n\n')}\n`, clashes };
}

interface ThreeOf {
  readonly before: readonly Piece[];
  readonly mine: readonly Piece[];
  readonly theirs: readonly Piece[];
}

/** What becomes of one part: its text, or the clash over it. */
function decidePart(id: string, { before, mine, theirs }: ThreeOf): { readonly text: Text } | { readonly clash: ChartClash } {
  const [was, left, right] = [textOf(before, id), textOf(mine, id), textOf(theirs, id)];
  const decided = id === HEAD ? mergeHead(was ?? '', left ?? '', right ?? '') : decide(was, left, right);
  if (decided !== undefined) return { text: decided };
  const name = [...mine, ...theirs, ...before].find((piece) => piece.id === id)?.name ?? '';
  return { clash: { id, name, isHead: id === HEAD, mine: left, theirs: right } };
}

function textOf(pieces: readonly Piece[], id: string): Text {
  return pieces.find((piece) => piece.id === id)?.text ?? null;
}

function idsOf(pieces: readonly Piece[]): readonly string[] {
  return pieces.map(({ id }) => id);
}

/** A section somebody took away and somebody else changed is asked about, so it has to have a place. */
function orderOf(
  base: readonly string[],
  mine: readonly string[],
  theirs: readonly string[],
  disputed: ReadonlySet<string>,
): readonly string[] {
  return mergeOrder(base, withDisputed(mine, base, disputed), withDisputed(theirs, base, disputed));
}

type Text = string | null;

/** What becomes of a part that at most one of two changed; undefined when both did. */
function decide(was: Text, mine: Text, theirs: Text): Text | undefined {
  if (mine === theirs || theirs === was) return mine;
  return mine === was ? theirs : undefined;
}

function keptOf(side: Side, { name, mine, theirs }: ChartClash): readonly Text[] {
  return { mine: [mine], theirs: [theirs], both: [mine, theirs?.replace(`[${name}]`, `[${name}, theirs]`) ?? null] }[side];
}

function withDisputed(ids: readonly string[], before: readonly string[], disputed: ReadonlySet<string>): readonly string[] {
  const missing = before.filter((id) => disputed.has(id) && !ids.includes(id));
  return missing.length === 0 ? ids : mergeOrder(ids, ids, [...before.filter((id) => ids.includes(id) || missing.includes(id))]);
}

/** Head lines one by one; undefined when both changed the same line. */
function mergeHead(was: string, mine: string, theirs: string): string | undefined {
  const whole = decide(was, mine, theirs);
  if (whole !== undefined) return whole ?? '';
  const [before, a, b] = [headLines(was), headLines(mine), headLines(theirs)];
  const merged: string[] = [];
  for (const name of mergeOrder([...before.keys()], [...a.keys()], [...b.keys()])) {
    const line = decide(before.get(name) ?? null, a.get(name) ?? null, b.get(name) ?? null);
    if (line === undefined) return undefined;
    if (line !== null) merged.push(line);
  }
  return merged.join('\n');
}

function headLines(text: string): ReadonlyMap<string, string> {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  return new Map(lines.map((line) => [line.startsWith('//') ? line : (/^[^:]*/.exec(line)?.[0].trim().toLowerCase() ?? line), line]));
}

function piecesOf(source: string): readonly Piece[] {
  const chart = openChart(source);
  const { head, lead } = headAndLead(chart);
  const count = new Map<string, number>();
  return [
    { id: HEAD, name: '', text: head },
    { id: LEAD, name: '', text: lead },
    ...chart.reading.sections.map(({ name }, index) => {
      const nth = count.get(name) ?? 0;
      count.set(name, nth + 1);
      return { id: `[${name}]${nth}`, name, text: sectionText(chart, index) };
    }),
  ];
}

function headAndLead(chart: OpenChart): { readonly head: string; readonly lead: string } {
  const before = linesOf(leadText(chart));
  const last = chart.reading.chart.head.at(-1)?.at.line ?? 0;
  // blank lines before the head were left out of the lead
  const skipped = Math.max(
    0,
    linesOf(chart.source).findIndex((line) => line.trim() !== ''),
  );
  const cut = Math.max(0, last - skipped);
  return { head: before.slice(0, cut).join('\n').trim(), lead: before.slice(cut).join('\n').trim() };
}

/** Gives sections that were only renamed the name they had before. */
function named(pieces: readonly Piece[], before: readonly Piece[]): readonly Piece[] {
  const gone = before.filter(({ id }) => pieces.every((piece) => piece.id !== id));
  return pieces.map((piece) => {
    if (before.some(({ id }) => id === piece.id)) return piece;
    const was = gone.find((one) => bodyOf(one.text) === bodyOf(piece.text) && bodyOf(piece.text) !== '');
    return was === undefined ? piece : { ...piece, id: was.id };
  });
}

function bodyOf(section: string): string {
  return section.slice(section.indexOf('\n') + 1).trim();
}
