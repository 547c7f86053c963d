import type { FormJump, Meter } from '../../chart/chart.ts';
import { sameMeter } from '../../chart/head.ts';
import { pulseOf } from '../../chart/timeline.ts';
import type { Chord } from '../../chord/chord.ts';
import { type Formula, formulaOf } from '../../chord/formula.ts';
import { LETTER_SCHOOL, printQuality } from '../../chord/quality-text.ts';
import { type Degree, numberChord } from '../../degree/degree.ts';
import { accidentalsOnMajor } from '../../interval/interval-text.ts';
import { type Key, sameKey } from '../../key/key.ts';
import { numberView } from '../../naming/symbol-view.ts';
import { afterWords } from '../../part/bar-words.ts';
import { accidentals, letterStep, type Note } from '../../pitch/note.ts';
import { isMinorScale } from '../../scale/scale.ts';
import type { ScaleName } from '../../scale/scale-table.ts';
import { kindOf } from '../harmony-kind.ts';
import { type FormHeld, type LeadSheet, type SheetBar, type SheetChord, startsOf } from '../lead-sheet.ts';
import type { LossList } from '../loss.ts';

/** MusicXML holds repeats, endings and jumps. */
export const MUSICXML_FORM: FormHeld = { repeats: true, mostTimes: 99, jumps: true, counts: false };

/** How chords stand in a file: letters and numbers, or one of them alone. */
export const SHOWN_CHORDS = ['both', 'letters', 'numbers'] as const;
export type ShownChords = (typeof SHOWN_CHORDS)[number];

/** For whom a song is written: half steps within the octave, and octaves, from what sounds up to what is read. */
export interface WrittenFor {
  readonly transpose: number;
  readonly octave: number;
  readonly show: ShownChords;
}

const CONCERT: WrittenFor = { transpose: 0, octave: 0, show: 'both' };

interface Whole {
  readonly score: LeadSheet;
  readonly reader: WrittenFor;
}

/** Parts of a quarter note: enough for half beats of sixteenths. */
const DIVISIONS = 16;
const EIGHTH = DIVISIONS / 2;
const LETTERS = 'CDEFGAB';

/** Modes MusicXML has a word for; the minor scales are one to it. */
const MODES: Readonly<Partial<Record<ScaleName, string>>> = {
  major: 'major',
  'natural minor': 'minor',
  dorian: 'dorian',
  phrygian: 'phrygian',
  lydian: 'lydian',
  mixolydian: 'mixolydian',
  locrian: 'locrian',
};

/**
 * A score as MusicXML 4.0, partwise: one staff of slashes with the chords as letters above and
 * as numbers of the key below; sections as rehearsal marks; lyrics under the first note of each chord.
 * A score that is written for a transposing reader says by how much it sounds lower.
 */
export function writeMusicXml(score: LeadSheet, losses: LossList, reader: WrittenFor = CONCERT): string {
  const measures = score.bars.map((bar, index) => measureOf(bar, score.bars[index - 1], { score, reader }, index, losses));
  // a part without a measure is no part
  if (measures.length === 0) measures.push('    <measure number="1"/>');
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<!DOCTYPE score-partwise PUBLIC "-//Recordare//DTD MusicXML 4.0 Partwise//EN" "http://www.musicxml.org/dtds/partwise.dtd">',
    '<score-partwise version="4.0">',
    `  <work><work-title>${escaped(score.title)}</work-title></work>`,
    '  <identification>',
    ...(score.by === '' ? [] : [`    <creator type="composer">${escaped(score.by)}</creator>`]),
    '    <encoding><software>Aurora Ridge</software></encoding>',
    ...(score.fields.length === 0
      ? []
      : [
          `    <miscellaneous>${score.fields.map(([name, value]) => `<miscellaneous-field name="${escaped(name)}">${escaped(value)}</miscellaneous-field>`).join('')}</miscellaneous>`,
        ]),
    '  </identification>',
    '  <part-list><score-part id="P1"><part-name>Chart</part-name></score-part></part-list>',
    '  <part id="P1">',
    ...measures,
    '  </part>',
    '</score-partwise>',
    '',
  ].join('\n');
}

/** Text as it may stand in XML. */
export function escaped(text: string): string {
  return text
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;')
    .replace(/[^\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu, '');
}

function measureOf(bar: SheetBar, before: SheetBar | undefined, { score, reader }: Whole, index: number, losses: LossList): string {
  const { form } = bar;
  const words = wordsFor(bar, score.bars, index);
  const starts = startsOf(bar.chords);
  const after = score.bars[index + 1]?.chords[0];
  const notes = bar.chords.flatMap((chord, place) => [
    ...harmonyOf(chord, bar, reader.show, index, losses),
    ...notesOf(chord, {
      start: starts[place] as number,
      meter: bar.meter,
      words: words.map((line) => line[place] ?? ''),
      // the very first chord comes early out of nothing
      comesOn: chord.push && (index > 0 || place > 0),
      goesOn: (bar.chords[place + 1] ?? after)?.push === true,
    }),
  ]);
  if (bar.chords.some(({ optional }) => optional)) losses.add('optional', index + 1);
  return [
    `    <measure number="${index + 1}"${bar.pickup === null ? '' : ' implicit="yes"'}>`,
    ...(bar.newLine && index > 0 ? ['<print new-system="yes"/>'] : []),
    ...leftBarline(form),
    ...attributesOf(bar, before, reader, index, losses),
    ...directionsBefore(bar, before, score, index),
    ...notes,
    ...form.after.map(jumpDirection),
    ...rightBarline(form),
    '    </measure>',
  ].join('\n      ');
}

function leftBarline({ opensRepeat, ending }: SheetBar['form']): readonly string[] {
  if (!opensRepeat && ending?.begins !== true) return [];
  return [
    '<barline location="left">',
    ...(ending?.begins === true ? [`<ending number="${ending.passes.join(', ')}" type="start"/>`] : []),
    ...(opensRepeat ? ['<repeat direction="forward"/>'] : []),
    '</barline>',
  ];
}

/** An ending but the last goes back itself, as it is written on paper. */
function rightBarline({ closesRepeat, ending }: SheetBar['form']): readonly string[] {
  const ends = ending?.ends === true;
  const back = closesRepeat !== null ? !ends || ending.passes.length > 1 : ends;
  if (!ends && closesRepeat === null) return [];
  const times = closesRepeat ?? 2;
  return [
    '<barline location="right">',
    ...(ends ? [`<ending number="${ending.passes.join(', ')}" type="${back ? 'stop' : 'discontinue'}"/>`] : []),
    ...(back ? [`<repeat direction="backward"${times === 2 ? '' : ` times="${times}"`}/>`] : []),
    '</barline>',
  ];
}

function attributesOf(bar: SheetBar, before: SheetBar | undefined, reader: WrittenFor, index: number, losses: LossList): readonly string[] {
  const key = before === undefined || !sameKey(before.key, bar.key) ? [keyOf(bar.key, index, losses)] : [];
  const time =
    before === undefined || !sameMeter(before.meter, bar.meter)
      ? [`<time><beats>${bar.meter.beats}</beats><beat-type>${bar.meter.unit}</beat-type></time>`]
      : [];
  if (before !== undefined && key.length === 0 && time.length === 0) return [];
  const first = before === undefined;
  return [
    `<attributes>${first ? `<divisions>${DIVISIONS}</divisions>` : ''}${key.join('')}${time.join('')}${first ? '<clef><sign>G</sign><line>2</line></clef>' : ''}${first ? transposeOf(reader) : ''}</attributes>`,
  ];
}

/** For an instrument that sounds lower than it reads: by how many half steps and octaves. */
function transposeOf({ transpose, octave }: WrittenFor): string {
  if (transpose === 0 && octave === 0) return '';
  const change = octave === 0 ? '' : `<octave-change>${-octave}</octave-change>`;
  const diatonic = transpose === 0 ? 0 : -(DIATONIC[transpose] as number);
  return `<transpose><diatonic>${diatonic}</diatonic><chromatic>${transpose === 0 ? 0 : -transpose}</chromatic>${change}</transpose>`;
}

/** Steps of the staff by half steps. */
const DIATONIC = [0, 1, 1, 2, 2, 3, 3, 4, 5, 5, 6, 6] as const;

/** How many fifths from C a mode's signature lies below its tonic's major. */
const MODE_FIFTHS: Readonly<Record<string, number>> = {
  major: 0,
  minor: -3,
  dorian: -2,
  phrygian: -4,
  lydian: 1,
  mixolydian: -1,
  locrian: -5,
};

function keyOf({ tonic, scale }: Key, index: number, losses: LossList): string {
  const mode = MODES[scale] ?? (isMinorScale(scale) ? 'minor' : 'major');
  if (MODES[scale] === undefined) losses.add('mode', index + 1, mode);
  return `<key><fifths>${tonic + (MODE_FIFTHS[mode] as number)}</fifths><mode>${mode}</mode></key>`;
}

function directionsBefore(bar: SheetBar, before: SheetBar | undefined, score: LeadSheet, index: number): readonly string[] {
  const newTempo = bar.tempo !== null && bar.tempo !== before?.tempo;
  return [
    ...(bar.section === null ? [] : [direction(`<rehearsal>${escaped(bar.section)}</rehearsal>`)]),
    ...(index === 0 && score.feel !== '' ? [direction(`<words font-style="italic">${escaped(score.feel)}</words>`)] : []),
    ...(newTempo ? [tempoDirection(bar.tempo as number, bar.meter)] : []),
    ...bar.form.signs.map((sign) => direction(`<${sign}/>`, `<sound ${sign}="${sign}"/>`)),
    ...bar.remarks.map((text) => direction(`<words>${escaped(text)}</words>`)),
  ];
}

function direction(type: string, sound = ''): string {
  return `<direction placement="above"><direction-type>${type}</direction-type>${sound}</direction>`;
}

const NOTE_TYPES: Readonly<Record<number, string>> = {
  1: 'whole',
  2: 'half',
  4: 'quarter',
  8: 'eighth',
  16: '16th',
  32: '32nd',
  64: '64th',
};

function tempoDirection(tempo: number, meter: Meter): string {
  const { unit } = meter;
  const pulse = pulseOf(meter);
  const quarters = (tempo * 4 * pulse) / unit;
  const beat = pulse === 3 ? '<beat-unit>quarter</beat-unit><beat-unit-dot/>' : `<beat-unit>${NOTE_TYPES[unit] ?? 'quarter'}</beat-unit>`;
  return direction(`<metronome>${beat}<per-minute>${tempo}</per-minute></metronome>`, `<sound tempo="${quarters}"/>`);
}

function jumpDirection(mark: 'fine' | 'to-coda' | FormJump): string {
  return direction(`<words>${afterWords({ after: [mark] }).join('')}</words>`, jumpSound(mark));
}

function jumpSound(mark: 'fine' | 'to-coda' | FormJump): string {
  if (mark === 'fine') return '<sound fine="yes"/>';
  if (mark === 'to-coda') return '<sound tocoda="coda"/>';
  return mark.to === 'start' ? '<sound dacapo="yes"/>' : '<sound dalsegno="segno"/>';
}

/** The chord at its first note: letters above the staff, and its number in the key below it; the one of them that is wanted above it. */
function harmonyOf({ chord, push }: SheetChord, { key }: SheetBar, show: ShownChords, index: number, losses: LossList): readonly string[] {
  if (chord === null) {
    losses.add('no-chord', index + 1);
    return ['<harmony placement="above"><root><root-step text="">C</root-step></root><kind text="N.C.">none</kind></harmony>'];
  }
  const { kind, tones: own, degrees } = kindOf(chord.formula);
  const tones = degrees
    .map(
      ({ type, value, alter }) =>
        `<degree><degree-value>${value}</degree-value><degree-alter>${alter}</degree-alter><degree-type>${type}</degree-type></degree>`,
    )
    .join('');
  // programs write degrees behind the kind's text themselves
  const letters = `<kind text="${escaped(printQuality(own, LETTER_SCHOOL))}">${kind}</kind>`;
  const numbers = `<kind text="${escaped(numberSign(own))}">${kind}</kind>`;
  const bass = chord.bass === null ? '' : `<bass>${stepAndAlter('bass', chord.bass)}</bass>`;
  // it is heard before the beat it belongs to
  const early = push ? `<offset sound="yes">-${EIGHTH}</offset>` : '';
  return [
    ...(show === 'numbers'
      ? []
      : [`<harmony placement="above"><root>${stepAndAlter('root', chord.root)}</root>${letters}${bass}${tones}${early}</harmony>`]),
    ...(show === 'letters'
      ? []
      : [
          `<harmony placement="${show === 'numbers' ? 'above' : 'below'}"><numeral>${numeralOf(chord, key)}</numeral>${numbers}${numberBass(chord, key)}${tones}${early}</harmony>`,
        ]),
  ];
}

/** A quality as it stands behind a number: a dash for minor. */
function numberSign(formula: Formula): string {
  const { sign, raised } = numberView({ degree: 0, formula, bass: null });
  return `${sign}${raised}`;
}

/** The bass of a number, shown as a number; programs that know no numbers read its letter. */
function numberBass(chord: Chord, { tonic }: Key): string {
  if (chord.bass === null) return '';
  const shown = printDegree(chord.bass - tonic);
  const alter = accidentals(chord.bass);
  const hidden = alter === 0 ? '' : `<bass-alter print-object="no">${alter}</bass-alter>`;
  return `<bass><bass-step text="${shown}">${LETTERS[letterStep(chord.bass)]}</bass-step>${hidden}</bass>`;
}

/** A degree with its accidental as a sign: `♭7`. */
function printDegree(degree: Degree): string {
  const { prefix, main } = numberView({ degree, formula: MAJOR, bass: null });
  return `${prefix}${main}`;
}

const MAJOR = formulaOf('1', '3', '5');

export function stepAndAlter(what: 'root' | 'bass', note: Note): string {
  const alter = accidentals(note);
  return `<${what}-step>${LETTERS[letterStep(note)]}</${what}-step>${alter === 0 ? '' : `<${what}-alter>${alter}</${what}-alter>`}`;
}

function numeralOf(chord: Chord, { tonic }: Key): string {
  const { degree } = numberChord(chord, tonic);
  const alter = accidentalsOnMajor(degree);
  const hidden = alter === 0 ? '' : `<numeral-alter print-object="no">${alter}</numeral-alter>`;
  return `<numeral-root text="${printDegree(degree)}">${letterStep(degree) + 1}</numeral-root>${hidden}`;
}

/** Where a chord lies in its bar, and whether it came an eighth early, or the next one does. */
interface NotePlace {
  /** In beats. */
  readonly start: number;
  readonly meter: Meter;
  readonly words: readonly string[];
  readonly comesOn: boolean;
  readonly goesOn: boolean;
}

/** Slashes for as long as a chord lasts, a beat each; rests where nobody plays. A pushed chord begins with the eighth before it, tied over. */
function notesOf({ chord, beats, ring, stop }: SheetChord, { start, meter, words, comesOn, goesOn }: NotePlace): readonly string[] {
  const lengths = [...Array.from({ length: Math.floor(beats) }, () => 1), ...(beats % 1 === 0 ? [] : [beats % 1])];
  return lengths.flatMap((length, place) => {
    const [from, to] = [place, place + length].map((beat) => Math.round(((start + beat) * 4 * DIVISIONS) / meter.unit)) as [number, number];
    const duration = Math.max(1, to - from);
    const first = place === 0;
    const look = { ring: first && ring, stop: first && stop, words: first ? words : [], stops: first && comesOn, starts: false };
    const type = typeOf(length, meter);
    if (!goesOn || place < lengths.length - 1) return [noteOf(duration, type, chord === null ? null : look)];
    const early = noteOf(Math.min(duration, EIGHTH), typeIn(Math.min(duration, EIGHTH)), { ...NO_LOOK, starts: true });
    if (duration <= EIGHTH) return [noteOf(duration, type, { ...look, starts: true })];
    return [noteOf(duration - EIGHTH, typeIn(duration - EIGHTH), chord === null ? null : look), early];
  });
}

interface NoteLook {
  readonly ring: boolean;
  readonly stop: boolean;
  readonly words: readonly string[];
  /** Whether a tie ends at it, and begins. */
  readonly stops: boolean;
  readonly starts: boolean;
}

const NO_LOOK: NoteLook = { ring: false, stop: false, words: [], stops: false, starts: false };

/** A slash, a diamond for a chord that rings; a rest for none. */
function noteOf(duration: number, type: string, look: NoteLook | null): string {
  if (look === null) return `<note><rest/><duration>${duration}</duration>${type}</note>`;
  const { ring, stop, words, stops, starts } = look;
  const ties = [stops ? 'stop' : '', starts ? 'start' : ''].filter((tie) => tie !== '');
  const tied = ties.map((tie) => `<tied type="${tie}"/>`).join('');
  const short = stop ? '<articulations><staccatissimo/></articulations>' : '';
  const marks = tied === '' && short === '' ? '' : `<notations>${tied}${short}</notations>`;
  const sung = words
    .map((text, line) =>
      text === '' ? '' : `<lyric number="${line + 1}"><syllabic>single</syllabic><text>${escaped(text)}</text></lyric>`,
    )
    .join('');
  return `<note><unpitched><display-step>B</display-step><display-octave>4</display-octave></unpitched><duration>${duration}</duration>${ties.map((tie) => `<tie type="${tie}"/>`).join('')}${type}<stem>none</stem><notehead>${ring ? 'diamond' : 'slash'}</notehead>${marks}${sung}</note>`;
}

/** The note value of a duration, with a dot where it needs one; none where it has no name. */
function typeIn(duration: number): string {
  const plain = NOTE_TYPES[(4 * DIVISIONS) / duration];
  if (plain !== undefined) return `<type>${plain}</type>`;
  const dotted = NOTE_TYPES[(6 * DIVISIONS) / duration];
  return dotted === undefined ? '' : `<type>${dotted}</type><dot/>`;
}

function typeOf(length: number, { unit }: Meter): string {
  const name = NOTE_TYPES[length === 1 ? unit : length === 0.5 ? unit * 2 : 0];
  return name === undefined ? '' : `<type>${name}</type>`;
}

/** The words of the line a bar stands on, shared out over the chords of the line: for each line of words, the pieces of this bar. */
function wordsFor(bar: SheetBar, bars: readonly SheetBar[], index: number): readonly (readonly string[])[] {
  let start = index;
  while (start > 0 && bars[start]?.newLine === false) start -= 1;
  const lines = bars[start]?.words ?? [];
  if (lines.length === 0) return [];
  let end = index + 1;
  while (end < bars.length && bars[end]?.newLine === false) end += 1;
  const row = bars.slice(start, end);
  // no words stand under a rest
  const slots = row.flatMap((one, place) => one.chords.flatMap(({ chord }, at) => (chord === null ? [] : [{ bar: start + place, at }])));
  return lines.map((line) => {
    const words = line.split(/\s+/).filter((word) => word !== '');
    const pieces = bar.chords.map(() => '');
    slots.forEach((slot, place) => {
      if (slot.bar !== index) return;
      const [from, to] = [place, place + 1].map((edge) => Math.round((edge * words.length) / slots.length)) as [number, number];
      pieces[slot.at] = words.slice(from, to).join(' ');
    });
    return pieces;
  });
}
