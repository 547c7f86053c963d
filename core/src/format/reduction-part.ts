import type { Chord } from '../chord/chord.ts';
import { printChord } from '../chord/chord-text.ts';
import { printNumber } from '../degree/number-text.ts';
import { withGlyphs } from '../pitch/note-text.ts';
import type { Column, Reduction } from '../reduce/reduction.ts';
import { kindOf } from './harmony-kind.ts';
import { escaped, stepAndAlter } from './musicxml/musicxml-write.ts';
import type { StaffEvent, StaffPart } from './staff-part.ts';

const MIDDLE_C = 60;

/** The id of a column in what is engraved: `c3`, and of the pitches in it `c3.0` … */
export function reductionPart({ columns }: Pick<Reduction, 'columns'>): StaffPart {
  const upper = columns.map((column, index) => eventOf(column, index, 'upper'));
  const lower = columns.map((column, index) => eventOf(column, index, 'lower'));
  return {
    id: 'Reduction',
    name: 'Reduction',
    clefs: ['treble', 'bass'],
    voices: [
      { staff: 1, events: upper.filter(({ pitches }) => pitches.length > 0) },
      { staff: 2, events: lower.filter(({ pitches }) => pitches.length > 0) },
    ],
  };
}

/** A column on one of the staves: the bass below, the other tones above, each pitch class once. */
function eventOf(column: Column, index: number, half: 'upper' | 'lower'): StaffEvent {
  const { from, to, chord, analyzed } = column;
  const stacked = stack(column);
  const pitches = stacked.flatMap(({ note, midi }, at) =>
    (at === 0) === (half === 'lower') ? [{ note, midi, id: `c${index}.${at}` }] : [],
  );
  const carriesWords = half === 'lower' || stacked.length === 0;
  // a foreign bass is seen below, and would look like an applied chord behind a slash
  const words =
    carriesWords && analyzed !== null ? [withRaised(printNumber(analyzed.number)), withGlyphs(analyzed.roman.replace(/\/\^.*$/, ''))] : [];
  const carriesName = half === 'upper' ? stacked.length > 1 : stacked.length === 1;
  return { from, to, pitches, words, ...(carriesName && chord !== null ? { before: nameXml(chord) } : {}) };
}

/** A number whose quality stands raised behind its degree: `♭7⁷/2`. */
function withRaised(number: string): string {
  const [, degree = '', quality = '', bass = ''] = /^([b#]*\d)([^/]*)(.*)$/.exec(number) ?? [];
  return (
    withGlyphs(degree) +
    quality
      .replace(/\d/g, (digit) => '⁰¹²³⁴⁵⁶⁷⁸⁹'[Number(digit)] as string)
      .replace('b', '♭')
      .replace('#', '♯')
      .replace('o', '°') +
    withGlyphs(bass)
  );
}

/** The bass as it sounds, and over it every other pitch class of what sounds once, close together. */
function stack({ notes }: Column): Column['notes'] {
  const [bass, ...rest] = notes;
  if (bass === undefined) return [];
  const low = bass.midi >= MIDDLE_C ? { ...bass, midi: bass.midi - 12 * Math.ceil((bass.midi - MIDDLE_C + 1) / 12) } : bass;
  const over = new Map<number, Column['notes'][number]>();
  for (const { note, midi } of rest) {
    const pitch = midi % 12;
    if (pitch !== bass.midi % 12 && !over.has(pitch)) over.set(pitch, { note, midi: MIDDLE_C + ((pitch - (MIDDLE_C % 12) + 12) % 12) });
  }
  return [low, ...[...over.values()].sort((a, b) => a.midi - b.midi)];
}

function nameXml(chord: Chord): string {
  const { kind, degrees } = kindOf(chord.formula);
  const plain = printChord({ ...chord, bass: null }).replace(/^[A-G][#b]*/, '');
  const tones = degrees.map(
    ({ type, value, alter }) =>
      `<degree print-object="no"><degree-value>${value}</degree-value><degree-alter>${alter}</degree-alter><degree-type>${type}</degree-type></degree>`,
  );
  const bass = chord.bass === null ? '' : `<bass>${stepAndAlter('bass', chord.bass)}</bass>`;
  return `<harmony placement="above"><root>${stepAndAlter('root', chord.root)}</root><kind text="${escaped(plain)}">${kind}</kind>${bass}${tones.join('')}</harmony>`;
}
