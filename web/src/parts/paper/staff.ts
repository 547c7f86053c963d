import { accidentals, type Key, letterStep, type Note, type Shape, type TabEvent, type TabSystem } from '@aurora/core';
import staffFont from '../../fonts/staff.woff2?url';
import { glyphPath } from './staff-path.ts';

type VexFlow = typeof import('vexflow/core');
let engraver: Promise<VexFlow> | null = null;

async function openEngraver(): Promise<VexFlow> {
  const vex = await import('vexflow/core');
  await vex.Font.load(FONT, staffFont);
  vex.VexFlow.setFonts(FONT);
  return vex;
}

const FONT = 'Aurora Staff';

/** The engraver with its font, fetched once when a staff is first wanted. */
export function loadEngraver(): Promise<VexFlow> {
  engraver ??= openEngraver();
  return engraver;
}

export interface StaffLook {
  /** The key whose signature stands at the start. */
  readonly key: Key;
  /** Basses are written in the bass clef. Both sound an octave lower than written. */
  readonly clef: 'treble' | 'bass';
}

/** How much room a staff takes over its tab, ledger lines for the low strings included. */
const STAFF_ROOM = 112;
const STAFF_TOP = -6;
/** Sounding F4 is written on the top line of a treble clef, two octaves lower on that of a bass clef. */
const TOP_LINE = { treble: 65, bass: 45 } as const;
const HALF_STEP_POINTS = 2.9;
const FREE_ABOVE = 28;

/** Room for ledger lines above, where notes go high. */
function headroom({ events }: TabSystem, clef: StaffLook['clef']): number {
  const highest = Math.max(0, ...events.flatMap(({ event }) => event.marks.map(({ midi }) => midi)));
  return Math.max(0, (highest - TOP_LINE[clef]) * HALF_STEP_POINTS - FREE_ABOVE);
}
const WRITTEN_OCTAVE = 12;

/** One line of music on a staff, its notes standing over those of the tab, and the room it takes. */
export function drawStaff(
  vex: VexFlow,
  system: TabSystem,
  look: StaffLook,
): { readonly shapes: readonly Shape[]; readonly height: number } {
  const above = headroom(system, look.clef);
  const host = document.createElement('div');
  const right = system.barLines.at(-1) as number;
  const context = new vex.Renderer(host, vex.Renderer.Backends.SVG).resize(right + 2, above + 2 * STAFF_ROOM).getContext();
  const stave = new vex.Stave(0, STAFF_TOP + above, right, { leftBar: false, rightBar: false });
  stave.addClef(look.clef, 'default', '8vb').addKeySignature(signatureOf(look.key)).setContext(context).draw();
  const placed = system.events.map(({ event, x }) => ({ note: staveNote(vex, event, look.clef), x, event }));
  const voice = new vex.Voice({ numBeats: 4, beatValue: 4 }).setMode(vex.Voice.Mode.SOFT).addTickables(placed.map(({ note }) => note));
  vex.Accidental.applyAccidentals([voice], signatureOf(look.key));
  for (const { note, x } of placed) {
    note.setStave(stave);
    const tick = new vex.TickContext();
    tick.addTickable(note).preFormat().setX(0);
    tick.setX(x - HEAD_HALF - note.getAbsoluteX());
  }
  const { beams, triplets } = groupsOf(vex, placed);
  for (const { note } of placed) note.setContext(context).draw();
  for (const drawn of [...beams, ...triplets]) drawn.setContext(context).draw();
  const bars = system.barLines.map((x): Shape => barLine(x, stave.getYForLine(0), stave.getYForLine(4)));
  return { shapes: [...shapesOf(host), ...bars], height: STAFF_ROOM + above };
}

/** A note head is about this wide; it is centred over the fret of the tab. */
const HEAD_HALF = 6;

function barLine(x: number, top: number, bottom: number): Shape {
  return { kind: 'line', x1: x, y1: top, x2: x, y2: bottom, width: 1, ink: 'ink' };
}

function staveNote(vex: VexFlow, { marks, beats }: TabEvent, clef: 'treble' | 'bass') {
  const sorted = [...marks].sort((a, b) => a.midi - b.midi);
  const { duration, dots } = durationOf(beats);
  const note = new vex.StaveNote({
    clef,
    keys: sorted.map(({ midi, note: spelled }) => keyName(spelled, midi)),
    duration,
    dots,
    autoStem: true,
  });
  if (dots > 0) vex.Dot.buildAndAttach([note], { all: true });
  return note;
}

/** `f#/4`: the letter with the octave it is written in. */
function keyName(note: Note, midi: number): string {
  const signs = accidentals(note);
  const octave = Math.floor((midi + WRITTEN_OCTAVE - signs) / 12) - 1;
  return `${'cdefgab'[letterStep(note)]}${(signs < 0 ? 'b' : '#').repeat(Math.abs(signs))}/${octave}`;
}

const DURATIONS: readonly (readonly [beats: number, duration: string, dots: number])[] = [
  [4, 'w', 0],
  [3, 'h', 1],
  [2, 'h', 0],
  [1.5, 'q', 1],
  [1, 'q', 0],
  [0.5, '8', 0],
  [1 / 3, '8', 0],
];

/** The longest written note that is no longer than this; an eighth of a triplet is an eighth. */
function durationOf(beats: number): { readonly duration: string; readonly dots: number } {
  const [, duration = '8', dots = 0] = DURATIONS.find(([length]) => length <= beats + EPSILON) ?? [];
  return { duration, dots };
}

const EPSILON = 1e-6;

type StaffNote = InstanceType<VexFlow['StaveNote']>;
const EIGHTH = 0.5;

/** Eighths within a beat share a beam: two, or three as a triplet. */
function groupsOf(vex: VexFlow, placed: readonly { readonly note: StaffNote; readonly event: TabEvent }[]) {
  const beams: InstanceType<VexFlow['Beam']>[] = [];
  const triplets: InstanceType<VexFlow['Tuplet']>[] = [];
  let group: StaffNote[] = [];
  let filled = 0;
  const close = () => {
    if (group.length > 1) beams.push(new vex.Beam(group, true));
    if (group.length === 3 && filled <= 1 + EPSILON)
      triplets.push(new vex.Tuplet(group, { bracketed: false, location: group[0]?.getStemDirection() ?? 1 }));
    group = [];
    filled = 0;
  };
  for (const { note, event } of placed) {
    if (event.beats > EIGHTH + EPSILON) {
      close();
      continue;
    }
    group.push(note);
    filled += event.beats;
    if (filled >= 1 - EPSILON) close();
  }
  close();
  return { beams, triplets };
}

const MAJOR_KEYS = ['Cb', 'Gb', 'Db', 'Ab', 'Eb', 'Bb', 'F', 'C', 'G', 'D', 'A', 'E', 'B', 'F#', 'C#'];

/** Fifths from a mode's tonic to the major key with its signature; scales without one of their own stand as minor or major. */
const TO_MAJOR: Partial<Record<Key['scale'], number>> = {
  dorian: -2,
  phrygian: -4,
  lydian: 1,
  mixolydian: -1,
  'natural minor': -3,
  'harmonic minor': -3,
  'melodic minor': -3,
  locrian: -5,
};

/** The name of the major key whose signature is written; none past seven signs. */
function signatureOf({ tonic, scale }: Key): string {
  return MAJOR_KEYS[tonic + (TO_MAJOR[scale] ?? 0) + 7] ?? 'C';
}

/** What the engraver drew, as plain marks; its music glyphs become outlines, so that no page needs the font. */
function shapesOf(host: HTMLElement): readonly Shape[] {
  return [...host.querySelectorAll('path, rect:not([opacity="0"]), text')].flatMap((element): readonly Shape[] => {
    if (element.tagName === 'text') return glyphs(element);
    return element.tagName === 'rect' ? [rectOf(element)] : outline(element);
  });
}

function outline(element: Element): readonly Shape[] {
  const d = absolute(element.getAttribute('d') ?? '');
  if (d === '') return [];
  const filled = inherited(element, 'fill') !== 'none';
  const stroke = inherited(element, 'stroke') === 'none' ? null : 'ink';
  return [{ kind: 'path', d, fill: filled ? 'ink' : null, stroke, width: filled ? 0.3 : Number(inherited(element, 'stroke-width') ?? 1) }];
}

function rectOf(element: Element): Shape {
  const at = (name: string) => Number(element.getAttribute(name) ?? 0);
  return { kind: 'rect', x: at('x'), y: at('y'), width: at('width'), height: at('height'), radius: 0, fill: 'ink' };
}

function glyphs(element: Element): readonly Shape[] {
  const size = pixels(inherited(element, 'font-size') ?? '30');
  const [x, y] = ['x', 'y'].map((name) => Number(element.getAttribute(name) ?? 0)) as [number, number];
  const d = glyphPath(element.textContent ?? '', x, y, size);
  return d === '' ? [] : [{ kind: 'path', d, fill: 'ink', stroke: null, width: 0 }];
}

/** Sizes stand in points or pixels. */
function pixels(size: string): number {
  const value = Number.parseFloat(size);
  return size.endsWith('pt') ? (value * 4) / 3 : value;
}

function inherited(element: Element, name: string): string | null {
  for (let at: Element | null = element; at !== null; at = at.parentElement) {
    const value = at.getAttribute(name);
    if (value !== null) return value;
  }
  return null;
}

/** Paths come absolute from the engraver; anything else is left out rather than drawn wrong. */
function absolute(d: string): string {
  return /^[MLQCZ\d\s.,e-]*$/.test(d) ? d : '';
}
