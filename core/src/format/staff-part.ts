import { accidentals, letterStep, type Note } from '../pitch/note.ts';
import { octaveOf } from '../pitch/pitch-text.ts';
import { pulseTicks } from '../score/place.ts';
import { type Measure, TICKS } from '../score/score.ts';
import { escaped } from './musicxml/musicxml-write.ts';
import { type NoteValue, valuesFor } from './note-values.ts';

/** Notes that begin and end together in one voice, and what is written over and under them. */
export interface StaffEvent {
  readonly from: number;
  readonly to: number;
  readonly pitches: readonly { readonly note: Note; readonly midi: number; readonly id: string }[];
  /** MusicXML of what stands before it: a chord name. */
  readonly before?: string;
  /** Lines of words under it. */
  readonly words?: readonly string[];
}

/** A voice of a part on one of its staves: events in the order of time that do not overlap. */
export interface StaffVoice {
  readonly staff: number;
  readonly events: readonly StaffEvent[];
}

/** A part to be written out. */
export interface StaffPart {
  readonly id: string;
  readonly name: string;
  readonly clefs: readonly ('treble' | 'bass')[];
  readonly voices: readonly StaffVoice[];
}

const CLEFS = { treble: '<sign>G</sign><line>2</line>', bass: '<sign>F</sign><line>4</line>' } as const;

/** A part as MusicXML: its measures, notes tied over bar lines, beams by the beat. Rests fill what no event does. */
export function partXml(part: StaffPart, measures: readonly Measure[]): string {
  const cursors = part.voices.map(() => 0);
  const written = measures.map((measure, index) => {
    const bodies = part.voices.map(({ staff, events }, voice) => {
      let at = cursors[voice] as number;
      while (at < events.length && (events[at] as StaffEvent).to <= measure.from) at += 1;
      cursors[voice] = at;
      const own: StaffEvent[] = [];
      for (let place = at; place < events.length && (events[place] as StaffEvent).from < measure.to; place += 1)
        own.push(events[place] as StaffEvent);
      return voiceXml({ staff, events: own }, measure, { voice: voice + 1, staves: part.clefs.length });
    });
    const backup = `<backup><duration>${measure.to - measure.from}</duration></backup>`;
    const implicit = measure.number === 0 ? ' implicit="yes"' : '';
    return `<measure number="${measure.number}"${implicit}>${attributesXml(part, measure, measures[index - 1])}${bodies.join(backup)}</measure>`;
  });
  return `<part id="${escaped(part.id)}">${written.join('\n')}</part>`;
}

function attributesXml({ clefs }: StaffPart, { meter, fifths, mode }: Measure, before: Measure | undefined): string {
  const key = `<key><fifths>${Math.max(-7, Math.min(7, fifths ?? 0))}</fifths>${mode === null ? '' : `<mode>${mode}</mode>`}</key>`;
  const time = `<time><beats>${meter.beats}</beats><beat-type>${meter.unit}</beat-type></time>`;
  if (before === undefined) {
    const signs = clefs.map((clef, at) => `<clef number="${at + 1}">${CLEFS[clef]}</clef>`).join('');
    return `<attributes><divisions>${TICKS}</divisions>${key}${time}<staves>${clefs.length}</staves>${signs}</attributes>`;
  }
  const changes = [
    before.fifths === fifths ? '' : key,
    before.meter.beats === meter.beats && before.meter.unit === meter.unit ? '' : time,
  ].join('');
  return changes === '' ? '' : `<attributes>${changes}</attributes>`;
}

interface VoicePlace {
  readonly voice: number;
  readonly staves: number;
}

/** A value of a note or rest in its measure. */
interface Written {
  readonly at: number;
  readonly value: NoteValue;
  /** Null for a rest. */
  readonly event: StaffEvent | null;
  readonly isFirst: boolean;
  readonly comesOn: boolean;
  readonly goesOn: boolean;
}

function voiceXml({ staff, events }: StaffVoice, measure: Measure, place: VoicePlace): string {
  const row: Written[] = [];
  let time = measure.from;
  const write = (to: number, event: StaffEvent | null) => {
    const values = valuesFor(to - time);
    values.forEach((value, index) => {
      const [first, last] = [index === 0, index === values.length - 1];
      const comesOn = event !== null && (!first || event.from < time);
      row.push({ at: time, value, event, isFirst: first && !comesOn, comesOn, goesOn: event !== null && (!last || event.to > to) });
      time += value.ticks;
    });
    time = to;
  };
  for (const event of events) {
    if (event.from > time) write(Math.min(event.from, measure.to), null);
    if (event.to > time) write(Math.min(event.to, measure.to), event);
  }
  if (time < measure.to) write(measure.to, null);
  const beams = beamsOf(row, measure);
  return row.map((one, index) => noteXml(one, { ...place, staff, beam: beams[index] as string })).join('');
}

/** Eighths and shorter that lie side by side in one beat hang on one beam. */
function beamsOf(row: readonly Written[], measure: Measure): readonly string[] {
  const pulse = pulseTicks(measure);
  const groupOf = ({ at, value, event }: Written) =>
    event === null || value.ticks >= TICKS ? -1 : Math.floor((at - measure.from) / pulse);
  return row.map((one, index) => {
    const [own, before, after] = [groupOf(one), row[index - 1], row[index + 1]];
    if (own < 0) return '';
    const joins = (other: Written | undefined) => other !== undefined && groupOf(other) === own;
    if (joins(before)) return joins(after) ? '<beam number="1">continue</beam>' : '<beam number="1">end</beam>';
    return joins(after) ? '<beam number="1">begin</beam>' : '';
  });
}

interface NotePlace extends VoicePlace {
  readonly staff: number;
  readonly beam: string;
}

function noteXml({ value, event, isFirst, comesOn, goesOn }: Written, { voice, staff, staves, beam }: NotePlace): string {
  const onStaff = staves > 1 ? `<staff>${staff}</staff>` : '';
  const triplet = value.isTriplet ? TRIPLET : '';
  const looks = `<voice>${voice}</voice><type>${value.type}</type>${'<dot/>'.repeat(value.dots)}${triplet}${onStaff}`;
  const length = `<duration>${value.ticks}</duration>`;
  if (event === null) return `<note${voice > 1 ? ' print-object="no"' : ''}><rest/>${length}${looks}</note>`;
  const ends = [comesOn ? 'stop' : '', goesOn ? 'start' : ''].filter((end) => end !== '');
  const ties = ends.map((end) => `<tie type="${end}"/>`).join('');
  const tied = ends.length === 0 ? '' : `<notations>${ends.map((end) => `<tied type="${end}"/>`).join('')}</notations>`;
  const words = isFirst ? (event.words ?? []).map(lyricXml).join('') : '';
  const notes = event.pitches.map(({ note, midi, id }, index) => {
    const opening = `<note${isFirst ? ` id="${escaped(id)}"` : ''}>`;
    const body = `${pitchXml(note, midi)}${length}${ties}${looks}`;
    return index === 0 ? `${opening}${body}${beam}${tied}${words}</note>` : `${opening}<chord/>${body}${tied}</note>`;
  });
  return `${isFirst ? (event.before ?? '') : ''}${notes.join('')}`;
}

const TRIPLET = '<time-modification><actual-notes>3</actual-notes><normal-notes>2</normal-notes></time-modification>';

function pitchXml(note: Note, midi: number): string {
  const alter = accidentals(note);
  return `<pitch><step>${'CDEFGAB'[letterStep(note)]}</step>${alter === 0 ? '' : `<alter>${alter}</alter>`}<octave>${octaveOf(midi, note)}</octave></pitch>`;
}

function lyricXml(text: string, at: number): string {
  return text === '' ? '' : `<lyric number="${at + 1}"><syllabic>single</syllabic><text>${escaped(text)}</text></lyric>`;
}
