import type { FormJump, Meter } from '../../chart/chart.ts';
import { findMeter } from '../../chart/head.ts';
import { pulseOf } from '../../chart/timeline.ts';
import type { Chord } from '../../chord/chord.ts';
import { formulaOf } from '../../chord/formula.ts';
import { failure, type Result, success } from '../../fault.ts';
import { majorInterval } from '../../interval/interval.ts';
import { type Key, moveKey } from '../../key/key.ts';
import type { Note } from '../../pitch/note.ts';
import { formWord, jumpOf, PLAIN_JUMP } from '../form-words.ts';
import { type KeyGiven, withFoundChords } from '../found-harmony.ts';
import { chordsOfBar, type LeadSheet, type SheetBar, type SheetChord, startsOf } from '../lead-sheet.ts';
import type { LossList } from '../loss.ts';
import { withMelody } from '../melody.ts';
import { withPaperEndings } from '../paper-endings.ts';
import { formulaOfHarmony, keyOf, noteOf, SHARP } from './musicxml-harmony.ts';
import { notesOfParts, soundsLower, writtenMidi } from './musicxml-notes.ts';
import { child, childrenOf, numberIn, parseXml, textIn, type XmlElement } from './xml.ts';

const MOST_MEASURES = 5000;

/** Reads a partwise MusicXML text: the first part that has chords. Of a melody its range is kept. */
export function readMusicXml(text: string, losses: LossList): Result<LeadSheet> {
  const root = parseXml(text);
  if (!root.ok) return root;
  const score = root.value;
  if (score.name === 'score-timewise') return failure({ code: 'format-timewise' }, 0, 0);
  if (score.name !== 'score-partwise') return failure({ code: 'format-other', format: 'MusicXML', found: score.name.slice(0, 40) }, 0, 0);
  const parts = childrenOf(score, 'part');
  const hasChords = (part: XmlElement) => childrenOf(part, 'measure').some((measure) => child(measure, 'harmony') !== undefined);
  const part = parts.find(hasChords) ?? parts[0];
  const measures = childrenOf(part, 'measure');
  if (part === undefined || measures.length === 0) return failure({ code: 'format-empty', format: 'MusicXML' }, 0, 0);
  if (measures.length > MOST_MEASURES) return failure({ code: 'format-large', format: 'MusicXML' }, 0, 0);
  if (hasChords(part) && parts.length > 1) losses.add('voices');
  const reader = new MeasureReader(losses);
  const read = measures.map((measure) => reader.read(measure));
  const bars = hasChords(part) ? read : withFoundChords(read, notesOfParts(parts), keyGiven(measures, read[0]?.key), losses);
  return success(withMelody({ ...headOf(score), feel: '', bars: withPaperEndings(bars) }, reader.melody, losses));
}

/** Where a score names no mode, its accidentals leave major and minor open. */
function keyGiven(measures: readonly XmlElement[], sounding: Key | undefined): KeyGiven {
  const keys = measures.flatMap((measure) => childrenOf(measure, 'attributes').flatMap((one) => childrenOf(one, 'key')));
  const first = keys[0];
  if (first === undefined || sounding === undefined) return { kind: 'none' };
  return child(first, 'mode') === undefined ? { kind: 'signature', fifths: sounding.tonic } : { kind: 'named', key: sounding };
}

function headOf(score: XmlElement): Pick<LeadSheet, 'title' | 'by' | 'fields'> {
  const identification = child(score, 'identification');
  const creators = childrenOf(identification, 'creator');
  const fields = childrenOf(child(identification, 'miscellaneous'), 'miscellaneous-field')
    .map((field) => [(field.attributes.name ?? '').toLowerCase(), field.text] as const)
    .filter(([name, value]) => FIELDS.has(name) && value !== '');
  return {
    title: textIn(child(score, 'work'), 'work-title') || textIn(score, 'movement-title'),
    by: (creators.find(({ attributes }) => attributes.type === 'composer') ?? creators[0])?.text ?? '',
    fields,
  };
}

const FIELDS: ReadonlySet<string> = new Set(['range', 'note', 'numbering']);

/** What is read so far: attributes stay in force from measure to measure. */
class MeasureReader {
  readonly #losses: LossList;
  #divisions = 1;
  #meter: Meter = { beats: 4, unit: 4 };
  #key: Key = { tonic: 0, scale: 'major' };
  #tempo: number | null = null;
  #chord: Chord | null = null;
  #number = 0;
  /** Half steps from what is written to what sounds, within the octave and in all. */
  #lower = 0;
  #farLower = 0;
  /** What sounds, note by note, while it is one voice. */
  readonly #sung: number[] = [];
  readonly #voices = new Set<string>();
  #together = false;

  constructor(losses: LossList) {
    this.#losses = losses;
  }

  /** The notes as they sound; null where several sound together. */
  get melody(): readonly number[] | null {
    return this.#together || this.#voices.size > 1 ? null : this.#sung;
  }

  read(measure: XmlElement): SheetBar {
    this.#number += 1;
    const bar = new OpenMeasure();
    bar.isLettered = childrenOf(measure, 'harmony').some((one) => child(one, 'root') !== undefined);
    let at = 0;
    for (const element of measure.children) {
      at = this.#take(element, bar, at);
      bar.length = Math.max(bar.length, at);
    }
    return this.#close(measure, bar);
  }

  /** Takes one element of a measure in, and answers where the next one stands. */
  #take(element: XmlElement, bar: OpenMeasure, at: number): number {
    switch (element.name) {
      case 'attributes':
        this.#attributes(element);
        return at;
      case 'harmony':
        this.#place(element, bar, at);
        return at;
      case 'direction':
        this.#direction(element, bar);
        return at;
      case 'sound':
        this.#sound(element, bar, '');
        return at;
      case 'barline':
        barline(element, bar);
        return at;
      case 'print':
        bar.newLine ||= element.attributes['new-system'] === 'yes' || element.attributes['new-page'] === 'yes';
        return at;
      case 'backup':
        return at - numberIn(element, 'duration', 0);
      case 'forward':
        return at + numberIn(element, 'duration', 0);
      case 'note':
        this.#sing(element);
        return bar.note(element, at);
      default:
        return at;
    }
  }

  /** A chord that stands an eighth before its note is pushed; any other offset is where it enters. */
  #place(element: XmlElement, bar: OpenMeasure, at: number): void {
    const offset = numberIn(element, 'offset', 0);
    const push = Math.abs(offset + this.#divisions / 2) < 0.01;
    bar.harmony({ at: push ? at : at + offset, push, chord: this.#harmony(element, bar) });
  }

  #sing(note: XmlElement): void {
    const written = writtenMidi(note);
    if (written === undefined) return;
    this.#together ||= child(note, 'chord') !== undefined;
    this.#voices.add(`${textIn(note, 'staff')} ${textIn(note, 'voice')}`);
    this.#sung.push(Math.max(0, Math.min(HIGHEST_MIDI, written + this.#farLower)));
  }

  #close(measure: XmlElement, bar: OpenMeasure): SheetBar {
    const unit = this.#divisions * (4 / this.#meter.unit);
    const sounds = bar.length / unit;
    const short = sounds > 0 && sounds < this.#meter.beats - 0.01;
    const pickup =
      short && (measure.attributes.implicit === 'yes' || this.#number === 1) ? Math.max(0.5, Math.round(sounds * 2) / 2) : null;
    const beats = pickup ?? this.#meter.beats;
    const section = bar.section;
    const words = bar.words();
    return {
      section,
      times: 1,
      newLine: bar.newLine || section !== null,
      meter: this.#meter,
      key: this.#key,
      tempo: this.#tempo,
      pickup,
      chords: this.#chords(bar, unit, beats),
      remarks: bar.remarks,
      words,
      form: { opensRepeat: bar.opensRepeat, closesRepeat: bar.closesRepeat, ending: bar.ending, signs: bar.signs, after: bar.after },
    };
  }

  /** Chords from where they stand to the next; a bar that names none goes on with the chord before. */
  #chords(bar: OpenMeasure, unit: number, beats: number): readonly SheetChord[] {
    const named = bar.harmonies
      .map(({ at, ...one }) => ({ at: Math.max(0, at / unit), ...one }))
      .filter(({ at }) => at < beats)
      .sort((a, b) => a.at - b.at);
    const { chords, goesOn } = chordsOfBar(named, this.#chord, beats);
    this.#chord = goesOn;
    // a chord that goes on into the bar may be marked in it as well
    const starts = startsOf(chords);
    return chords.map((chord, place) => ({ ...chord, ...bar.marksAt((starts[place] as number) * unit) }));
  }

  #attributes(element: XmlElement): void {
    this.#divisions = Math.max(1, numberIn(element, 'divisions', this.#divisions));
    const time = child(element, 'time');
    this.#meter = findMeter(`${textIn(time, 'beats')}/${textIn(time, 'beat-type')}`) ?? this.#meter;
    const key = child(element, 'key');
    const transpose = child(element, 'transpose');
    if (transpose !== undefined) {
      this.#lower = Math.round(numberIn(transpose, 'chromatic', 0));
      this.#farLower = soundsLower(element) ?? 0;
    }
    if (key !== undefined) this.#key = this.#sounding(keyOf(key));
  }

  /** What sounds when a transposing instrument reads a key. */
  #sounding(written: Key): Key {
    return this.#lower % OCTAVE === 0 ? written : moveKey(written, this.#lower);
  }

  /** The same for a note of a chord: as far as the key is moved. */
  #soundingNote(note: Note): Note {
    return note + this.#sounding(C_MAJOR).tonic;
  }

  #harmony(element: XmlElement, bar: OpenMeasure): Chord | null | undefined {
    const kind = child(element, 'kind');
    if (kind?.text === 'none') return null;
    const root = this.#root(element, bar);
    if (root === undefined) return undefined;
    const formula = formulaOfHarmony(element);
    if (formula === undefined) {
      this.#losses.add('chord-unknown', this.#number, kind?.attributes.text ?? kind?.text ?? '');
      return undefined;
    }
    const written = noteOf(child(element, 'bass'), 'bass');
    const bass = written === undefined ? undefined : this.#soundingNote(written);
    return { root, formula: formula | ROOT, bass: bass === undefined || bass === root ? null : bass };
  }

  /** A chord is read by its letter; beside letters a numeral only says the same again. */
  #root(element: XmlElement, { isLettered }: OpenMeasure): Note | undefined {
    const root = noteOf(child(element, 'root'), 'root');
    if (root !== undefined) return this.#soundingNote(root);
    const numeral = child(element, 'numeral');
    if (numeral === undefined || isLettered) return undefined;
    const degree = numberIn(numeral, 'numeral-root', 0);
    if (degree < 1 || degree > 7) return undefined;
    return this.#key.tonic + majorInterval(degree - 1) + SHARP * numberIn(numeral, 'numeral-alter', 0);
  }

  #direction(element: XmlElement, bar: OpenMeasure): void {
    const types = childrenOf(element, 'direction-type');
    const words = types.flatMap((type) => childrenOf(type, 'words').map((one) => one.text)).filter((text) => text !== '');
    const sound = child(element, 'sound');
    const form = this.#sound(sound, bar, words.join(' '));
    for (const type of types) {
      const rehearsal = textIn(type, 'rehearsal');
      if (rehearsal !== '') bar.section = rehearsal;
      if (child(type, 'segno') !== undefined) bar.sign('segno');
      if (child(type, 'coda') !== undefined) bar.sign('coda');
      const metronome = child(type, 'metronome');
      if (metronome !== undefined) this.#tempo = this.#tempoOf(metronome) ?? this.#tempo;
    }
    if (!form) for (const text of words) this.#word(text, bar);
  }

  /** Words that are marks of form are taken as such, whether or not they say so to a machine. */
  #word(text: string, bar: OpenMeasure): void {
    const mark = formWord(text);
    if (mark === null) bar.remarks.push(text);
    else bar.after.push(mark);
  }

  /** Whether what stands there says how to go on. */
  #sound(sound: XmlElement | undefined, bar: OpenMeasure, words: string): boolean {
    if (sound === undefined) return false;
    const { dacapo, dalsegno, tocoda, fine, tempo, segno, coda } = sound.attributes;
    if (tempo !== undefined && Number(tempo) > 0) this.#tempo = (Number(tempo) * this.#meter.unit) / 4 / pulseOf(this.#meter);
    if (segno !== undefined) bar.sign('segno');
    if (coda !== undefined) bar.sign('coda');
    if (fine !== undefined) bar.after.push('fine');
    if (tocoda !== undefined) bar.after.push('to-coda');
    if (dacapo === 'yes') bar.after.push(jumpOf(words) ?? { ...PLAIN_JUMP, to: 'start' });
    if (dalsegno !== undefined) bar.after.push(jumpOf(words) ?? { ...PLAIN_JUMP, to: 'segno' });
    return fine !== undefined || tocoda !== undefined || dacapo === 'yes' || dalsegno !== undefined;
  }

  #tempoOf(metronome: XmlElement): number | undefined {
    const perMinute = Number(textIn(metronome, 'per-minute'));
    const quarters = UNIT_QUARTERS[textIn(metronome, 'beat-unit')];
    if (!(perMinute > 0) || quarters === undefined) return undefined;
    const dots = childrenOf(metronome, 'beat-unit-dot').length;
    return (perMinute * quarters * (2 - 0.5 ** dots) * this.#meter.unit) / 4 / pulseOf(this.#meter);
  }
}

const OCTAVE = 12;
const HIGHEST_MIDI = 127;
const C_MAJOR: Key = { tonic: 0, scale: 'major' };
const ROOT = formulaOf('1');
const UNIT_QUARTERS: Readonly<Record<string, number>> = { whole: 4, half: 2, quarter: 1, eighth: 0.5, '16th': 0.25 };

/** A measure while it is read. */
class OpenMeasure {
  section: string | null = null;
  newLine = false;
  /** Whether its chords are named by letters. */
  isLettered = false;
  opensRepeat = false;
  closesRepeat: number | null = null;
  ending: SheetBar['form']['ending'] = null;
  length = 0;
  readonly harmonies: { readonly at: number; readonly push: boolean; readonly chord: Chord | null }[] = [];
  readonly signs: ('segno' | 'coda')[] = [];
  readonly after: (FormJump | 'fine' | 'to-coda')[] = [];
  readonly remarks: string[] = [];
  readonly #marks = new Map<number, { ring: boolean; stop: boolean }>();
  readonly #lyrics = new Map<number, string>();

  harmony({ at, push, chord }: { readonly at: number; readonly push: boolean; readonly chord: Chord | null | undefined }): void {
    if (chord !== undefined) this.harmonies.push({ at, push, chord });
  }

  sign(sign: 'segno' | 'coda'): void {
    if (!this.signs.includes(sign)) this.signs.push(sign);
  }

  /** Takes a note in and answers where the next one stands. */
  note(note: XmlElement, at: number): number {
    const duration = child(note, 'grace') === undefined ? numberIn(note, 'duration', 0) : 0;
    for (const lyric of childrenOf(note, 'lyric')) this.#sing(lyric);
    if (child(note, 'chord') !== undefined) return at;
    const articulations = child(child(note, 'notations'), 'articulations');
    const stop = child(articulations, 'staccatissimo') !== undefined;
    const ring = textIn(note, 'notehead') === 'diamond';
    if (stop || ring) this.#marks.set(at, { ring, stop });
    return at + duration;
  }

  marksAt(at: number): { ring: boolean; stop: boolean } {
    for (const [place, marks] of this.#marks) if (Math.abs(place - at) < 0.01) return marks;
    return { ring: false, stop: false };
  }

  #sing(lyric: XmlElement): void {
    const line = Number(lyric.attributes.number ?? 1) || 1;
    const text = childrenOf(lyric, 'text')
      .map((one) => one.text)
      .join('');
    if (text === '') return;
    const goesOn = ['begin', 'middle'].includes(textIn(lyric, 'syllabic'));
    this.#lyrics.set(line, `${this.#lyrics.get(line) ?? ''}${text}${goesOn ? '' : ' '}`);
  }

  /** The words sung in this measure, one string a line. A word that goes on keeps its open end. */
  words(): readonly string[] {
    return [...this.#lyrics].sort(([a], [b]) => a - b).map(([, text]) => text);
  }
}

function barline(element: XmlElement, bar: OpenMeasure): void {
  const repeat = child(element, 'repeat');
  if (repeat?.attributes.direction === 'forward') bar.opensRepeat = true;
  if (repeat?.attributes.direction === 'backward') bar.closesRepeat = Math.max(2, Math.min(99, Number(repeat.attributes.times ?? 2) || 2));
  const ending = child(element, 'ending');
  if (ending === undefined) return;
  const passes = (ending.attributes.number ?? '').match(/\d+/g)?.map(Number) ?? [1];
  const begins = ending.attributes.type === 'start';
  bar.ending = { passes, begins: begins || (bar.ending?.begins ?? false), ends: !begins || (bar.ending?.ends ?? false) };
}
