import type { FormStep, Section, WrittenBars } from './bars.ts';
import type { FormJump, Place, Problem } from './chart.ts';
import { type Form, type Repeat, resolveForm } from './form.ts';
import type { Head } from './head.ts';

/** The most bars a performance is written out to. */
const MOST_PERFORMED = 20_000;
/** Beyond these a performance is only said to be long. */
const MOST_COUNTED = 1_000_000;
const MOST_STEPS = 5_000_000;

/** A section as it is played once: bars of the order, one behind the other. */
interface PerformedPart {
  /** Index of the section; null for bars before the first one. */
  readonly section: number | null;
  /** Index into the order. */
  readonly from: number;
  readonly count: number;
}

/** The chart as it is played. */
export interface Performance {
  /** Indices of written bars in playing order, `MOST_PERFORMED` at most. */
  readonly order: readonly number[];
  readonly parts: readonly PerformedPart[];
  /** How many bars are played in all. */
  readonly count: number;
  readonly problems: readonly Problem[];
}

/** Follows the form: the form line when there is one, else sections, repeats, endings and jumps as written. */
export function performBars(written: WrittenBars, head: Head): Performance {
  const { steps, sections, bars } = written;
  const form = resolveForm(steps, sections);
  const player = new Player(written, form, head.form === null);
  const problems = [...form.problems];
  if (head.form === null) player.play(0, steps.length);
  else problems.push(...playForm(player, written, head.form));
  const { order, parts, count } = player.end();
  const at = sections[0]?.at ?? bars[0]?.at;
  if (count > MOST_PERFORMED && at !== undefined)
    problems.push({ fault: { code: 'performance-long', bars: count, most: MOST_PERFORMED }, severity: 'warning', at });
  return { order, parts, count, problems };
}

/** Bars before the first section once, then the sections as the form line names them. */
function playForm(player: Player, { steps, sections }: WrittenBars, { entries, at }: NonNullable<Head['form']>): readonly Problem[] {
  const problems: Problem[] = [];
  const names = sections.map(({ name }) => plainName(name));
  const startOf = (section: number) => steps.findIndex((step) => step.kind === 'section' && step.section === section);
  const starts = sections.map((_, section) => startOf(section));
  const twice = new Set<number>();
  player.play(0, starts[0] ?? steps.length);
  for (const { name, times, start, length } of entries) {
    const place: Place = { ...at, column: at.column + start, length };
    const whole = times === null ? -1 : names.indexOf(plainName(`${name} x${times}`));
    const section = whole >= 0 ? whole : names.indexOf(plainName(name));
    if (section < 0) {
      const fault = { code: 'form-section-missing', name, nearest: nearestName(name, sections) } as const;
      problems.push({ fault, severity: 'error', at: place });
      continue;
    }
    const second = names.indexOf(names[section] as string, section + 1);
    if (second >= 0) twice.add(second);
    player.play(starts[section] as number, starts[section + 1] ?? steps.length, whole >= 0 ? null : times);
  }
  for (const section of twice) {
    const { name, at: place } = sections[section] as Section;
    problems.push({ fault: { code: 'form-section-twice', name }, severity: 'error', at: place });
  }
  const jump = steps.find((step) => step.kind === 'mark' && (step.mark.kind === 'jump' || step.mark.kind === 'to-coda'));
  if (jump?.kind === 'mark') problems.push({ fault: { code: 'form-and-jumps' }, severity: 'warning', at: jump.at });
  return problems;
}

function plainName(name: string): string {
  return name.trim().toLowerCase().replace(/\s+/g, ' ');
}

/** A section whose name begins alike. */
function nearestName(name: string, sections: readonly Section[]): string | null {
  const start = plainName(name).slice(0, 3);
  return sections.find((section) => start !== '' && plainName(section.name).startsWith(start))?.name ?? null;
}

/** What a jump has set going: until where play goes, and whether repeats are kept. */
type Landed = Pick<FormJump, 'until' | 'keepRepeats'>;

/** Walks through the steps. Every jump is taken once and every repeat is counted, so it comes to an end. */
class Player {
  private readonly order: number[] = [];
  private readonly parts: PerformedPart[] = [];
  private count = 0;
  private spent = 0;
  private section: number | null = null;
  private partFrom = 0;
  private readonly sectionOf: readonly (number | null)[];
  private readonly startOf: readonly number[];
  private readonly passOf = new Map<Repeat | number, number>();
  private readonly taken = new Set<number>();
  private readonly pickupsPlayed = new Set<number>();
  private landed: Landed | null = null;
  /** Times of the section being played, where a form line says them. */
  private said: number | null = null;
  private readonly written: WrittenBars;
  private readonly form: Form;
  private readonly jumps: boolean;

  constructor(written: WrittenBars, form: Form, jumps: boolean) {
    this.written = written;
    this.form = form;
    this.jumps = jumps;
    let section: number | null = null;
    this.sectionOf = written.steps.map((step) => {
      if (step.kind === 'section') section = step.section;
      return section;
    });
    this.startOf = written.steps.flatMap((step, index) => (step.kind === 'section' ? [index] : []));
  }

  /** Plays the steps from one up to another, a section so often as is said. */
  play(from: number, to: number, times: number | null = null): void {
    this.said = times;
    this.passOf.clear();
    this.beginPart(null);
    for (let at = from; at >= 0 && at < to && !this.isSpent(); ) at = this.step(at);
    this.said = null;
  }

  end(): Pick<Performance, 'order' | 'parts' | 'count'> {
    this.beginPart(null);
    return { order: this.order, parts: this.parts, count: this.count };
  }

  private isSpent(): boolean {
    this.spent += 1;
    return this.count >= MOST_COUNTED || this.spent >= MOST_STEPS;
  }

  /** Takes one step; what comes back is the next one, -1 at the Fine. */
  private step(at: number): number {
    const step = this.written.steps[at] as FormStep;
    switch (step.kind) {
      case 'bar':
        this.playBar(step.bar);
        return at + 1;
      case 'section':
        this.beginPart(step.section);
        return at + 1;
      case 'section-end':
        return this.again(step.section, this.timesOf(step.section)) ? (this.startOf[step.section] as number) : at + 1;
      case 'mark':
        return this.follow(at, step.mark.kind === 'sign' ? step.mark.sign : step.mark.kind);
    }
  }

  private follow(at: number, mark: string): number {
    const repeat = this.form.repeatAt[at] ?? null;
    switch (mark) {
      case 'repeat-close':
        return repeat !== null && repeat.to === at && this.again(repeat, repeat.times) ? repeat.from + 1 : at + 1;
      case 'ending-open': {
        const ending = this.form.endingAt.get(at);
        return ending === undefined || repeat === null || this.isPlayed(repeat, at) ? at + 1 : ending.to + 1;
      }
      case 'fine':
        return this.jumps && this.heeds('fine') && this.isLastPass(at) ? -1 : at + 1;
      case 'to-coda':
        return this.heeds('coda') && this.take(at) ? this.land(this.form.coda as number) : at + 1;
      case 'jump':
        return this.jump(at);
      default:
        return at + 1;
    }
  }

  /** Of several endings for one pass the first is played. */
  private isPlayed(repeat: Repeat, at: number): boolean {
    const pass = this.isSingle() ? repeat.times : (this.passOf.get(repeat) ?? 1);
    return repeat.endings.find(({ passes }) => passes.has(pass))?.from === at;
  }

  private jump(at: number): number {
    const step = this.written.steps[at];
    if (step?.kind !== 'mark' || step.mark.kind !== 'jump' || !this.take(at)) return at + 1;
    this.landed = step.mark;
    this.passOf.clear();
    return this.land(step.mark.to === 'start' ? 0 : (this.form.segno as number));
  }

  /** Goes on at a step, in the section that it belongs to. */
  private land(target: number): number {
    this.beginPart(this.sectionOf[target] ?? null);
    return target;
  }

  /** Whether a jump is taken now: once, on the last pass of what it stands in. */
  private take(at: number): boolean {
    if (!this.jumps || !this.form.jumps.has(at) || this.taken.has(at) || !this.isLastPass(at)) return false;
    this.taken.add(at);
    return true;
  }

  private isLastPass(at: number): boolean {
    if (this.isSingle()) return true;
    const repeat = this.form.repeatAt[at] ?? null;
    const section = this.sectionOf[at] ?? null;
    const through = repeat === null || (this.passOf.get(repeat) ?? 1) >= repeat.times;
    return through && (section === null || (this.passOf.get(section) ?? 1) >= this.timesOf(section));
  }

  private heeds(sign: 'coda' | 'fine'): boolean {
    return this.landed !== null && (this.landed.until === sign || this.landed.until === 'either');
  }

  /** After a jump repeats and counts are played once. */
  private isSingle(): boolean {
    return this.landed !== null && !this.landed.keepRepeats;
  }

  /** Counts a pass through a repeat or a section; whether another one follows. */
  private again(what: Repeat | number, times: number): boolean {
    const pass = this.passOf.get(what) ?? 1;
    const more = !this.isSingle() && pass < times;
    if (more) this.passOf.set(what, pass + 1);
    else this.passOf.delete(what);
    return more;
  }

  private timesOf(section: number): number {
    return this.said ?? (this.written.sections[section] as Section).times;
  }

  private beginPart(section: number | null): void {
    if (this.order.length > this.partFrom) {
      this.parts.push({ section: this.section, from: this.partFrom, count: this.order.length - this.partFrom });
      this.partFrom = this.order.length;
    }
    this.section = section;
  }

  private playBar(bar: number): void {
    if ((this.written.bars[bar]?.pickup ?? null) !== null) {
      if (this.pickupsPlayed.has(bar)) return;
      this.pickupsPlayed.add(bar);
    }
    this.count += 1;
    if (this.order.length < MOST_PERFORMED) this.order.push(bar);
  }
}
