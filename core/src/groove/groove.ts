import type { Meter } from '../chart/chart.ts';
import { pulseOf } from '../chart/timeline.ts';
import { type Groove, type GrooveName, PATTERNS, type Pattern } from './groove-table.ts';

/** What is said of a feel that is not meant: "straight, not swung". */
const DENIED = /\b(?:no|not|never|without)\s+(?:a\s+)?\w+/g;

/** The words bands use, the narrower first: a half-time shuffle shuffles, a jazz waltz swings. */
const WORDS: readonly (readonly [RegExp, GrooveName])[] = [
  [/one[- ]?drop|reggae|skank|rock ?steady/, 'one drop'],
  [/bossa|samba|latin/, 'bossa'],
  [/shuffl|boogie/, 'shuffle'],
  [/half[- ]?time/, 'half time'],
  [/gospel|\b(?:6|12)\/8|slow blues|triplet|doo[- ]?wop/, 'gospel'],
  [/swing|swung|jazz|walking/, 'swing'],
  [/waltz/, 'waltz'],
  [/\btrain\b|boom[- ]?chick|two[- ]?step|country/, 'train'],
  [/funk|sixteenth|\b16(?:th)?s?\b|soul|r ?& ?b/, 'funk'],
  [/rock|driv|heavy|punk|hard|\beighths?\b|\b8ths?\b/, 'rock'],
  [/ballad|slow|gentle|tender|picked|finger/, 'ballad'],
  [/straight|even|pop|folk|strum|backbeat/, 'straight'],
];

/** The groove a chart's feel asks for; plain where it says none, or none that is known. */
export function grooveOf(feel: string): GrooveName {
  const said = feel.toLowerCase().replace(DENIED, ' ');
  return WORDS.find(([word]) => word.test(said))?.[1] ?? 'plain';
}

/** Whether a groove has drums: what is plain is played over a click. */
export function hasDrums(name: GrooveName): boolean {
  return name !== 'plain';
}

/** Something in a groove, by its sign. */
export interface Cell {
  readonly row: string;
  /** Written beats after the bar begins, before it swings. */
  readonly at: number;
  readonly sign: string;
}

/** One bar of a groove in a meter. */
export interface GrooveBar {
  readonly beats: number;
  readonly cells: readonly Cell[];
  /** What the drummer plays instead from `fillFrom` on, where a section ends. */
  readonly fill: readonly Cell[];
  readonly fillFrom: number;
}

/**
 * A bar of a groove in any meter: 4/4, 3/4 and 6/8 as the groove has them; 12/8 and 9/8 by their
 * pulses, 5/4 as three and two, 7/4 as four and three, halves as two quarters, uneven eighths in
 * groups of two with a three at the end. `order` counts the bars for grooves that go over two.
 */
export function grooveBar(name: GrooveName, meter: Meter, order: number): GrooveBar {
  if (!hasDrums(name)) return { beats: meter.beats, cells: [], fill: [], fillFrom: meter.beats };
  const groove = PATTERNS[name];
  if (pulseOf(meter) === 3) return pulses(patternOf(groove, 'six', order), meter.beats);
  if (meter.unit === 2) return scaled(quarters(groove, meter.beats * 2, order), 0.5);
  if (meter.unit >= 8 && meter.beats !== 3) return uneven(meter.beats);
  return quarters(groove, meter.beats, order);
}

/** Who plays for a groove that has no pattern of its own in a meter: the plainest one that has. */
const INSTEAD = { four: PATTERNS.straight.four, three: PATTERNS.waltz.three, six: PATTERNS.gospel.six };

/** The pattern of a groove in a meter; one of several in turn. */
function patternOf(groove: Groove, meter: keyof typeof INSTEAD, order: number): Pattern {
  const patterns = (groove[meter] ?? INSTEAD[meter]) as readonly Pattern[];
  return patterns[order % patterns.length] as Pattern;
}

function quarters(groove: Groove, beats: number, order: number): GrooveBar {
  return joined(groupsOf(beats).map((group) => cut(read(patternOf(groove, group === 3 ? 'three' : 'four', order)), group)));
}

/** So many quarters in the groups a band counts them in. */
function groupsOf(beats: number): readonly number[] {
  if (beats <= 4) return [beats];
  if (beats === 5) return [3, 2];
  return [4, ...groupsOf(beats - 4)];
}

/** Dotted beats: the two of 6/8 in turn. */
function pulses(pattern: Pattern, beats: number): GrooveBar {
  const six = read(pattern);
  const halves = [cut(six, 3), behind(six, 3)];
  return joined(Array.from({ length: beats / 3 }, (_, pulse) => halves[pulse % 2] as GrooveBar));
}

/** What of a bar stands behind its first beats. */
function behind({ beats, cells, fill, fillFrom }: GrooveBar, from: number): GrooveBar {
  return {
    beats: beats - from,
    cells: moved(cells, -from).filter(({ at }) => at >= 0),
    fill: moved(fill, -from),
    fillFrom: fillFrom - from,
  };
}

/** Cells so many beats later. */
export function moved(cells: readonly Cell[], by: number): readonly Cell[] {
  return cells.map((cell) => ({ ...cell, at: cell.at + by }));
}

const PAIR = 2;

/** Eighths in twos and a three: the kick on each group but the last, which has the snare. */
function uneven(beats: number): GrooveBar {
  const starts = Array.from({ length: Math.max(1, Math.floor(beats / PAIR)) }, (_, group) => group * PAIR);
  const last = starts.length - 1;
  const cells = [
    ...Array.from({ length: beats }, (_, at): Cell => ({ row: 'hat', at, sign: starts.includes(at) ? 'x' : 'g' })),
    ...starts.map((at, group): Cell => ({ row: group === last && last > 0 ? 'snare' : 'kick', at, sign: 'x' })),
    ...starts.flatMap((at): readonly Cell[] => [
      { row: 'guitar', at, sign: 'D' },
      { row: 'bass', at, sign: 'R' },
    ]),
  ];
  return { beats, cells, fill: [], fillFrom: beats };
}

/** A pattern as the cells of a bar. */
function read({ beats, steps, rows, fill }: Pattern): GrooveBar {
  const cellsIn = (lines: Readonly<Record<string, string | undefined>>) =>
    Object.entries(lines).flatMap(([row, line = '']) =>
      [...line].flatMap((sign, step) => (sign === '.' ? [] : [{ row, at: (step * beats) / steps, sign }])),
    );
  const played = cellsIn(fill);
  return { beats, cells: cellsIn(rows), fill: played, fillFrom: Math.min(beats, ...played.map(({ at }) => at)) };
}

/** The first beats of a bar. */
function cut(bar: GrooveBar, beats: number): GrooveBar {
  if (beats === bar.beats) return bar;
  const cells = bar.cells.filter(({ at }) => at < beats);
  return { beats, cells, fill: [], fillFrom: beats };
}

/** Bars one after the other as one; the last one's fill is its fill. */
function joined(bars: readonly GrooveBar[]): GrooveBar {
  const cells: Cell[] = [];
  let beats = 0;
  let fill: readonly Cell[] = [];
  let fillFrom = 0;
  for (const bar of bars) {
    cells.push(...moved(bar.cells, beats));
    fill = moved(bar.fill, beats);
    fillFrom = bar.fillFrom + beats;
    beats += bar.beats;
  }
  return { beats, cells, fill, fillFrom };
}

function scaled(bar: GrooveBar, by: number): GrooveBar {
  const quick = (cells: readonly Cell[]) => cells.map((cell) => ({ ...cell, at: cell.at * by }));
  return { beats: bar.beats * by, cells: quick(bar.cells), fill: quick(bar.fill), fillFrom: bar.fillFrom * by };
}

/** Up to this tempo the first eighth of a beat is twice as long as the second. */
const TRIPLET_TEMPO = 180;
const STRAIGHTENING = 300;
const TWO_TO_ONE = 2 / 3;
const NEARLY_EVEN = 0.55;

/**
 * Where a place within a bar falls when eighths swing: the second one after two thirds of the beat
 * up to 180 beats a minute, and nearer to the middle the faster it goes, as players do.
 */
export function swung(name: GrooveName, meter: Meter, at: number, tempo: number): number {
  if (!PATTERNS[name].swings || meter.unit !== 4) return at;
  const beat = Math.floor(at);
  const within = at - beat;
  const long = longEighth(tempo);
  return beat + (within <= 0.5 ? within * 2 * long : long + (within - 0.5) * 2 * (1 - long));
}

function longEighth(tempo: number): number {
  const part = Math.min(1, Math.max(0, (tempo - TRIPLET_TEMPO) / (STRAIGHTENING - TRIPLET_TEMPO)));
  return TWO_TO_ONE + (NEARLY_EVEN - TWO_TO_ONE) * part;
}
