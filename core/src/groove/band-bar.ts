import type { TimedBar, TimedChord } from '../chart/timeline.ts';
import type { Chord } from '../chord/chord.ts';
import { chordMidi } from '../sound/sounding.ts';
import { type Cell, type GrooveBar, grooveBar, hasDrums, moved, swung } from './groove.ts';
import { DRUM_VOICES, type DrumVoice, type GrooveName } from './groove-table.ts';
import { bassMidi, bassTone, walkingLine } from './walking.ts';

/** Who plays. */
export type BandPart = 'guitar' | 'bass' | 'drums';

/** Something that is struck within a bar. */
export interface Hit {
  readonly part: BandPart;
  /** Written beats after the bar begins, as they are played: swung, and early where pushed. */
  readonly at: number;
  /** How long it lasts, in written beats; over the bar line where it is held. */
  readonly beats: number;
  /** MIDI note numbers in the order they are struck; for drums of the General MIDI kit. */
  readonly midi: readonly number[];
  /** From 0 to 1. */
  readonly level: number;
}

/** A bar with what stands around it as it is played. */
export interface PlayedBar {
  readonly bar: TimedBar;
  /** Null where playing begins: nothing has been pushed in from there. */
  readonly before: TimedBar | null;
  /** Null where it ends: the last chord rings. */
  readonly next: TimedBar | null;
  /** Which bar it is of all that are played. */
  readonly order: number;
}

/** How a band plays. */
export interface BandSound {
  readonly groove: GrooveName;
  /** Beats a minute. */
  readonly tempo: number;
  /** A chord of a written bar as it sounds; null where nobody plays. */
  readonly chordAt: (bar: number, place: number) => Chord | null;
  /** What may be walked over at a chord, as half steps over its root; null when nothing is known. */
  readonly scaleAt: (bar: number, place: number) => readonly number[] | null;
  /** Without a bass player the guitar takes a foreign bass too. */
  readonly hasBass: boolean;
}

/** The keys of a General MIDI drum kit. */
export const DRUM_KEYS: Readonly<Record<DrumVoice, number>> = {
  kick: 36,
  rim: 37,
  snare: 38,
  hat: 42,
  pedal: 44,
  'low tom': 45,
  crash: 49,
  'high tom': 50,
  ride: 51,
};

const LOUD = 1;
const FULL = 0.75;
const SOFT = 0.4;
const SHORT_BEATS = 0.25;
const DAMPED_BEATS = 0.1;
const DRUM_BEATS = 0.1;

/**
 * What a band plays in a bar: the groove's pattern, with the chords where they enter. A pushed
 * chord is struck early by everybody and held over the bar line; over a diamond everybody rings,
 * after a stop everybody is silent until the next chord; where nobody plays the drums keep time.
 * A section ends with a fill and begins with a crash; the last chord of all rings.
 */
export function bandBar(played: PlayedBar, sound: BandSound): readonly Hit[] {
  const groove = grooveBar(sound.groove, played.bar.meter, played.order);
  const stretches = stretchesOf(played, sound);
  // of a pickup only the end of the pattern is played
  const missing = groove.beats - played.bar.beats;
  const kept = (cells: readonly Cell[]) => moved(cells, -missing).filter(({ at }) => at >= 0);
  const bar = { ...groove, cells: kept(groove.cells), fill: kept(groove.fill), fillFrom: groove.fillFrom - missing };
  const hits = [
    ...stretches.flatMap((stretch) => [...guitarHits(stretch, bar, sound), ...bassHits(stretch, bar)]),
    ...(hasDrums(sound.groove) ? drumHits(played, stretches, bar) : []),
  ];
  const swing = (at: number) => swung(sound.groove, played.bar.meter, at, sound.tempo);
  return hits.map((hit) => ({ ...hit, at: swing(hit.at), beats: swing(hit.at + hit.beats) - swing(hit.at) })).sort((a, b) => a.at - b.at);
}

/** A chord of a bar, from where it is heard to where the next one is. */
interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly chord: Chord | null;
  readonly scale: readonly number[] | null;
  readonly next: Chord | null;
  readonly stop: boolean;
  readonly ring: boolean;
  /** Struck in the bar before already. */
  readonly isHeld: boolean;
  /** Of the next bar, and held into it. */
  readonly isPush: boolean;
  /** How long it goes on over the bar line. */
  readonly over: number;
}

function stretchesOf({ bar, before, next }: PlayedBar, sound: BandSound): readonly Stretch[] {
  const coming = next?.chords[0];
  const isPushed = coming !== undefined && coming.at < 0;
  const end = bar.beats + (isPushed ? coming.at : 0);
  const after = next === null || coming === undefined ? null : sound.chordAt(next.bar, coming.place);
  const own = bar.chords.map((timed, index): Stretch => {
    const following = bar.chords[index + 1];
    const isLast = following === undefined;
    const last = next === null && isLast && !timed.stop;
    return {
      from: Math.max(0, timed.at),
      to: isLast ? end : following.at,
      chord: sound.chordAt(bar.bar, timed.place),
      scale: sound.scaleAt(bar.bar, timed.place),
      next: isLast ? after : sound.chordAt(bar.bar, following.place),
      stop: timed.stop,
      ring: timed.ring || last,
      isHeld: timed.at < 0 && before !== null,
      isPush: false,
      over: 0,
    };
  });
  if (next === null || !isPushed) return own;
  return [...own, pushedIn(next, coming, { from: end, to: bar.beats }, sound)];
}

/** The next bar's first chord, as far as it is heard in this one. */
function pushedIn(next: TimedBar, pushed: TimedChord, span: { readonly from: number; readonly to: number }, sound: BandSound): Stretch {
  return {
    ...span,
    chord: sound.chordAt(next.bar, pushed.place),
    scale: null,
    next: null,
    stop: pushed.stop,
    ring: pushed.ring,
    isHeld: false,
    isPush: true,
    over: pushed.beats + pushed.at,
  };
}

/** The cells of a player within a stretch; what was struck early is not struck again. */
function cellsOf(row: string, { from, to, isHeld }: Stretch, bar: GrooveBar): readonly Cell[] {
  return bar.cells.filter((cell) => cell.row === row && cell.at >= from && cell.at < to && !(isHeld && cell.at === from));
}

/** How long a pushed chord is held: to the next one's first stroke behind the bar line, or as long as it lasts. */
function heldOver(row: string, { over }: Stretch, bar: GrooveBar): number {
  const strokes = bar.cells.filter((cell) => cell.row === row && cell.at > 0).map(({ at }) => at);
  return Math.min(over, ...strokes);
}

/** What is struck once instead of the pattern: a stop, a diamond, a push; nothing where it was struck early. Null where the pattern is played. */
function struckOnce(part: 'guitar' | 'bass', stretch: Stretch, bar: GrooveBar, midi: readonly number[]): readonly Hit[] | null {
  const { from, to, stop, ring, isHeld, isPush, over } = stretch;
  if (!stop && !ring && !isPush) return null;
  if (isHeld) return [];
  const strike = { part, at: from, midi };
  if (stop) return [{ ...strike, beats: SHORT_BEATS, level: LOUD }];
  if (ring) return [{ ...strike, beats: to - from + over, level: FULL }];
  return [{ ...strike, beats: to - from + heldOver(part, stretch, bar), level: LOUD }];
}

function guitarHits(stretch: Stretch, bar: GrooveBar, { hasBass }: BandSound): readonly Hit[] {
  const { from, to, chord, isHeld } = stretch;
  if (chord === null) return [];
  const strings = chordMidi(hasBass ? { ...chord, bass: null } : chord);
  const once = struckOnce('guitar', stretch, bar, strings);
  if (once !== null) return once;
  const cells = cellsOf('guitar', stretch, bar);
  if (cells.length === 0 && !isHeld) return [{ part: 'guitar', at: from, beats: to - from, midi: strings, level: FULL }];
  return cells.map(({ at, sign }, index) => ({ part: 'guitar', at, ...stroke(sign, strings, (cells[index + 1]?.at ?? to) - at) }));
}

/** The strings of a stroke, how hard and how long. */
function stroke(sign: string, strings: readonly number[], beats: number): Pick<Hit, 'midi' | 'level' | 'beats'> {
  const upper = strings.slice(-UPPER_STRINGS).reverse();
  switch (sign) {
    case 'S':
      return { midi: strings, level: FULL, beats: Math.min(beats, SHORT_BEATS * 2) };
    case 'm':
      return { midi: upper, level: SOFT, beats: DAMPED_BEATS };
    case 'U':
      return { midi: upper, level: FULL, beats };
    case 'u':
      return { midi: upper, level: SOFT, beats };
    case 'd':
      return { midi: strings, level: SOFT * 1.4, beats };
    case 'D':
      return { midi: strings, level: FULL, beats };
    case 'B':
      return { midi: strings.slice(0, 1), level: FULL, beats };
    default:
      return { midi: upper.slice((Number(sign) - 1) % upper.length).slice(0, 1), level: SOFT * 1.4, beats };
  }
}

const UPPER_STRINGS = 3;
const FIFTHS = [7, 6, 8];
const THIRDS = [4, 3, 5, 2];

function bassHits(stretch: Stretch, bar: GrooveBar): readonly Hit[] {
  const { from, to, chord, scale, next, isHeld } = stretch;
  if (chord === null) return [];
  const root = bassMidi(chord);
  const once = struckOnce('bass', stretch, bar, [root]);
  if (once !== null) return once;
  const cells = cellsOf('bass', stretch, bar);
  const entered = isHeld || cells[0]?.at === from ? cells : [{ row: 'bass', at: from, sign: 'R' }, ...cells];
  const walks = entered.some(({ sign }) => sign === 'W');
  const walked = walks ? walkingLine({ chord, scale, next: next ?? chord, count: entered.length }) : [];
  return entered.map(({ at, sign }, index) => {
    const midi = index === 0 && !isHeld ? root : sign === 'W' ? (walked[index] as number) : bassSign(sign, chord, root);
    return { part: 'bass', at, beats: (entered[index + 1]?.at ?? to) - at, midi: [midi], level: sign === 'R' ? FULL : FULL * 0.9 };
  });
}

function bassSign(sign: string, chord: Chord, root: number): number {
  if (sign === '5') return bassTone(chord, FIFTHS);
  if (sign === '3') return bassTone(chord, THIRDS);
  return sign === '8' ? root + 12 : root;
}

function drumHits({ bar, before, next }: PlayedBar, stretches: readonly Stretch[], groove: GrooveBar): readonly Hit[] {
  const rests = stretches.filter(({ stop, ring, chord }) => chord !== null && (stop || ring));
  const ends = next !== null && next.part !== bar.part && rests.length === 0;
  const begins = before !== null && before.part !== bar.part;
  const held = stretches.some(({ isHeld, chord }) => isHeld && chord !== null);
  const cells = ends ? [...groove.cells.filter(({ at }) => at < groove.fillFrom), ...groove.fill] : groove.cells;
  const played = cells.filter(
    ({ row, at }) =>
      isDrum(row) && !rests.some(({ from, to }) => at >= from && at < to) && !(row === 'kick' && at === 0 && held) && at < bar.beats,
  );
  const struck = stretches.filter(({ isHeld, isPush, chord, stop, ring }) => chord !== null && !isHeld && (isPush || stop || ring));
  const extra = [
    ...struck.flatMap(({ from, stop, ring }) => [
      drum('kick', from, LOUD),
      ...(stop ? [drum('snare', from, LOUD)] : ring ? [drum('crash', from, FULL)] : []),
    ]),
    ...(begins && !held && rests.every(({ from }) => from > 0) ? [drum('crash', 0, FULL)] : []),
  ];
  const already = new Set(extra.map(({ midi, at }) => `${midi[0]} ${at}`));
  const pattern = played.map(({ row, at, sign }) => drum(row as DrumVoice, at, sign === 'X' ? LOUD : sign === 'x' ? FULL : SOFT));
  return [...pattern.filter(({ midi, at }) => !already.has(`${midi[0]} ${at}`)), ...extra];
}

const isDrum = (row: string) => (DRUM_VOICES as readonly string[]).includes(row);

function drum(voice: DrumVoice, at: number, level: number): Hit {
  return { part: 'drums', at, beats: DRUM_BEATS, midi: [DRUM_KEYS[voice]], level };
}
