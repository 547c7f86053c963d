import { chordNotes } from '../src/chord/chord.ts';
import type { Key } from '../src/key/key.ts';
import { chroma, letterStep, type Note } from '../src/pitch/note.ts';
import type { ToneKind } from '../src/reduce/tones/tone-kinds.ts';
import { type ScoreNote, TICKS } from '../src/score/score.ts';
import type { PlannedHarmony, PlannedTone, Style } from './planned-piece.ts';

type Roll = () => number;

/** Half steps from one note up or down to the nearest place of another. */
function nearestTo(midi: number, note: Note): number {
  const up = (((chroma(note) - midi) % 12) + 12) % 12;
  return midi + (up > 6 ? up - 12 : up);
}

interface Pitch {
  readonly note: Note;
  readonly midi: number;
}

/** A note of the tune: where, how long, and what it is. */
interface TuneNote extends Pitch {
  from: number;
  to: number;
  kind: ToneKind | null;
}

type HarmonyNote = TuneNote & { readonly harmony: PlannedHarmony };
type Strange = Pitch & { readonly kind: ToneKind };

/** What a note on the beat is, by the half steps that lead into it and the side its chord tone lies on. */
function strongKind(into: number, direction: number): ToneKind | null {
  if (into === 0) return direction > 0 ? 'suspension' : 'retardation';
  if (Math.abs(into) >= 3) return 'appoggiatura';
  return Math.sign(into) === -direction ? 'accented-passing' : null;
}

/** Writes a plan out in a style, with notes outside the chords put in by their definitions. */
export class Writer {
  readonly #style: Style;
  readonly #roll: Roll;
  readonly #harmonies: readonly PlannedHarmony[];
  readonly #pulse: number;
  readonly #meter: { beats: number; unit: number };
  readonly #notes: ScoreNote[] = [];
  readonly #tones: PlannedTone[] = [];

  constructor(style: Style, roll: Roll, harmonies: readonly PlannedHarmony[], meter: { beats: number; unit: number }) {
    this.#style = style;
    this.#roll = roll;
    this.#harmonies = harmonies;
    this.#meter = meter;
    this.#pulse = meter.unit === 8 ? 1.5 * TICKS : TICKS;
  }

  write(): { notes: readonly ScoreNote[]; tones: readonly PlannedTone[] } {
    const tune = this.#tune();
    const part = this.#style === 'horns' ? 'Trumpet' : this.#style === 'waltz' ? 'Voice' : 'P1';
    for (const { kind, from, to, note, midi } of tune) {
      const last = this.#notes.at(-1);
      const isTied = (kind === 'suspension' || kind === 'retardation') && last?.midi === midi && last.to === from && this.#chance(0.6);
      if (isTied) this.#notes[this.#notes.length - 1] = { ...last, to };
      else this.#notes.push({ part, voice: '1', staff: 1, from, to, note, midi });
      if (kind !== null) this.#tones.push({ part, at: from, midi, kind });
    }
    for (const harmony of this.#harmonies) {
      const first = this.#notes.length;
      this.#under(harmony);
      const bass = this.#notes[first];
      if (bass !== undefined && belongsNot(bass, harmony))
        this.#tones.push({ part: bass.part, at: bass.from, midi: bass.midi, kind: 'pedal' });
    }
    return { notes: this.#notes, tones: this.#tones };
  }

  #chance(part: number): boolean {
    return this.#roll() < part;
  }

  /** A tune of chord tones on the pulses, with other notes put between and before them. */
  #tune(): TuneNote[] {
    let midi = 72;
    const plain: HarmonyNote[] = [];
    for (const harmony of this.#harmonies) {
      for (let from = harmony.from; from < harmony.to; from += this.#pulse) {
        const tones = chordNotes(harmony.chord).map((note) => ({ note, midi: nearestTo(midi, note) }));
        const near = tones.filter((tone) => Math.abs(tone.midi - midi) <= 5 && tone.midi >= 62 && tone.midi <= 84);
        const choice = near.length > 0 ? near : tones;
        const { note, midi: chosen } = choice[Math.floor(this.#roll() * choice.length)] as Pitch;
        midi = chosen;
        plain.push({ note, midi, from, to: Math.min(harmony.to, from + this.#pulse), kind: null, harmony });
      }
    }
    return this.#adorned(plain);
  }

  #adorned(plain: readonly HarmonyNote[]): TuneNote[] {
    const tune: TuneNote[] = [];
    for (let at = 0; at < plain.length; at += 1) {
      const own = plain[at] as (typeof plain)[number];
      const next = plain[at + 1];
      const last = tune.at(-1);
      const strong = this.#chance(0.3) && last !== undefined ? this.#onBeat(last, own) : null;
      const half = own.from + (own.to - own.from) / 2;
      if (strong !== null) {
        tune.push({ ...strong, from: own.from, to: half }, { ...own, from: half });
        continue;
      }
      const weak = next !== undefined && this.#chance(0.35) ? this.#offBeat(own, next) : null;
      if (weak !== null) tune.push({ ...own, to: half }, { ...weak, from: half, to: own.to });
      else tune.push({ ...own });
    }
    return tune;
  }

  /** A note on the beat that goes by step into the chord tone behind it. */
  #onBeat(before: TuneNote, own: HarmonyNote): Strange | null {
    if (before.kind !== null) return null;
    for (const direction of this.#chance(0.7) ? [1, -1] : [-1, 1]) {
      const strange = this.#step(own, direction, own.harmony);
      const kind = strange === null ? null : strongKind(strange.midi - before.midi, direction);
      if (strange !== null && kind !== null) return { ...strange, kind };
    }
    return null;
  }

  /** A note off the beat between two chord tones. */
  #offBeat(own: HarmonyNote, next: HarmonyNote): Strange | null {
    const up = next.midi - own.midi;
    if (up === 0) return this.#neighbour(own);
    const passing = Math.abs(up) === 3 || Math.abs(up) === 4 ? this.#step(own, Math.sign(up), own.harmony) : null;
    if (passing !== null && Math.abs(next.midi - passing.midi) <= 2) return { ...passing, kind: 'passing' };
    if (belongsNot(next, own.harmony) && this.#chance(0.5)) return { note: next.note, midi: next.midi, kind: 'anticipation' };
    return Math.abs(up) >= 3 ? this.#leaping(own, next) : null;
  }

  #neighbour(own: HarmonyNote): Strange | null {
    const strange = this.#step(own, this.#chance(0.5) ? 1 : -1, own.harmony);
    return strange === null ? null : { ...strange, kind: 'neighbour' };
  }

  /** A note that steps away before a leap, or steps into the next one behind it. */
  #leaping(own: HarmonyNote, next: HarmonyNote): Strange | null {
    const strange = this.#step(own, -Math.sign(next.midi - own.midi), own.harmony);
    if (strange !== null && this.#chance(0.5)) return { ...strange, kind: 'escape' };
    const before = this.#step(next, this.#chance(0.5) ? 1 : -1, own.harmony);
    const isLeap = before !== null && Math.abs(before.midi - own.midi) >= 3 && belongsNot(before, own.harmony);
    return isLeap ? { ...before, kind: 'incomplete-neighbour' } : null;
  }

  /** The next note of the key above or below, when it is outside the chord and no wider than a whole tone. */
  #step({ note, midi }: Pitch, direction: number, { key, chord }: PlannedHarmony): Pitch | null {
    const wanted = (letterStep(note) + direction + 7) % 7;
    const found = [...chordNotes(chord), ...scaleOf(key, direction)].find((one) => letterStep(one) === wanted);
    if (found === undefined) return null;
    const stepped = nearestTo(midi + direction, found);
    const far = Math.abs(stepped - midi);
    const own = chordNotes(chord).some((one) => chroma(one) === chroma(found));
    return far < 1 || far > 2 || own ? null : { note: found, midi: stepped };
  }

  #under({ chord, from, to }: PlannedHarmony): void {
    const bass = chord.bass ?? chord.root;
    const upper = chordNotes(chord);
    switch (this.#style) {
      case 'chorale':
        this.#add('P1', '4', 2, { note: bass, midi: nearestTo(45, bass) }, from, to);
        this.#held(
          upper.filter((note) => note !== bass || upper.length === 3),
          from,
          to,
        );
        return;
      case 'broken':
        this.#add('P1', '6', 2, { note: bass, midi: nearestTo(43, bass) }, from, to);
        this.#broken('P1', '5', 2, upper, from, to);
        return;
      case 'study':
        this.#add('P1', '2', 1, { note: bass, midi: nearestTo(45, bass) }, from, to);
        this.#broken('P1', '3', 1, upper, from, to);
        return;
      case 'waltz':
        this.#waltz(bass, upper, from, to);
        return;
      case 'horns':
        this.#horns(bass, upper, from, to);
        return;
      case 'two-part':
        this.#walk('P2', bass, upper, from, to);
        return;
    }
  }

  #add(part: string, voice: string, staff: number, { note, midi }: Pitch, from: number, to: number): void {
    this.#notes.push({ part, voice, staff, from, to, note, midi });
  }

  #held(upper: readonly Note[], from: number, to: number): void {
    upper.slice(0, 3).forEach((note, index) => {
      this.#add('P1', index === 0 ? '2' : '3', index === 0 ? 1 : 2, { note, midi: nearestTo(58 - 2 * index, note) }, from, to);
    });
  }

  #broken(part: string, voice: string, staff: number, upper: readonly Note[], from: number, to: number): void {
    const row = upper.map((note) => ({ note, midi: nearestTo(57, note) })).sort((a, b) => a.midi - b.midi);
    const order = row.length === 3 ? [0, 1, 2, 1] : [0, 1, 2, 3];
    let step = 0;
    for (let time = from; time < to; time += TICKS / 2, step += 1)
      this.#add(part, voice, staff, row[order[step % 4] as number] as Pitch, time, Math.min(to, time + TICKS / 2));
  }

  #waltz(bass: Note, upper: readonly Note[], from: number, to: number): void {
    const beat = this.#meter.unit === 8 ? TICKS / 2 : TICKS;
    const chord = upper.map((note) => ({ note, midi: nearestTo(60, note) }));
    let place = 0;
    for (let time = from; time < to; time += beat, place += 1) {
      if (place % 3 === 0) this.#add('P2', '1', 2, { note: bass, midi: nearestTo(43, bass) }, time, time + beat);
      else for (const tone of chord) this.#add('P2', '1', 2, tone, time, Math.min(to, time + beat));
    }
  }

  #horns(bass: Note, upper: readonly Note[], from: number, to: number): void {
    for (let time = from; time < to; time += TICKS) {
      const end = Math.min(to, time + TICKS);
      upper.slice(-3).forEach((note, index) => {
        this.#add(`Horn ${index + 1}`, '1', 1, { note, midi: nearestTo(64 - 3 * index, note) }, time, end);
      });
    }
    this.#walk('Bass', bass, upper, from, to);
  }

  /** A bass that begins with its own note and walks through the chord. */
  #walk(part: string, bass: Note, upper: readonly Note[], from: number, to: number): void {
    for (let time = from; time < to; time += this.#pulse) {
      const note = time === from ? bass : (upper[Math.floor(this.#roll() * upper.length)] as Note);
      const low = nearestTo(45, bass);
      this.#add(part, '1', 2, { note, midi: time === from ? low : above(low, note) }, time, Math.min(to, time + this.#pulse));
    }
  }
}

function above(low: number, note: Note): number {
  return low + ((((chroma(note) - low) % 12) + 12) % 12);
}

function belongsNot({ midi }: Pitch, { chord }: PlannedHarmony): boolean {
  return !chordNotes(chord).some((note) => chroma(note) === ((midi % 12) + 12) % 12);
}

/** The notes of a key; a minor key climbs with its leading tone. */
export function scaleOf({ tonic, scale }: Key, direction: number): readonly Note[] {
  if (scale === 'major') return [0, 2, 4, -1, 1, 3, 5].map((fifths) => tonic + fifths);
  return [0, 2, -3, -1, 1, -4, direction > 0 ? 5 : -2].map((fifths) => tonic + fifths);
}
