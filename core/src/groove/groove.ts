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

/** Something in a groove, by its sign. */
export interface Cell<Row extends string = string> {
  readonly row: Row;
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
  const groove = PATTERNS[name];
  if (pulseOf(meter) === 3) return pulses(variant(groove.six ?? fallback(groove, 'six'), order), meter.beats);
  if (meter.unit === 2) return scaled(quarters(groove, meter.beats * 2, order), 0.5);
  if (meter.unit >= 8 && meter.beats !== 3) return uneven(groove, meter.beats);
  return quarters(groove, meter.beats, order);
}

function variant(patterns: readonly Pattern[], order: number): Pattern {
  return patterns[order % patterns.length] as Pattern;
}

/** A groove without a meter of its own plays the plainest one that has it. */
function fallback(groove: Groove, meter: 'four' | 'three' | 'six'): readonly Pattern[] {
  if (groove === PATTERNS.plain) return [PLAIN[meter]];
  const other = meter === 'four' ? PATTERNS.straight : meter === 'three' ? PATTERNS.waltz : PATTERNS.gospel;
  return other[meter] as readonly Pattern[];
}

const PLAIN = {
  four: { beats: 4, steps: 4, rows: {}, fill: {} },
  three: { beats: 3, steps: 3, rows: {}, fill: {} },
  six: { beats: 6, steps: 6, rows: {}, fill: {} },
} as const;

function quarters(groove: Groove, beats: number, order: number): GrooveBar {
  const groups = groupsOf(beats);
  const bars: GrooveBar[] = [];
  for (const group of groups) {
    const patterns = group === 3 ? (groove.three ?? fallback(groove, 'three')) : (groove.four ?? fallback(groove, 'four'));
    bars.push(cut(read(variant(patterns, order)), group));
  }
  return joined(bars);
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
  const halves = [
    cut(six, 3),
    { ...tail(six, 3), fill: six.fill.map((cell) => ({ ...cell, at: cell.at - 3 })), fillFrom: six.fillFrom - 3 },
  ];
  return joined(Array.from({ length: beats / 3 }, (_, pulse) => halves[pulse % 2] as GrooveBar));
}

function tail(bar: GrooveBar, from: number): GrooveBar {
  return {
    ...bar,
    beats: bar.beats - from,
    cells: bar.cells.filter(({ at }) => at >= from).map((cell) => ({ ...cell, at: cell.at - from })),
  };
}

const PAIR = 2;

/** Eighths in twos and a three: the kick on each group but the last, which has the snare. */
function uneven(groove: Groove, beats: number): GrooveBar {
  const starts = Array.from({ length: Math.max(1, Math.floor(beats / PAIR)) }, (_, group) => group * PAIR);
  if (groove === PATTERNS.plain) return { beats, cells: [], fill: [], fillFrom: beats };
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
    const begins = beats;
    cells.push(...bar.cells.map((cell) => ({ ...cell, at: cell.at + begins })));
    fill = bar.fill.map((cell) => ({ ...cell, at: cell.at + begins }));
    fillFrom = bar.fillFrom + begins;
    beats += bar.beats;
  }
  return { beats, cells, fill, fillFrom };
}

function scaled(bar: GrooveBar, by: number): GrooveBar {
  const moved = (cells: readonly Cell[]) => cells.map((cell) => ({ ...cell, at: cell.at * by }));
  return { beats: bar.beats * by, cells: moved(bar.cells), fill: moved(bar.fill), fillFrom: bar.fillFrom * by };
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
