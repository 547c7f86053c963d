import { printBarToken, type WrittenBar } from '../chart/bars.ts';
import type { ChartReading } from '../chart/reading.ts';
import { type BarChange, compareCharts } from '../edit/compare-charts.ts';
import { numberInWords } from '../naming/in-words.ts';
import { DEFAULT_NAMING, type Naming, nameKey } from '../naming/naming.ts';

/** Single bars told one by one; where more changed, only how many. */
const MOST_TOLD = 2;

/**
 * What became of one save until the next, in words, part by part: `key E♭ instead of D`,
 * `Chorus: 4 became 4–, 2 bars added`. Empty when both read the same.
 */
export function changeWords(before: ChartReading, after: ChartReading, naming: Naming = DEFAULT_NAMING): readonly string[] {
  const told = [...headWords(before, after, naming), ...sectionWords(before, after, naming)];
  if (told.length > 0) return told;
  return textOf(before) === textOf(after) ? [] : ['words, cues or the layout changed'];
}

function headWords({ head: was }: ChartReading, { head: is }: ChartReading, naming: Naming): readonly string[] {
  const [key, meter] = [nameKey(is.key, naming), `${is.meter.beats}/${is.meter.unit}`];
  const changed: readonly (readonly [string, string, string])[] = [
    [was.title, is.title, is.title === '' ? 'no title any more' : `called “${is.title}”`],
    [was.by, is.by, is.by === '' ? 'by nobody named' : `by ${is.by}`],
    [nameKey(was.key, naming), key, `key ${key} instead of ${nameKey(was.key, naming)}`],
    [was.numbering, is.numbering, `numbered from ${is.numbering === 'tonic' ? 'its own tonic' : 'the relative major'}`],
    [`${was.meter.beats}/${was.meter.unit}`, meter, `${meter} instead of ${was.meter.beats}/${was.meter.unit}`],
    [`${was.tempo}`, `${is.tempo}`, is.tempo === null ? 'no tempo any more' : `${is.tempo} bpm`],
    [was.feel, is.feel, is.feel === '' ? 'no feel any more' : `feel: ${is.feel}`],
  ];
  return changed.filter(([left, right]) => left !== right).map(([, , words]) => words);
}

/** A section's name, or where the bars without one stand. */
function nameOf(bar: WrittenBar | undefined, { sections }: ChartReading): string {
  const section = bar?.section ?? null;
  return section === null ? '' : (sections[section]?.name ?? '');
}

function sectionWords(before: ChartReading, after: ChartReading, naming: Naming): readonly string[] {
  const parts = new Map<string, BarChange[]>();
  const renamed = new Set<string>();
  for (const change of compareCharts(before, after)) {
    if (change.kind === 'same') {
      const [was, is] = [nameOf(before.bars[change.before], before), nameOf(after.bars[change.after], after)];
      if (was !== is) renamed.add(renamedWords(was, is));
      continue;
    }
    if (isMeterAlone(change, before, after)) continue;
    const name = change.kind === 'removed' ? nameOf(before.bars[change.before], before) : nameOf(after.bars[change.after], after);
    parts.set(name, [...(parts.get(name) ?? []), change]);
  }
  return [...renamed, ...[...parts].map(([name, changes]) => partWords(name, changes, before, after, naming))];
}

function renamedWords(was: string, is: string): string {
  if (is === '') return `${was} is no section any more`;
  return was === '' ? `${is} is a section now` : `${was} is called ${is} now`;
}

/** Whether a bar changed only because the whole song has another meter, which is told once. */
function isMeterAlone(change: BarChange, before: ChartReading, after: ChartReading): boolean {
  if (change.kind !== 'changed') return false;
  const [was, is] = [before.bars[change.before], after.bars[change.after]] as readonly [WrittenBar, WrittenBar];
  const isOfTheHead = ({ meter }: WrittenBar, { head }: ChartReading) => meter.beats === head.meter.beats && meter.unit === head.meter.unit;
  return printBarToken(was) === printBarToken(is) && isOfTheHead(was, before) && isOfTheHead(is, after);
}

function partWords(name: string, changes: readonly BarChange[], before: ChartReading, after: ChartReading, naming: Naming): string {
  const isThere = (reading: ChartReading) => name === '' || reading.sections.some((section) => section.name === name);
  const count = (kind: BarChange['kind']) => changes.filter((change) => change.kind === kind).length;
  if (!isThere(before)) return `${name} is new, ${bars(count('added') + count('changed'))}`;
  if (!isThere(after)) return `${name} deleted, ${bars(count('removed'))}`;
  const changed = changes.flatMap((change) =>
    change.kind === 'changed' ? [[before.bars[change.before], after.bars[change.after]] as const] : [],
  );
  const pieces = [
    ...(changed.length > MOST_TOLD ? [`${bars(changed.length)} changed`] : changed.map(([was, is]) => becameWords(was, is, naming))),
    count('added') === 0 ? '' : `${bars(count('added'))} added`,
    count('removed') === 0 ? '' : `${bars(count('removed'))} deleted`,
  ];
  return `${name === '' ? '' : `${name}: `}${pieces.filter((piece) => piece !== '').join(', ')}`;
}

function becameWords(was: WrittenBar | undefined, is: WrittenBar | undefined, naming: Naming): string {
  const [left, right] = [barInWords(was, naming), barInWords(is, naming)];
  return left === right ? `other marks on ${right}` : `${left} became ${right}`;
}

function barInWords(bar: WrittenBar | undefined, naming: Naming): string {
  return bar?.chords.map(({ chord }) => (chord === null ? 'no chord' : numberInWords(chord, naming))).join(' ') ?? '';
}

/** A bar as it stands, in one line: numbers set as on a chart, with the marks around them. */
export function barAsWritten({ sign, chords }: WrittenBar, naming: Naming = DEFAULT_NAMING): string {
  if (sign !== 'chords') return sign;
  const written = chords.map(({ chord, push, ring, stop, optional }) => {
    const number = chord === null ? 'N.C.' : numberInWords(chord, naming);
    return `${push ? '>' : ''}${ring ? `◇${number}` : number}${stop ? '!' : ''}${optional ? '?' : ''}`;
  });
  return written.join(' ');
}

function bars(count: number): string {
  return count === 1 ? '1 bar' : `${count} bars`;
}

/** Everything that is read, but not where it stands: what is left over when head and bars are alike. */
function textOf({ chart }: ChartReading): string {
  return JSON.stringify(chart, (name, value: unknown) => (name === 'at' ? undefined : value));
}
