import type { FormJump, Meter } from '../../chart/chart.ts';
import { findMeter } from '../../chart/head.ts';
import { pulseOf } from '../../chart/timeline.ts';
import type { Chord } from '../../chord/chord.ts';
import { parseChord } from '../../chord/chord-text.ts';
import type { Key } from '../../key/key.ts';
import type { Note } from '../../pitch/note.ts';
import { parseNote } from '../../pitch/note-text.ts';
import type { ScaleName } from '../../scale/scale-table.ts';
import { formWord } from '../form-words.ts';
import type { WrittenNote } from '../found-harmony.ts';
import { chordsOfBar, type SheetBar, type SheetChord } from '../lead-sheet.ts';
import type { LossList } from '../loss.ts';
import { Accidentals } from './abc-pitch.ts';
import { type AbcElement, type AbcLine, type AbcTempo, annotations, sing } from './abc-tune.ts';

/** Words of a tune, as they are said. */
export function plain(text: unknown): string {
  return typeof text === 'string' ? text.replace(/\\%/g, '%') : '';
}

type Sign = 'segno' | 'coda';
type After = 'fine' | 'to-coda' | FormJump;

const SIGNS: Readonly<Partial<Record<string, Sign>>> = { segno: 'segno', coda: 'coda' };

/** Decorations that say how to go on, in the words people write. */
const SPOKEN: Readonly<Partial<Record<string, string>>> = {
  fine: 'Fine',
  dacapo: 'D.C.',
  'D.C.': 'D.C.',
  'D.S.': 'D.S.',
  'D.C.alcoda': 'D.C. al Coda',
  'D.C.alfine': 'D.C. al Fine',
  'D.S.alcoda': 'D.S. al Coda',
  'D.S.alfine': 'D.S. al Fine',
};

/** A note of a tune with its name, and whether it is tied. */
export interface NamedNote extends WrittenNote {
  readonly note: Note;
  readonly tied: { readonly goesOn: boolean; readonly cameOn: boolean };
}

/** A bar while it is read. */
interface OpenBar {
  at: number;
  named: { at: number; chord: Chord | null }[];
  section: string | null;
  newLine: boolean;
  remarks: string[];
  words: string[];
  opensRepeat: boolean;
  begins: readonly number[] | null;
  readonly signs: Sign[];
  readonly after: After[];
  meter: Meter;
  key: Key;
  tempo: AbcTempo | null;
}

const WHOLE: Meter = { beats: 4, unit: 4 };

/** Reads a tune line by line: its bars with the chords that are named, and every note. */
export class TuneReader {
  readonly #losses: LossList;
  readonly #bars: (SheetBar & { readonly tempoMark: AbcTempo | null })[] = [];
  #meter: Meter = WHOLE;
  #key: Key = { tonic: 0, scale: 'major' };
  #chord: Chord | null = null;
  #tempo: AbcTempo | null = null;
  #open: OpenBar | null = null;
  #opens = false;
  #begins: readonly number[] | null = null;
  #signs: Sign[] = [];
  #newLine = true;
  #triplet = 1;
  hasNotes = false;
  /** Whether a chord is named, and whether voices lie over each other within the voice. */
  isNamed = false;
  isDivided = false;
  readonly #notes: NamedNote[] = [];
  readonly #accidentals = new Accidentals();
  /** Notes whose ties are open, by voice and place on the staff. */
  readonly #tied = new Map<string, { readonly midi: number; readonly note: Note }>();
  #firstMeter = true;

  constructor(losses: LossList) {
    this.#losses = losses;
  }

  /** Every note where it is written. */
  get notes(): readonly NamedNote[] {
    return this.#notes;
  }

  line(line: AbcLine): void {
    const staff = line.staff?.[0];
    if (staff === undefined) {
      this.#text(line);
      return;
    }
    const [voice = [], ...beside] = staff.voices ?? [];
    if (staff.key !== undefined) this.#accidentals.key(staff.key);
    if (beside.length > 0) this.#beside(beside, staff.key);
    if (staff.key !== undefined && this.#bars.length === 0 && this.#open === null) this.#key = keyOf(staff.key) ?? this.#key;
    if (staff.meter !== undefined && this.#firstMeter) this.#meter = meterOf(staff.meter) ?? this.#meter;
    this.#firstMeter = false;
    this.#newLine = true;
    const first = this.#bars.length;
    const verses: string[] = [];
    for (const element of voice) {
      this.#element(element);
      sing(element, verses);
    }
    const bar = this.#bars[first];
    if (bar !== undefined) this.#bars[first] = { ...bar, words: [...bar.words, ...verses.map((text) => plain(text.trim()))] };
  }

  end(tempo: AbcTempo | undefined): readonly SheetBar[] {
    this.#close(null, null);
    let now = tempo ?? null;
    return this.#bars.map(({ tempoMark, ...bar }) => {
      now = tempoMark ?? now;
      return { ...bar, tempo: tempoIn(now, bar.meter) };
    });
  }

  /** Text between the lines of music is words under the line before. */
  #text({ text }: AbcLine): void {
    const words = Array.isArray(text)
      ? text.map((one) => one.text).join('')
      : typeof text === 'string'
        ? text
        : (text as { text?: string } | undefined)?.text;
    const last = this.#bars.length - 1;
    let first = last;
    while (first > 0 && this.#bars[first]?.newLine === false) first -= 1;
    const bar = this.#bars[first];
    if (bar !== undefined && typeof words === 'string' && words.trim() !== '')
      this.#bars[first] = { ...bar, words: [...bar.words, plain(words.trim())] };
  }

  #element(element: AbcElement): void {
    switch (element.el_type) {
      case 'note':
        this.#note(element);
        return;
      case 'bar':
        this.#bar(element);
        return;
      case 'key':
      case 'keySignature':
        this.#key = keyOf(element) ?? this.#key;
        this.#accidentals.key(element);
        if (this.#open?.at === 0) this.#open.key = this.#key;
        return;
      case 'meter':
      case 'timeSignature':
        this.#meter = meterOf(element) ?? this.#meter;
        if (this.#open?.at === 0) this.#open.meter = this.#meter;
        return;
      case 'tempo':
        this.#tempo = element as unknown as AbcTempo;
        if (this.#open?.at === 0) this.#open.tempo = this.#tempo;
        return;
      case 'part':
        if (element.title !== undefined) this.#begun().section = plain(element.title);
        return;
    }
  }

  #begun(): OpenBar {
    this.#open ??= {
      at: 0,
      named: [],
      section: null,
      newLine: this.#newLine,
      remarks: [],
      words: [],
      opensRepeat: this.#opens,
      begins: this.#begins,
      signs: this.#signs,
      after: [],
      meter: this.#meter,
      key: this.#key,
      tempo: this.#tempo,
    };
    this.#opens = false;
    this.#signs = [];
    this.#begins = null;
    this.#newLine = false;
    this.#tempo = null;
    return this.#open;
  }

  #note(element: AbcElement): void {
    const bar = this.#begun();
    for (const name of element.decoration ?? []) this.#sign(bar, name);
    if (element.pitches !== undefined) this.hasNotes = true;
    if (element.startTriplet !== undefined) this.#triplet = element.tripletMultiplier ?? 1;
    // annotations at one place come as lines of one text
    for (const { name, position } of element.chord ?? []) for (const line of name.split('\n')) this.#name(bar, line.trim(), position);
    const length = (element.duration ?? 0) * this.#triplet;
    this.#hear(element, this.#accidentals, { bar: this.#bars.length, at: bar.at * 4, quarters: length * 4, voice: '' });
    bar.at += length;
    if (element.endTriplet === true) this.#triplet = 1;
  }

  #hear({ pitches = [] }: AbcElement, accidentals: Accidentals, where: Omit<WrittenNote, 'midi'>): void {
    for (const pitch of pitches) {
      const place = `${where.voice} ${pitch.pitch}`;
      // an accidental holds to the end of a tie, over the bar line as well
      const heard = (pitch.endTie === true ? this.#tied.get(place) : undefined) ?? accidentals.heard(pitch);
      if (pitch.startTie !== undefined && heard !== undefined) this.#tied.set(place, heard);
      const tied = { goesOn: pitch.startTie !== undefined, cameOn: pitch.endTie !== undefined };
      if (heard !== undefined && where.quarters > 0) this.#notes.push({ ...where, ...heard, tied });
    }
  }

  /** Voices laid over a line of the voice, from the bar that it begins with. */
  #beside(voices: readonly (readonly AbcElement[])[], key: AbcElement | undefined): void {
    this.isDivided = true;
    voices.forEach((elements, index) => {
      const accidentals = new Accidentals();
      if (key !== undefined) accidentals.key(key);
      let [bar, at] = [this.#bars.length, 0];
      for (const element of elements) {
        if (element.el_type === 'bar' && at > 0) {
          [bar, at] = [bar + 1, 0];
          accidentals.barLine();
        }
        if (element.el_type !== 'note') continue;
        const quarters = (element.duration ?? 0) * 4;
        this.#hear(element, accidentals, { bar, at, quarters, voice: `over ${index}` });
        at += quarters;
      }
    });
  }

  /** Words at a bar line belong to the bar that ends: how to go on, or something said about it. */
  #sayAtEnd(words: string): void {
    const last = words === '' ? undefined : this.#bars.pop();
    if (last === undefined) return;
    const mark = formWord(words);
    const form = mark === null ? last.form : { ...last.form, after: [...last.form.after, mark] };
    this.#bars.push({ ...last, form, remarks: mark === null ? [...last.remarks, plain(words)] : last.remarks });
  }

  /** What a decoration says about the order of playing; those of the melody say nothing here. */
  #sign(bar: OpenBar, name: string): void {
    const sign = SIGNS[name];
    if (sign !== undefined) bar.signs.push(sign);
    this.#say(bar, SPOKEN[name] ?? '');
  }

  #say(bar: OpenBar, words: string): void {
    const mark = formWord(words);
    if (mark !== null) bar.after.push(mark);
    else if (words !== '') bar.remarks.push(plain(words));
  }

  /** A chord name, a section in brackets, or something said about the bar. */
  #name(bar: OpenBar, name: string, position: string): void {
    if (/^n\.?\s?c\.?$/i.test(name)) this.#named(bar, null);
    else if (position === 'default') {
      const chord = parseChord(name.replace(/♯/g, '#').replace(/♭/g, 'b').replace(/\s.*$/, ''));
      if (chord.ok) this.#named(bar, chord.value);
      else this.#losses.add('chord-unknown', this.#bars.length + 1, name);
    } else if (/^\[.*\]$/.test(name) && bar.at === 0) bar.section = plain(name.slice(1, -1));
    else this.#say(bar, name);
  }

  #named(bar: OpenBar, chord: Chord | null): void {
    this.isNamed = true;
    bar.named.push({ at: bar.at, chord });
  }

  #bar(element: AbcElement): void {
    const type = element.type ?? '';
    this.#close(element.endEnding === true ? true : null, /right_repeat|dbl_repeat/.test(type) ? 2 : null);
    for (const name of element.decoration ?? []) {
      const sign = SIGNS[name];
      if (sign === undefined) this.#sayAtEnd(SPOKEN[name] ?? '');
      else this.#signs.push(sign);
    }
    for (const { name } of annotations(element)) this.#sayAtEnd(name);
    if (/left_repeat|dbl_repeat/.test(type)) this.#opens = true;
    if (element.startEnding !== undefined) this.#begins = element.startEnding.match(/\d+/g)?.map(Number) ?? [1];
  }

  #close(endsEnding: true | null, closesRepeat: number | null): void {
    const open = this.#open;
    this.#open = null;
    this.#accidentals.barLine();
    if (open === null || open.at <= 0) return;
    const beats = open.at * open.meter.unit;
    const short = beats < open.meter.beats - 0.01;
    const pickup = short && this.#bars.length === 0 ? Math.max(0.5, Math.round(beats * 2) / 2) : null;
    const ending =
      open.begins === null && endsEnding === null
        ? null
        : { passes: open.begins ?? [], begins: open.begins !== null, ends: endsEnding === true };
    this.#bars.push({
      section: open.section,
      times: 1,
      newLine: open.newLine || open.section !== null,
      meter: open.meter,
      key: open.key,
      tempo: null,
      tempoMark: open.tempo,
      pickup,
      chords: this.#chords(open, pickup ?? open.meter.beats),
      remarks: open.remarks,
      words: open.words,
      form: { opensRepeat: open.opensRepeat, closesRepeat, ending, signs: open.signs, after: open.after },
    });
  }

  #chords({ named, meter }: OpenBar, beats: number): readonly SheetChord[] {
    const inBeats = named.map(({ at, chord }) => ({ at: at * meter.unit, chord })).filter(({ at }) => at < beats);
    const { chords, goesOn } = chordsOfBar(inBeats, this.#chord, beats);
    this.#chord = goesOn;
    return chords;
  }
}

function meterOf({ value, type }: AbcElement): Meter | undefined {
  if (type === 'common_time') return WHOLE;
  if (type === 'cut_time') return { beats: 2, unit: 2 };
  const first = value?.[0];
  return first === undefined ? undefined : findMeter(`${first.num}/${first.den ?? '4'}`);
}

const MODES: Readonly<Record<string, ScaleName>> = {
  '': 'major',
  m: 'natural minor',
  Dor: 'dorian',
  Phr: 'phrygian',
  Lyd: 'lydian',
  Mix: 'mixolydian',
  Loc: 'locrian',
};

function keyOf({ root, acc = '', mode = '' }: AbcElement): Key | undefined {
  const tonic = parseNote(`${root ?? ''}${acc}`);
  return tonic.ok ? { tonic: tonic.value, scale: MODES[mode] ?? 'major' } : undefined;
}

/** Beats a minute as a chart counts them. */
function tempoIn(tempo: AbcTempo | null, meter: Meter): number | null {
  if (tempo?.bpm === undefined) return null;
  const length = tempo.duration?.[0] ?? 1 / 4;
  return Math.round((tempo.bpm * length * meter.unit * 100) / pulseOf(meter)) / 100;
}
