import type { Meter } from '../../chart/chart.ts';
import { findMeter } from '../../chart/head.ts';
import { failure, mod, type Result, success } from '../../fault.ts';
import { pitchOf } from '../../pitch/pitch-text.ts';
import { inOrder, type Measure, type Score, type ScoreNote, type ScorePart, TICKS, type WrittenName } from '../../score/score.ts';
import { joinTies, type TiedNote } from '../../score/ties.ts';
import type { LossList } from '../loss.ts';
import { keyOf, letteredChord, SHARP } from './musicxml-harmony.ts';
import { child, childrenOf, numberIn, parseXml, textIn, type XmlElement } from './xml.ts';

const MOST_MEASURES = 5000;
const MOST_NOTES = 60_000;
const MOST_PARTS = 64;
const DRUM_CHANNEL = 10;

/** Reads every note of a partwise MusicXML text as it sounds. */
export function scoreOfMusicXml(text: string, losses: LossList): Result<Score> {
  const root = parseXml(text);
  if (!root.ok) return root;
  const source = root.value;
  if (source.name === 'score-timewise') return failure({ code: 'format-timewise' }, 0, 0);
  if (source.name !== 'score-partwise') return failure({ code: 'format-other', format: 'MusicXML', found: source.name.slice(0, 40) }, 0, 0);
  const parts = childrenOf(source, 'part');
  const count = Math.max(0, ...parts.map((part) => childrenOf(part, 'measure').length));
  if (count === 0) return failure({ code: 'format-empty', format: 'MusicXML' }, 0, 0);
  if (count > MOST_MEASURES || parts.length > MOST_PARTS) return failure({ code: 'format-large', format: 'MusicXML' }, 0, 0);
  const listed = listedParts(source);
  const written = { notes: 0 };
  const read = parts.map((part, index) => readPart(part, listed.get(part.attributes.id ?? '') ?? unnamed(part, index), written, losses));
  if (read.reduce((sum, { notes }) => sum + notes.length, 0) > MOST_NOTES)
    return failure({ code: 'format-large', format: 'MusicXML' }, 0, 0);
  const measures = measuresOf(read, count);
  const notes = inOrder(read.flatMap((part) => timedNotes(part, measures)));
  if (notes.length === 0) return failure({ code: 'format-empty', format: 'MusicXML' }, 0, 0);
  const sounding = new Set(notes.map(({ part }) => part));
  return success({
    title: textIn(child(source, 'work'), 'work-title') || textIn(source, 'movement-title'),
    by: childrenOf(child(source, 'identification'), 'creator')[0]?.text ?? '',
    parts: read.map(({ part }) => part).filter(({ id }) => sounding.has(id)),
    measures,
    notes,
    names: namesOf(read, measures),
    tempo: read.map(({ tempo }) => tempo).find((tempo) => tempo !== null) ?? null,
  });
}

interface ListedPart extends ScorePart {
  readonly isDrums: boolean;
}

function unnamed(part: XmlElement, index: number): ListedPart {
  return { id: part.attributes.id ?? `P${index + 1}`, name: '', isDrums: false };
}

function listedParts(source: XmlElement): ReadonlyMap<string, ListedPart> {
  return new Map(
    childrenOf(child(source, 'part-list'), 'score-part').map((part): [string, ListedPart] => {
      const id = part.attributes.id ?? '';
      const channels = childrenOf(part, 'midi-instrument').map((one) => numberIn(one, 'midi-channel', 0));
      const isDrums = channels.length > 0 && channels.every((channel) => channel === DRUM_CHANNEL);
      return [id, { id, name: textIn(part, 'part-name').replace(/\s+/g, ' ').trim(), isDrums }];
    }),
  );
}

/** A note in its measure, in ticks from its beginning. */
interface PlacedNote extends Omit<TiedNote, 'from' | 'to' | 'part'> {
  readonly measure: number;
  readonly at: number;
  readonly length: number;
}

interface ReadPart {
  readonly part: ScorePart;
  readonly notes: readonly PlacedNote[];
  readonly names: readonly { readonly measure: number; readonly at: number; readonly chord: WrittenName['chord'] }[];
  readonly measures: readonly ReadMeasure[];
  readonly tempo: number | null;
}

interface ReadMeasure {
  readonly length: number;
  readonly meter: Meter;
  readonly fifths: number | null;
  readonly mode: Measure['mode'];
  readonly isImplicit: boolean;
}

/** Counts every note element of a file, in its order. */
interface WrittenCount {
  notes: number;
}

function readPart(element: XmlElement, listed: ListedPart, written: WrittenCount, losses: LossList): ReadPart {
  const reader = new PartReader(listed, written, losses);
  for (const [index, measure] of childrenOf(element, 'measure').entries()) reader.measure(measure, index);
  return reader.end();
}

/** Ticks of the note values, where a file gives no divisions. */
const VALUES: Readonly<Record<string, number>> = {
  long: 16,
  breve: 8,
  whole: 4,
  half: 2,
  quarter: 1,
  eighth: 1 / 2,
  '16th': 1 / 4,
  '32nd': 1 / 8,
  '64th': 1 / 16,
};

const MODES: Readonly<Partial<Record<string, NonNullable<Measure['mode']>>>> = {
  major: 'major',
  ionian: 'major',
  minor: 'minor',
  aeolian: 'minor',
};

/** What is in force in a part from measure to measure. */
class PartReader {
  readonly #part: ListedPart;
  readonly #written: WrittenCount;
  readonly #losses: LossList;
  readonly #notes: PlacedNote[] = [];
  readonly #names: { measure: number; at: number; chord: WrittenName['chord'] }[] = [];
  readonly #measures: ReadMeasure[] = [];
  #divisions: number | null = null;
  #meter: Meter = { beats: 4, unit: 4 };
  #fifths: number | null = null;
  #mode: Measure['mode'] = null;
  #tempo: number | null = null;
  /** What a transposing part has to be moved by: half steps, and places on the line of fifths. */
  #lower = 0;
  #moved = 0;
  readonly #drumStaves = new Set<number>();
  #index = 0;
  #at = 0;
  #struck = 0;
  #end = 0;

  constructor(part: ListedPart, written: WrittenCount, losses: LossList) {
    this.#part = part;
    this.#written = written;
    this.#losses = losses;
  }

  measure(element: XmlElement, index: number): void {
    this.#index = index;
    this.#at = 0;
    this.#struck = 0;
    this.#end = 0;
    for (const one of element.children) {
      this.#take(one);
      this.#end = Math.max(this.#end, this.#at);
    }
    const isImplicit = element.attributes.implicit === 'yes';
    this.#measures.push({ length: this.#end, meter: this.#meter, fifths: this.#fifths, mode: this.#mode, isImplicit });
  }

  end(): ReadPart {
    const { id, name } = this.#part;
    return { part: { id, name }, notes: this.#notes, names: this.#names, measures: this.#measures, tempo: this.#tempo };
  }

  #take(element: XmlElement): void {
    switch (element.name) {
      case 'attributes':
        this.#attributes(element);
        return;
      case 'backup':
        this.#at = Math.max(0, this.#at - this.#length(element));
        return;
      case 'forward':
        this.#at += this.#length(element);
        return;
      case 'harmony':
        this.#harmony(element);
        return;
      case 'direction':
      case 'sound':
        this.#sound(element.name === 'sound' ? element : child(element, 'sound'));
        return;
      case 'barline':
        if (child(element, 'repeat') !== undefined) this.#losses.add('repeats-once');
        return;
      case 'note':
        this.#note(element);
        return;
    }
  }

  #attributes(element: XmlElement): void {
    const divisions = numberIn(element, 'divisions', 0);
    if (divisions > 0) this.#divisions = divisions;
    const time = child(element, 'time');
    this.#meter = findMeter(`${textIn(time, 'beats')}/${textIn(time, 'beat-type')}`) ?? this.#meter;
    for (const clef of childrenOf(element, 'clef')) this.#clef(clef);
    const transpose = child(element, 'transpose');
    if (transpose !== undefined) this.#transpose(transpose);
    const key = child(element, 'key');
    if (key !== undefined && child(key, 'fifths') !== undefined) this.#key(key);
  }

  #clef(clef: XmlElement): void {
    const staff = Number(clef.attributes.number ?? 1) || 1;
    if (textIn(clef, 'sign') === 'percussion') this.#drumStaves.add(staff);
    else this.#drumStaves.delete(staff);
  }

  #key(key: XmlElement): void {
    this.#mode = MODES[textIn(key, 'mode')] ?? null;
    this.#fifths = keyOf({ ...key, children: key.children.filter(({ name }) => name !== 'mode') }).tonic + this.#moved;
  }

  #transpose(element: XmlElement): void {
    const halfSteps = Math.round(numberIn(element, 'chromatic', 0));
    const octaves = Math.round(numberIn(element, 'octave-change', 0));
    const letters = child(element, 'diatonic') === undefined ? null : Math.round(numberIn(element, 'diatonic', 0));
    this.#lower = halfSteps + 12 * octaves;
    const near = mod(7 * halfSteps + 6, 12) - 6;
    // of the names a moved note may have, the one whose letter is as many steps away as the part says
    const names = [near, near - 12, near + 12];
    this.#moved = (letters === null ? undefined : names.find((fifths) => mod(4 * fifths, 7) === mod(letters, 7))) ?? near;
  }

  #length(element: XmlElement): number {
    const written = numberIn(element, 'duration', 0);
    if (this.#divisions !== null || written === 0) return Math.max(0, Math.round((written * TICKS) / (this.#divisions ?? 1)));
    const value = VALUES[textIn(element, 'type')];
    if (value === undefined) return Math.max(0, Math.round(written * TICKS));
    const dots = childrenOf(element, 'dot').length;
    const tuplet = child(element, 'time-modification');
    const share = tuplet === undefined ? 1 : numberIn(tuplet, 'normal-notes', 1) / Math.max(1, numberIn(tuplet, 'actual-notes', 1));
    return Math.round(TICKS * value * (2 - 0.5 ** dots) * share);
  }

  #harmony(element: XmlElement): void {
    const chord = letteredChord(element);
    if (chord === 'unknown')
      this.#losses.add('chord-unknown', this.#index + 1, child(element, 'kind')?.attributes.text ?? textIn(element, 'kind'));
    if (chord === undefined || chord === 'unknown') return;
    const offset = Math.round((numberIn(element, 'offset', 0) * TICKS) / (this.#divisions ?? 1));
    const moved =
      chord === null ? null : { ...chord, root: chord.root + this.#moved, bass: chord.bass === null ? null : chord.bass + this.#moved };
    this.#names.push({ measure: this.#index, at: Math.max(0, this.#at + offset), chord: moved });
  }

  #sound(element: XmlElement | undefined): void {
    const tempo = Number(element?.attributes.tempo ?? 0);
    if (tempo > 0 && this.#tempo === null) this.#tempo = tempo;
    const { dacapo, dalsegno } = element?.attributes ?? {};
    if (dacapo !== undefined || dalsegno !== undefined) this.#losses.add('repeats-once');
  }

  #note(element: XmlElement): void {
    this.#written.notes += 1;
    if (child(element, 'grace') !== undefined) {
      this.#losses.add('grace', this.#index + 1);
      return;
    }
    const length = this.#length(element);
    const isJoined = child(element, 'chord') !== undefined;
    if (!isJoined) this.#struck = this.#at;
    if (!isJoined) this.#at += length;
    this.#pitched(element, isJoined ? this.#struck : this.#at - length, length);
  }

  #pitched(element: XmlElement, at: number, length: number): void {
    const staff = Math.max(1, Math.round(numberIn(element, 'staff', 1)));
    if (child(element, 'cue') !== undefined) {
      this.#losses.add('cue-notes', this.#index + 1);
      return;
    }
    if (
      child(element, 'unpitched') !== undefined ||
      ((this.#part.isDrums || this.#drumStaves.has(staff)) && child(element, 'pitch') !== undefined)
    ) {
      this.#losses.add('drums', null, this.#part.name);
      return;
    }
    const pitch = child(element, 'pitch');
    const letter = 'FCGDAEB'.indexOf(textIn(pitch, 'step') || '-');
    if (pitch === undefined || letter < 0 || length <= 0) return;
    const alter = Math.max(-2, Math.min(2, Math.round(numberIn(pitch, 'alter', 0))));
    const written = letter - 1 + SHARP * alter;
    const midi = pitchOf(written, Math.round(numberIn(pitch, 'octave', 4))) + this.#lower;
    if (midi < 0 || midi > 127) return;
    const notations = child(element, 'notations');
    const ties = [...childrenOf(element, 'tie'), ...childrenOf(notations, 'tied')].map(({ attributes }) => attributes.type);
    this.#notes.push({
      measure: this.#index,
      at,
      length,
      midi,
      written: [this.#written.notes - 1],
      note: written + this.#moved,
      staff,
      voice: textIn(element, 'voice') || '1',
      tied: { goesOn: ties.includes('start'), cameOn: ties.includes('stop') },
    });
  }
}

/** The measures of all parts as one row: a measure is as long as what sounds in it, an empty one as its meter says. */
function measuresOf(parts: readonly ReadPart[], count: number): readonly Measure[] {
  let from = 0;
  const lengthAt = (index: number) => Math.max(0, ...parts.map(({ measures }) => measures[index]?.length ?? 0));
  const meterAt = (index: number) => parts.find(({ measures }) => measures[index] !== undefined)?.measures[index] as ReadMeasure;
  const first = lengthAt(0);
  const hasPickup = first > 0 && first < full(meterAt(0).meter) && count > 1;
  return Array.from({ length: count }, (_, index): Measure => {
    const { meter, isImplicit } = meterAt(index);
    const signed = parts.map(({ measures }) => measures[index]).find((one) => one !== undefined && one.fifths !== null);
    const sounds = lengthAt(index);
    const isShort = sounds > 0 && sounds < full(meter) && (isImplicit || (index === 0 && hasPickup) || index === count - 1);
    const length = isShort ? sounds : Math.max(sounds, full(meter));
    const measure = {
      number: hasPickup ? index : index + 1,
      from,
      to: from + length,
      meter,
      fifths: signed?.fifths ?? null,
      mode: signed?.mode ?? null,
    };
    from += length;
    return measure;
  });
}

const full = ({ beats, unit }: Meter) => (beats * TICKS * 4) / unit;

/** Notes in the time of the piece, each tie one note. */
function timedNotes({ part, notes }: ReadPart, measures: readonly Measure[]): readonly ScoreNote[] {
  const timed = notes.map(({ measure, at, length, ...note }) => {
    const from = (measures[measure] as Measure).from + at;
    return { ...note, part: part.id, from, to: from + length };
  });
  return joinTies(timed.sort((a, b) => a.from - b.from));
}

/** Chord names of the first part that has them. */
function namesOf(parts: readonly ReadPart[], measures: readonly Measure[]): readonly WrittenName[] {
  const named = parts.find(({ names }) => names.length > 0)?.names ?? [];
  return named.map(({ measure, at, chord }) => ({ at: (measures[measure] as Measure).from + at, chord })).sort((a, b) => a.at - b.at);
}
