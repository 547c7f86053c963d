import type { Run, Slur, Stroke } from '../run/run.ts';
import type { Fingering, Voicing } from '../voicing/voicing.ts';
import { type Drawing, line, moved, type Shape, text } from './drawing.ts';

/** Something that sounds at one moment: a note of a run or a whole shape. */
export interface TabEvent {
  readonly beats: number;
  /** What stands over it, such as a chord's name; empty for nothing. */
  readonly label: string;
  readonly marks: readonly TabMark[];
  /** A diagram over it, which then also has its name; null for none. */
  readonly diagram: Drawing | null;
  readonly stroke: Stroke | null;
  readonly slur: Slur | null;
  readonly shift: boolean;
}

interface TabMark {
  /** 1 is the thinnest string. */
  readonly string: number;
  /** Counted from the nut. */
  readonly fret: number;
  readonly finger: string;
  readonly midi: number;
  readonly note: number;
}

/** The notes of a run; each chord's name stands over its first note. */
export function runEvents(run: Run, nameOf: (chord: number) => string): readonly TabEvent[] {
  return run.notes.map((note, index) => ({
    beats: note.beats,
    label: note.chord >= 0 && run.notes[index - 1]?.chord !== note.chord ? nameOf(note.chord) : '',
    marks: [{ string: note.string, fret: note.fret, finger: String(note.finger), midi: note.midi, note: note.note }],
    diagram: null,
    stroke: note.stroke,
    slur: note.slur,
    shift: note.shift,
  }));
}

/** A shape with its name, and its diagram where one is wanted. */
export interface NamedShape {
  readonly voicing: Voicing;
  readonly fingering: Fingering;
  readonly name: string;
  readonly diagram: Drawing | null;
}

/** Shapes one after another, each held for so many beats. */
export function shapeEvents(shapes: readonly NamedShape[], beats: number): readonly TabEvent[] {
  return shapes.map(({ voicing, fingering, name, diagram }) => ({
    beats,
    label: diagram === null ? name : '',
    diagram,
    marks: voicing.tones.map(({ string, fret, midi, note }) => ({
      string,
      fret,
      finger: String(fingering.fingers[voicing.frets.length - string] ?? ''),
      midi,
      note,
    })),
    stroke: null,
    slur: null,
    shift: false,
  }));
}

/** An event and where it stands on its line. */
interface PlacedEvent {
  readonly event: TabEvent;
  readonly x: number;
  /** Beats from the start of its bar. */
  readonly at: number;
}

/** One line of music: events, and where its bar lines are. */
export interface TabSystem {
  readonly events: readonly PlacedEvent[];
  readonly barLines: readonly number[];
  readonly bars: number;
  /** Whether the music ends here. */
  readonly last: boolean;
}

const LEAD = 46;
const BAR_PAD = 14;
const FEWEST_BAR = 80;
const EVENT_WIDTH = 24;

/** Breaks the events into lines of whole bars no wider than `width`, spread evenly; the last line keeps its natural width. */
export function layOutTab(events: readonly TabEvent[], beatsPerBar: number, width: number): readonly TabSystem[] {
  const bars = barsOf(events, beatsPerBar);
  const systems: TabSystem[] = [];
  let row: (readonly Omit<PlacedEvent, 'x'>[])[] = [];
  let used = LEAD;
  const close = (last: boolean) => {
    if (row.length > 0) systems.push({ ...spread(row, used, last ? Math.min(width, Math.max(used, LAST_SHARE * width)) : width), last });
    row = [];
    used = LEAD;
  };
  for (const bar of bars) {
    const natural = naturalWidth(bar);
    if (used + natural > width) close(false);
    row.push(bar);
    used += natural;
  }
  close(true);
  return systems;
}

const LAST_SHARE = 0.6;

function naturalWidth(bar: readonly Pick<PlacedEvent, 'event'>[]): number {
  const events = bar.reduce((sum, { event }) => sum + eventWidth(event), 0);
  const names = bar.reduce((sum, { event }) => sum + nameWidth(event), 0);
  return Math.max(FEWEST_BAR, BAR_PAD * 2 + Math.max(events, names));
}

/** Names of shapes need room of their own; one over a run stands over the notes that follow. */
function eventWidth(event: TabEvent): number {
  return Math.max(EVENT_WIDTH, event.marks.length > 1 ? nameWidth(event) : 0, event.diagram?.width ?? 0);
}

function nameWidth({ label }: TabEvent): number {
  return LETTER_WIDTH * label.length;
}

const LETTER_WIDTH = 8;

/** Bars of at most so many beats; a bar is closed as soon as it is full. */
function barsOf(events: readonly TabEvent[], beatsPerBar: number): readonly (readonly Omit<PlacedEvent, 'x'>[])[] {
  const bars: Omit<PlacedEvent, 'x'>[][] = [];
  let at = beatsPerBar;
  for (const event of events) {
    if (at >= beatsPerBar - EPSILON) {
      bars.push([]);
      at = 0;
    }
    bars.at(-1)?.push({ event, at });
    at += event.beats;
  }
  return bars;
}

/** Thirds of a beat do not add up exactly. */
const EPSILON = 1e-6;

function spread(row: readonly (readonly Omit<PlacedEvent, 'x'>[])[], used: number, width: number): Omit<TabSystem, 'last'> {
  const stretch = (width - LEAD) / (used - LEAD);
  const barLines = [0];
  const events: PlacedEvent[] = [];
  let x = LEAD;
  for (const bar of row) {
    const room = naturalWidth(bar) * stretch;
    const inner = room - 2 * BAR_PAD;
    bar.forEach((event, index) => {
      events.push({ ...event, x: x + BAR_PAD + (inner * (index + 0.5)) / bar.length });
    });
    x += room;
    barLines.push(x);
  }
  return { events, barLines, bars: row.length };
}

/** Measures of a drawn line of tab, in points. */
const TAB = { gap: 10, above: 34, below: 30 } as const;

/** How high a line of tab is with everything over and under it. */
export function tabHeight(strings: number): number {
  return TAB.above + (strings - 1) * TAB.gap + TAB.below;
}

const STROKE_Y = -7;
const LABEL_Y = -21;
const SLUR_LETTER: Readonly<Record<Slur, string>> = { hammer: 'H', pull: 'P', slide: 'S' };

/**
 * A line of tab: the thinnest string on top, frets on the strings, pick strokes and slurs above,
 * fingers below, an arrow where the hand shifts. Its top string lies `TAB.above` under the top.
 */
export function drawTab(system: TabSystem, strings: number, name: string): readonly Shape[] {
  const right = system.barLines.at(-1) as number;
  const y = (string: number) => TAB.above + (string - 1) * TAB.gap;
  const bottom = y(strings);
  const shapes: Shape[] = [];
  for (let string = 1; string <= strings; string += 1) shapes.push(line(0, y(string), right, y(string), 0.7));
  for (const x of system.barLines) shapes.push(line(x, y(1), x, bottom, 1, 'ink'));
  if (system.last) shapes.push(line(right - 2.5, y(1), right - 2.5, bottom, 0.8, 'ink'));
  [...name].forEach((letter, index) => {
    shapes.push(text(10, (y(1) + bottom) / 2 + 4 + (index - (name.length - 1) / 2) * 12, letter, { size: 12, face: 'bold', ink: 'quiet' }));
  });
  system.events.forEach(({ event, x }, index) => {
    const before = system.events[index - 1];
    shapes.push(...drawEvent(event, { x, right, bottom, y }));
    if (event.slur !== null && before !== undefined) shapes.push(...drawSlur(before.x, x, event.slur));
  });
  return shapes;
}

interface EventPlace {
  readonly x: number;
  /** Where the line ends. */
  readonly right: number;
  readonly bottom: number;
  readonly y: (string: number) => number;
}

function drawEvent(event: TabEvent, { x, right, bottom, y }: EventPlace): readonly Shape[] {
  const shapes: Shape[] = [];
  // a name at the end of a line begins earlier rather than being cut
  const start = Math.max(0, Math.min(x - 6, right - nameWidth(event)));
  if (event.label !== '') shapes.push(text(start, TAB.above + LABEL_Y, event.label, { size: 12, anchor: 'start', face: 'bold' }));
  if (event.stroke !== null) shapes.push(drawStroke(event.stroke, x));
  if (event.shift) shapes.push(text(x - 9, bottom + 15, '›', { size: 12, face: 'bold', ink: 'quiet' }));
  for (const { string, fret } of event.marks) {
    const half = String(fret).length > 1 ? 6.4 : 4;
    shapes.push({ kind: 'rect', x: x - half, y: y(string) - 4.6, width: 2 * half, height: 9.2, radius: 1, fill: 'paper' });
    shapes.push(text(x, y(string) + 3.6, String(fret), { size: 10, face: 'bold' }));
  }
  const fingers = event.marks.map(({ finger }) => finger).filter((finger) => finger !== '0' && finger !== '');
  if (event.marks.length === 1) shapes.push(text(x, bottom + 15, fingers[0] ?? '', { size: 9, ink: 'quiet' }));
  return shapes;
}

/** A stroke toward the floor is a bracket, one toward the ceiling a wedge, as in every guitar book. */
function drawStroke(stroke: Stroke, x: number): Shape {
  const y = TAB.above + STROKE_Y;
  const d =
    stroke === 'down'
      ? `M ${x - 3.2} ${y} L ${x - 3.2} ${y - 5} L ${x + 3.2} ${y - 5} L ${x + 3.2} ${y}`
      : `M ${x - 2.8} ${y - 6} L ${x} ${y} L ${x + 2.8} ${y - 6}`;
  return { kind: 'path', d, fill: null, stroke: 'ink', width: 1.1 };
}

function drawSlur(from: number, to: number, slur: Slur): readonly Shape[] {
  const y = TAB.above + STROKE_Y;
  const middle = (from + to) / 2;
  return [
    { kind: 'path', d: `M ${from} ${y} Q ${middle} ${y - 9} ${to} ${y}`, fill: null, stroke: 'ink', width: 1 },
    text(middle, y - 7, SLUR_LETTER[slur], { size: 9, face: 'bold' }),
  ];
}

/** The diagrams over a line, and how much room they take; none when no event has one. */
export function drawDiagrams({ events }: TabSystem): { readonly shapes: readonly Shape[]; readonly height: number } {
  const height = Math.max(0, ...events.map(({ event }) => event.diagram?.height ?? 0));
  const shapes = events.flatMap(({ event: { diagram }, x }) =>
    diagram === null ? [] : diagram.shapes.map((shape) => moved(shape, x - diagram.width / 2, height - diagram.height)),
  );
  return { shapes, height };
}
