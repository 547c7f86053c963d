import type { Reduction } from '../../reduce/reduction.ts';
import type { Score, ScoreNote } from '../../score/score.ts';
import { reductionPart } from '../reduction-part.ts';
import { partXml, type StaffEvent, type StaffPart, type StaffVoice } from '../staff-part.ts';
import { escaped } from './musicxml-write.ts';

/** A piece as MusicXML, every note under an id by its place: `n12`. */
export function scoreXml(score: Score): string {
  return documentXml(score, partsOf(score));
}

/** A reduction by itself: chords with names, numbers and numerals under them, on two staves. */
export function reductionXml(reduction: Reduction): string {
  return documentXml(reduction.score, [reductionPart(reduction)]);
}

/** A MusicXML text with every written note under an id by its place: `x12`. */
export function withNoteIds(xml: string): string {
  let place = 0;
  return xml.replace(/<note(?=[\s>])(?:\s+id="[^"]*")?/g, () => `<note id="x${place++}"`);
}

/** A MusicXML text with the reduction of what it holds as one part more, under the others. */
export function withReduction(xml: string, reduction: Reduction): string {
  const part = reductionPart(reduction);
  return xml
    .replace(/<\/part-list>/, `<score-part id="${part.id}"><part-name>${part.name}</part-name></score-part></part-list>`)
    .replace(/<\/score-partwise>\s*$/, `${partXml(part, reduction.score.measures)}</score-partwise>`);
}

function documentXml({ title, by, measures }: Score, parts: readonly StaffPart[]): string {
  const creator = by === '' ? '' : `<identification><creator type="composer">${escaped(by)}</creator></identification>`;
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<score-partwise version="4.0">',
    `<work><work-title>${escaped(title)}</work-title></work>${creator}`,
    `<part-list>${parts.map(({ id, name }) => `<score-part id="${escaped(id)}"><part-name>${escaped(name)}</part-name></score-part>`).join('')}</part-list>`,
    ...parts.map((part) => partXml(part, measures)),
    '</score-partwise>',
    '',
  ].join('\n');
}

function partsOf({ parts, notes }: Score): readonly StaffPart[] {
  return parts.map(({ id, name }): StaffPart => {
    const own = notes.flatMap((note, index) => (note.part === id ? [{ note, index }] : []));
    const staves = [...new Set(own.map(({ note }) => note.staff))].sort((a, b) => a - b);
    const voices = staves.flatMap((staff, at) =>
      voicesOn(own.filter(({ note }) => note.staff === staff)).map((events): StaffVoice => ({ staff: at + 1, events })),
    );
    const clefs = staves.map((staff) => clefFor(own.filter(({ note }) => note.staff === staff).map(({ note }) => note)));
    return { id, name, clefs, voices };
  });
}

const MIDDLE_C = 60;

function clefFor(notes: readonly ScoreNote[]): 'treble' | 'bass' {
  const middle = notes.reduce((sum, { midi }) => sum + midi, 0) / Math.max(1, notes.length);
  return middle >= MIDDLE_C - 2 ? 'treble' : 'bass';
}

interface PlacedNote {
  readonly note: ScoreNote;
  readonly index: number;
}

/** The notes of a staff in voices that do not overlap; those that begin and end together are one event. */
function voicesOn(notes: readonly PlacedNote[]): readonly (readonly StaffEvent[])[] {
  const voices: { name: string; to: number; events: StaffEvent[] }[] = [];
  const groups = new Map<string, PlacedNote[]>();
  for (const placed of notes) {
    const { voice, from, to } = placed.note;
    const name = `${voice} ${from} ${to}`;
    groups.set(name, [...(groups.get(name) ?? []), placed]);
  }
  for (const group of groups.values()) {
    const { voice: name, from, to } = (group[0] as PlacedNote).note;
    let own = voices.find((one) => one.name === name && one.to <= from);
    if (own === undefined) {
      own = { name, to: 0, events: [] };
      voices.push(own);
    }
    own.to = to;
    own.events.push({ from, to, pitches: group.map(({ note, index }) => ({ note: note.note, midi: note.midi, id: `n${index}` })) });
  }
  return voices.map(({ events }) => events);
}
