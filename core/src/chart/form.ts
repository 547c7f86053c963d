import type { ChartFault } from '../fault.ts';
import type { FormStep, Section } from './bars.ts';
import type { FormJump, Place, Problem, Severity } from './chart.ts';
import { MOST_TIMES, printFormMark } from './form-text.ts';

/** An ending: the steps from its `1.[` up to its `]`, and the passes it is played on. */
interface Ending {
  readonly from: number;
  readonly to: number;
  readonly passes: ReadonlySet<number>;
}

/** A repeat: play goes on behind `from`, up to `to`, so often in all. */
export interface Repeat {
  readonly from: number;
  readonly to: number;
  readonly times: number;
  readonly endings: readonly Ending[];
}

/** The chart's form with every mark tied to what it belongs to. Positions count steps. */
export interface Form {
  /** The repeat each step stands in, by step; null outside. */
  readonly repeatAt: readonly (Repeat | null)[];
  readonly endingAt: ReadonlyMap<number, Ending>;
  /** Jumps that have their target. */
  readonly jumps: ReadonlySet<number>;
  readonly segno: number | null;
  readonly coda: number | null;
  readonly problems: readonly Problem[];
}

/** Ties repeats, endings and jumps to what they belong to, and says what belongs to nothing. */
export function resolveForm(steps: readonly FormStep[], sections: readonly Section[]): Form {
  const problems: Problem[] = [];
  const report = (fault: ChartFault, at: Place, severity: Severity = 'error') => problems.push({ fault, severity, at });
  const repeatAt: (Repeat | null)[] = steps.map(() => null);
  const endingAt = new Map<number, Ending>();
  for (const [from, to] of stretchesOf(steps)) {
    for (const range of pairRepeats(steps, from, to, report)) {
      const endings = findEndings(steps, range.from, range.to, report);
      const repeat: Repeat = { from: range.from, to: range.to, endings, times: timesOf(endings, range.times, range.at, report) };
      repeatAt.fill(repeat, Math.max(0, range.from + (range.opened ? 0 : 1)), range.to + 1);
      for (const ending of endings) endingAt.set(ending.from, ending);
    }
    reportStrayEndings(steps, from, to, repeatAt, report);
  }
  const jumps = findJumps(steps, report);
  for (const { times, at } of sections) {
    if (times > MOST_TIMES) report({ code: 'count-range', text: `x${times}`, most: MOST_TIMES }, at);
  }
  return { repeatAt, endingAt, ...jumps, problems };
}

type Report = (fault: ChartFault, at: Place, severity?: Severity) => void;

/** The steps of every section, and of the bars before the first: a repeat stays inside one of them. */
function stretchesOf(steps: readonly FormStep[]): readonly (readonly [from: number, to: number])[] {
  const starts = steps.flatMap((step, index) => (step.kind === 'section' ? [index] : []));
  const all = starts[0] === 0 ? starts : [0, ...starts];
  return all.map((from, index) => [from, all[index + 1] ?? steps.length]);
}

interface RepeatRange {
  readonly from: number;
  readonly to: number;
  readonly times: number | null;
  readonly opened: boolean;
  readonly at: Place;
}

function pairRepeats(steps: readonly FormStep[], from: number, to: number, report: Report): readonly RepeatRange[] {
  const ranges: RepeatRange[] = [];
  let open: OpenMark | null = null;
  for (const { index, mark, at } of marksIn(steps, from, to)) {
    if (mark.kind === 'repeat-open') {
      if (open !== null) report({ code: 'repeat-unclosed' }, open.at);
      open = { index, at };
    }
    if (mark.kind !== 'repeat-close') continue;
    if (open === null) report({ code: 'repeat-unopened' }, at, 'warning');
    // without a |: play goes back to the last repeat's end, or to the start of the section
    const start = open?.index ?? ranges.at(-1)?.to ?? (steps[from]?.kind === 'section' ? from : from - 1);
    ranges.push({ from: start, to: index, times: mark.times, opened: open !== null, at });
    open = null;
  }
  if (open !== null) report({ code: 'repeat-unclosed' }, open.at);
  return ranges;
}

interface OpenMark {
  readonly index: number;
  readonly at: Place;
}

/** The marks among some steps, with their place among all. */
function marksIn(steps: readonly FormStep[], from: number, to: number) {
  return steps.slice(from, to).flatMap((step, offset) => (step.kind === 'mark' ? [{ ...step, index: from + offset }] : []));
}

function findEndings(steps: readonly FormStep[], from: number, to: number, report: Report): readonly Ending[] {
  const endings: Ending[] = [];
  let open: (OpenMark & { readonly passes: readonly number[] }) | null = null;
  const close = (at: number) => {
    if (open !== null) endings.push({ from: open.index, to: at, passes: new Set(open.passes) });
    open = null;
  };
  for (const { index, mark, at } of marksIn(steps, from + 1, to + 1)) {
    const cutShort: boolean = open !== null && (mark.kind === 'ending-open' || mark.kind === 'repeat-close');
    if (open !== null && cutShort) report({ code: 'ending-unclosed', passes: passesText(open) }, (open as OpenMark).at);
    if (cutShort) close(index - 1);
    if (mark.kind === 'ending-close' && open === null) report({ code: 'ending-unopened' }, at);
    if (mark.kind === 'ending-close') close(index);
    if (mark.kind === 'ending-open') open = { index, passes: mark.passes, at };
  }
  return endings;
}

function passesText({ passes }: { readonly passes: readonly number[] }): string {
  return passes.join(', ').slice(0, 24);
}

/** How often a repeat is played: as its endings say, else as its count says, else twice. */
function timesOf(endings: readonly Ending[], counted: number | null, at: Place, report: Report): number {
  const times = counted === null || counted < 1 || counted > MOST_TIMES ? null : counted;
  if (endings.length === 0) return times ?? 2;
  const passes = Math.max(1, ...endings.flatMap((ending) => [...ending.passes]));
  for (let pass = 0; pass <= passes; pass += 1) {
    const having = endings.filter((ending) => ending.passes.has(pass)).length;
    if (having !== (pass === 0 ? 0 : 1)) report({ code: 'ending-passes', pass, endings: having }, at);
  }
  if (times !== null && times !== passes) report({ code: 'ending-count', times, passes }, at);
  return passes;
}

function reportStrayEndings(
  steps: readonly FormStep[],
  from: number,
  to: number,
  repeatAt: readonly (Repeat | null)[],
  report: Report,
): void {
  let open = false;
  for (let index = from; index < to; index += 1) {
    const step = steps[index] as FormStep;
    if (step.kind !== 'mark' || repeatAt[index] !== null) continue;
    if (step.mark.kind === 'ending-open') {
      report({ code: 'ending-outside', passes: passesText(step.mark) }, step.at);
      open = true;
    }
    if (step.mark.kind === 'ending-close') {
      if (!open) report({ code: 'ending-unopened' }, step.at);
      open = false;
    }
  }
}

function findJumps(steps: readonly FormStep[], report: Report): Pick<Form, 'jumps' | 'segno' | 'coda'> {
  const found = { segno: null as number | null, coda: null as number | null, fine: null as number | null, toCoda: null as number | null };
  steps.forEach((step, index) => {
    if (step.kind !== 'mark') return;
    if (step.mark.kind === 'to-coda') found.toCoda ??= index;
    if (step.mark.kind !== 'sign') return;
    const { sign } = step.mark;
    if (found[sign] !== null && sign !== 'fine') report({ code: 'sign-twice', sign }, step.at, 'warning');
    found[sign] ??= index;
  });
  const jumps = new Set<number>();
  steps.forEach((step, index) => {
    if (step.kind !== 'mark' || (step.mark.kind !== 'jump' && step.mark.kind !== 'to-coda')) return;
    const missing = step.mark.kind === 'to-coda' ? (found.coda === null ? 'coda' : null) : missingFor(step.mark, found);
    if (missing === null) jumps.add(index);
    else report({ code: 'jump-target', jump: printFormMark(step.mark), missing }, step.at);
  });
  return { jumps, segno: found.segno, coda: found.coda };
}

type Signs = Readonly<Record<'segno' | 'coda' | 'fine' | 'toCoda', number | null>>;

function missingFor({ to, until }: FormJump, { segno, coda, fine, toCoda }: Signs) {
  if (to === 'segno' && segno === null) return 'segno';
  if (until === 'fine' && fine === null) return 'fine';
  if (until === 'coda' && coda === null) return 'coda';
  return until === 'coda' && toCoda === null ? 'to coda' : null;
}
