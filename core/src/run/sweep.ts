import type { Chord } from '../chord/chord.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import { tonesOf } from '../voicing/voicing.ts';
import { type Fingered, placeRun } from './place-run.ts';
import { NO_RUN, type Run, type RunPitch, type Stroke } from './run.ts';
import { strokesAs } from './strokes.ts';

/** Where a sweep goes: string sets from the thickest to the thinnest, one shape of each chord on every set. */
export interface SweepWish {
  readonly sets: readonly (readonly number[])[];
  /** The first shape starts at this fret or above. */
  readonly position: number;
  /** Every shape from its root; otherwise from the next chord tone there is. */
  readonly rooted: boolean;
}

const TRIPLET = 1 / 3;

/**
 * Sweeps through shapes of each chord in turn, in triplets: one pick stroke falls down over the strings, a string that holds
 * two tones is hammered, and the way back is pulled off and swept up; then the hand shifts to the next
 * shape. Each shape starts on a chord tone above the one before; where the neck runs out the next chord starts low again.
 */
export function sweepRun(chords: readonly Chord[], { sets, position, rooted }: SweepWish, instrument: Instrument): Run {
  const notes: Fingered[] = [];
  const strokes: (Stroke | null)[] = [];
  let left = 0;
  let hand = Math.max(position, instrument.capo);
  chords.forEach((chord, index) => {
    const tones = pitchesUp(chord, index, instrument);
    const low = { tones, from: hand, rooted, instrument };
    const shapes = shapesOn(sets, low) ?? shapesOn(sets, { ...low, from: Math.max(position, instrument.capo) });
    if (shapes === null) {
      left += 1;
      return;
    }
    hand = lowestFret(shapes[0] as readonly Fingered[]);
    for (const shape of shapes) {
      notes.push(...shape.map((note, at) => ({ ...note, shift: at === 0 ? notes.length > 0 : note.shift })));
      strokes.push(...strokesOf(shape));
    }
  });
  return notes.length === 0 ? NO_RUN : { notes: strokesAs(notes, strokes), chords, left };
}

function lowestFret(notes: readonly Fingered[]): number {
  return Math.min(...notes.map(({ fret }) => fret));
}

type Tone = Omit<RunPitch, 'beats'>;

interface Search {
  readonly tones: readonly Tone[];
  /** The lowest fret on the thickest string. */
  readonly from: number;
  readonly rooted: boolean;
  readonly instrument: Instrument;
}

/** The shapes of the first way of doubling that all sets have room for; from the root any way will do, string set by string set. */
function shapesOn(sets: readonly (readonly number[])[], search: Search): readonly (readonly Fingered[])[] | null {
  const ways = waysOf(Math.max(...sets.map((set) => set.length)));
  if (search.rooted) return shapesDoubled(sets, search, ways);
  for (const doubled of ways) {
    const shapes = shapesDoubled(sets, search, [doubled]);
    if (shapes !== null) return shapes;
  }
  return null;
}

/** One shape on every set, each from a higher tone than the last; null where the neck has no room. */
function shapesDoubled(
  sets: readonly (readonly number[])[],
  search: Search,
  ways: readonly Doubled[],
): readonly (readonly Fingered[])[] | null {
  const { tones, from, rooted, instrument } = search;
  const thickest = instrument.tuning[instrument.tuning.length - (sets[0]?.[0] as number)] as number;
  let next = tones.findIndex(({ midi }) => midi >= thickest + from);
  const shapes: (readonly Fingered[])[] = [];
  for (const [place, strings] of sets.entries()) {
    // on the strings it has just been on, a shape goes on from where it is
    const fromRoot = rooted && strings.join() !== sets[place - 1]?.join();
    let found: readonly Fingered[] | null = null;
    for (; next >= 0 && next < tones.length && found === null; next += 1) {
      if (fromRoot && tones[next]?.number !== '1') continue;
      found = shapeFrom(tones.slice(next), strings, ways, instrument);
    }
    if (found === null) return null;
    shapes.push(found);
  }
  return shapes;
}

/** Which strings hold two tones, each a way to try: the thinnest, the thickest, none, and then any others, few before many. */
type Doubled = ReadonlySet<number>;

function waysOf(strings: number): readonly Doubled[] {
  const all = Array.from(
    { length: 2 ** strings },
    (_, bits) => new Set(Array.from({ length: strings }, (__, place) => place).filter((place) => (bits >> place) & 1)),
  );
  const first = [new Set([strings - 1]), new Set([0]), new Set<number>()];
  return [...first, ...all.filter(({ size }) => size > 1).sort((one, other) => one.size - other.size)];
}

function shapeFrom(
  tones: readonly Tone[],
  strings: readonly number[],
  ways: readonly Doubled[],
  instrument: Instrument,
): readonly Fingered[] | null {
  for (const doubled of ways) {
    const up = strings.flatMap((string, place) => (doubled.has(place) ? [string, string] : [string]));
    if (up.length > tones.length || !isReachable(tones, up, instrument)) continue;
    const there = up.map((string, place) => ({ tone: tones[place] as Tone, string }));
    const whole = [...there, ...there.slice(1, -1).reverse()];
    const pitches = whole.map(
      ({ tone }, place): RunPitch => ({ ...tone, beats: place === whole.length - 1 ? lastBeats(whole.length) : TRIPLET }),
    );
    const window = [instrument.capo + 1, instrument.frets] as const;
    const placed = placeRun(pitches, { strings: null, window, stringOf: whole.map(({ string }) => string) }, instrument);
    if (placed.length === pitches.length) return placed;
  }
  return null;
}

/** Two tones on one string lie this far apart at most, and a whole shape covers so many frets. */
const MOST_HAMMERED = 4;
const MOST_SPAN: Readonly<Record<number, number>> = { 3: 4 };
const MOST_WIDE_SPAN = 5;

/** Whether the tones, one after the other on these strings, lie under a hand, none of them open. */
function isReachable(tones: readonly Tone[], up: readonly number[], { tuning, capo, frets }: Instrument): boolean {
  const places = up.map((string, place) => (tones[place] as Tone).midi - (tuning[tuning.length - string] as number));
  const strings = new Set(up).size;
  if (places.some((fret) => fret <= capo || fret > frets)) return false;
  if (Math.max(...places) - Math.min(...places) > (MOST_SPAN[strings] ?? MOST_WIDE_SPAN)) return false;
  return places.every((fret, place) => up[place] !== up[place - 1] || fret - (places[place - 1] as number) <= MOST_HAMMERED);
}

/** The last note is held until its beat is full. */
function lastBeats(count: number): number {
  const rest = count % 3;
  return TRIPLET + (rest === 0 ? 0 : (3 - rest) * TRIPLET);
}

/** Down over the strings and up again; on one string no stroke. */
function strokesOf(notes: readonly Fingered[]): readonly (Stroke | null)[] {
  return notes.map(({ string }, index): Stroke | null => {
    const before = notes[index - 1];
    if (before?.string === string) return null;
    return before === undefined || string < before.string ? 'down' : 'up';
  });
}

/** Every tone of the chord the instrument has, from the lowest up. */
function pitchesUp(chord: Chord, place: number, { tuning, capo, frets }: Instrument): readonly Tone[] {
  const tones = tonesOf({ ...chord, bass: null });
  const found: Tone[] = [];
  for (let midi = Math.min(...tuning) + capo; midi <= Math.max(...tuning) + frets; midi += 1) {
    const tone = tones.find((named) => named.chroma === midi % 12);
    if (tone !== undefined) found.push({ midi, note: tone.note, number: tone.formula, chord: place });
  }
  return found;
}
