import { pulseOf } from '../chart/timeline.ts';
import type { SoundingBar, SoundingNote } from './heard.ts';

/** Where in its bar a moment begins, which says how readily a chord changes there. */
export type Place = 'bar' | 'middle' | 'beat';

/** A beat of the song with how strongly each of the twelve pitches sounds in it. */
export interface Moment {
  readonly from: number;
  readonly to: number;
  readonly place: Place;
  /** By half steps above C; together 1 where enough sounds, less where notes only lead on, 0 in silence. */
  readonly weights: Float64Array;
  /** The lowest note that sets in within its half of the bar, where it does so in this moment. */
  readonly bass: number | null;
}

/** Moments lie on beats, and on quarters where the beat is longer; compound meters are heard by their pulse. */
function momentLength({ meter }: SoundingBar): number {
  const beat = 4 / meter.unit;
  const pulse = pulseOf(meter);
  return pulse > 1 ? beat * pulse : Math.min(1, beat);
}

/** Less than this of a moment, all notes together, says little. */
const ENOUGH = 0.35;
/** What is heard more than once in octaves is not the more the chord for it. */
const MOST = 1.5;
const STRUCK = 1.15;
const STRUCK_BETWEEN = 0.85;
const ORNAMENT = 0.35;
const LEADING_OVER = 0.12;
const NEAR = 0.12;
/** No note is shorter, in quarters. */
const LEAST = 0.05;

/** The song beat by beat. Notes a little early or late are where they are meant to be. */
export function momentsOf(notes: readonly SoundingNote[], bars: readonly SoundingBar[]): readonly Moment[] {
  const parts = partsOf(notes, new Set(bars.map(({ from }) => Math.round(from * 8))));
  const weighed = notes
    .map((note, index): WeighedNote => {
      const from = onGrid(note.from);
      return { midi: note.midi, from, to: Math.max(from + LEAST, onGrid(note.to)), part: parts.get(index) ?? 1 };
    })
    .sort((a, b) => a.from - b.from);
  let sounding: WeighedNote[] = [];
  let next = 0;
  return bars.flatMap((bar) => {
    const begun: WeighedNote[] = [];
    while (next < weighed.length && (weighed[next] as WeighedNote).from < bar.to) begun.push(weighed[next++] as WeighedNote);
    sounding = [...goingOn(sounding, bar.from), ...begun];
    return barMoments(bar, sounding, begun);
  });
}

/** What still sounds at a time, each pitch once: notes that nobody ended would be carried on from bar to bar without end. */
function goingOn(notes: readonly WeighedNote[], time: number): readonly WeighedNote[] {
  const longest = new Map<number, WeighedNote>();
  for (const note of notes) if (note.to > time && note.to > (longest.get(note.midi)?.to ?? 0)) longest.set(note.midi, note);
  return [...longest.values()];
}

interface WeighedNote {
  readonly midi: number;
  readonly from: number;
  readonly to: number;
  /** The part of its length that counts. */
  readonly part: number;
}

function barMoments(bar: SoundingBar, sounding: readonly WeighedNote[], begun: readonly WeighedNote[]): readonly Moment[] {
  const length = momentLength(bar);
  const count = Math.max(1, Math.round((bar.to - bar.from) / length));
  const middle = middleOf(count, bar);
  const moments = Array.from({ length: count }, (_, beat): Moment => {
    const [from, to] = [bar.from + beat * length, beat === count - 1 ? bar.to : bar.from + (beat + 1) * length];
    const place = beat === 0 ? 'bar' : beat === middle ? 'middle' : 'beat';
    return { from, to, place, weights: weightsOf(sounding, from, to), bass: null };
  });
  const halves = middle < 0 ? [moments] : [moments.slice(0, middle), moments.slice(middle)];
  return halves.flatMap((half) => withBass(half, begun));
}

/** The moment that begins the second half of a bar, as counted in twos; none where it is counted in threes. */
function middleOf(count: number, { meter }: SoundingBar): number {
  return count % 2 === 0 && (count > 2 || meter.unit === 8) ? count / 2 : -1;
}

/** To the nearest sixteenth or triplet, where one is near. */
function onGrid(time: number): number {
  const sixteenth = Math.round(time * 4) / 4;
  const triplet = Math.round(time * 3) / 3;
  const nearest = Math.abs(sixteenth - time) <= Math.abs(triplet - time) ? sixteenth : triplet;
  return Math.abs(nearest - time) <= NEAR ? nearest : time;
}

function weightsOf(sounding: readonly WeighedNote[], from: number, to: number): Float64Array {
  const weights = new Float64Array(12);
  let passedOver = 0;
  for (const note of sounding) {
    const share = (Math.min(to, note.to) - Math.max(from, note.from)) / (to - from);
    if (share <= 0) continue;
    const struck = note.from < from - 0.01 ? 1 : note.from < from + 0.01 ? STRUCK : STRUCK_BETWEEN;
    const pitch = note.midi % 12;
    passedOver += share * struck * (1 - note.part);
    weights[pitch] = Math.min(MOST, (weights[pitch] as number) + share * struck * note.part);
  }
  const most = Math.max(
    ENOUGH,
    weights.reduce((sum, weight) => sum + weight, passedOver),
  );
  return weights.map((weight) => weight / most);
}

/**
 * The part that counts of notes that are no more than a way to the next one: short ones off the beat that
 * are reached and left by step, and a beat before the bar line that leads by step into the first note
 * behind it. Only notes that set in alone in their voice lead anywhere.
 */
function partsOf(notes: readonly SoundingNote[], barLines: ReadonlySet<number>): ReadonlyMap<number, number> {
  const voices = new Map<string, number[]>();
  notes.forEach(({ voice }, index) => {
    const line = voices.get(voice);
    if (line === undefined) voices.set(voice, [index]);
    else line.push(index);
  });
  const parts = new Map<number, number>();
  for (const voice of voices.values()) {
    const line = voice.sort((a, b) => (notes[a] as SoundingNote).from - (notes[b] as SoundingNote).from);
    const noteAt = (place: number) => notes[line[place] as number] as SoundingNote;
    const together = (place: number) => place < line.length && Math.abs(noteAt(place).from - noteAt(place - 1).from) < NEAR;
    for (let place = 1; place < line.length - 1; place += 1) {
      if (together(place) || together(place + 1) || together(place + 2)) continue;
      const [note, after] = [noteAt(place), noteAt(place + 1)];
      if (leadsOver(note, after, barLines)) parts.set(line[place] as number, LEADING_OVER);
      else if (isOrnament(noteAt(place - 1), note, after)) parts.set(line[place] as number, ORNAMENT);
    }
  }
  return parts;
}

const SHORT = 0.8;
const GAP = 0.15;

function isOrnament(before: SoundingNote, note: SoundingNote, after: SoundingNote): boolean {
  const isBetween = Math.abs(note.from - Math.round(note.from)) > NEAR || note.to - note.from < SHORT / 2;
  return (
    note.to - note.from <= SHORT &&
    isBetween &&
    isStep(note.midi - before.midi) &&
    isStep(after.midi - note.midi) &&
    Math.abs(before.to - note.from) < GAP &&
    Math.abs(note.to - after.from) < GAP
  );
}

const A_BEAT = 1.05;

/** Whether a note walks over the bar line into the next one. */
function leadsOver(note: SoundingNote, after: SoundingNote, barLines: ReadonlySet<number>): boolean {
  return (
    barLines.has(Math.round(after.from * 8)) &&
    after.from - note.from <= A_BEAT &&
    Math.abs(note.to - after.from) < GAP &&
    isStep(after.midi - note.midi)
  );
}

const isStep = (halfSteps: number) => halfSteps !== 0 && Math.abs(halfSteps) <= 2;

/** A half of a bar, or a bar counted in threes, with its lowest note at the moment in which it sets in. */
function withBass(half: readonly Moment[], begun: readonly WeighedNote[]): readonly Moment[] {
  const [from, to] = [half[0]?.from ?? 0, half.at(-1)?.to ?? 0];
  let lowest: WeighedNote | null = null;
  for (const note of begun)
    if (note.part === 1 && note.from >= from - 0.01 && note.from < to - 0.01 && (lowest === null || note.midi < lowest.midi)) lowest = note;
  const bass = lowest;
  return half.map((moment) =>
    bass !== null && bass.from >= moment.from - 0.01 && bass.from < moment.to - 0.01 ? { ...moment, bass: bass.midi } : moment,
  );
}
