import { expect, test } from '@jest/globals';
import { strToU8 } from 'fflate';
import MidiWriter from 'midi-file';
import { requireValue } from '../fault.ts';
import { printNote } from '../pitch/note-text.ts';
import { octaveOf } from '../pitch/pitch-text.ts';
import { type Score, TICKS } from '../score/score.ts';
import { lossWords } from '../wording/loss-words.ts';
import { writeMxl } from './musicxml/mxl.ts';
import { readScore, type ScoreFormat } from './read-score.ts';

const xml = (parts: string, list = '') =>
  `<?xml version="1.0"?><score-partwise version="4.0"><part-list>${list}</part-list>${parts}</score-partwise>`;
const part = (measures: string, id = 'P1') => `<part id="${id}">${measures}</part>`;
const measure = (inside: string, number = 1, more = '') => `<measure number="${number}"${more}>${inside}</measure>`;
const attributes = (more = '', divisions = '<divisions>2</divisions>') =>
  `<attributes>${divisions}<key><fifths>0</fifths></key><time><beats>4</beats><beat-type>4</beat-type></time>${more}</attributes>`;
const note = (step: string, octave: number, duration: number, more = '') =>
  `<note>${more.includes('<chord/>') ? '<chord/>' : ''}<pitch><step>${step}</step><octave>${octave}</octave></pitch><duration>${duration}</duration>${more.replace('<chord/>', '')}</note>`;
const rest = (duration: number) => `<note><rest/><duration>${duration}</duration></note>`;

const read = (format: ScoreFormat, text: string | Uint8Array) =>
  requireValue(readScore(format, typeof text === 'string' ? strToU8(text) : text));
const sounding = ({ notes }: Score) =>
  notes.map(({ note: name, midi, from, to }) => `${printNote(name)}${octaveOf(midi, name)} ${from / TICKS}-${to / TICKS}`);
const told = (format: ScoreFormat, text: string) => read(format, text).losses.map(lossWords).join('\n');

test('notes of MusicXML stand in time: chords, voices with backup, rests, ties over the bar line', () => {
  const first = `${attributes()}${note('C', 5, 4)}${note('E', 5, 4, '<chord/>')}${note('D', 5, 4, '<tie type="start"/>')}<backup><duration>8</duration></backup>${rest(4)}${note('G', 3, 4, '<voice>2</voice>')}`;
  const { score } = read('musicxml', xml(part(measure(first) + measure(note('D', 5, 8, '<tie type="stop"/>'), 2))));
  expect(sounding(score)).toEqual(['C5 0-2', 'E5 0-2', 'G3 2-4', 'D5 2-8']);
  expect(score.measures.map(({ number, from, to }) => [number, from / TICKS, to / TICKS])).toEqual([
    [1, 0, 4],
    [2, 4, 8],
  ]);
});

test('a pickup is bar 0, and the last bar may be short', () => {
  const { score } = read(
    'musicxml',
    xml(part(measure(attributes() + note('G', 4, 2), 0, ' implicit="yes"') + measure(note('C', 5, 8), 1) + measure(note('E', 5, 6), 2))),
  );
  expect(score.measures.map(({ number, from, to }) => [number, (to - from) / TICKS])).toEqual([
    [0, 1],
    [1, 4],
    [2, 3],
  ]);
});

test.each([
  ['a trumpet in B♭', '<diatonic>-1</diatonic><chromatic>-2</chromatic>', 'Bb4'],
  ['an alto in E♭', '<diatonic>-5</diatonic><chromatic>-9</chromatic>', 'Eb4'],
  ['a horn in F, without its letters', '<chromatic>-7</chromatic>', 'F4'],
  ['a bass an octave down', '<diatonic>0</diatonic><chromatic>0</chromatic><octave-change>-1</octave-change>', 'C4'],
])('%s sounds where it sounds', (_, transpose, sounds) => {
  const { score } = read('musicxml', xml(part(measure(attributes(`<transpose>${transpose}</transpose>`) + note('C', 5, 8)))));
  expect(sounding(score)).toEqual([`${sounds} 0-4`]);
});

test('tuplets keep their time, grace notes and cue notes are told and passed over', () => {
  const triplet = ['C', 'D', 'E'].map((step) => note(step, 5, 2)).join('');
  const body = `${attributes('', '<divisions>3</divisions>')}<note><grace/><pitch><step>B</step><octave>4</octave></pitch></note>${triplet}${note('F', 5, 9)}`;
  const text = xml(
    part(
      measure(body) +
        measure(`<note><cue/><pitch><step>A</step><octave>5</octave></pitch><duration>3</duration></note>${note('G', 4, 12)}`, 2),
    ),
  );
  expect(sounding(read('musicxml', text).score).slice(0, 3)).toEqual([`C5 0-${2 / 3}`, `D5 ${2 / 3}-${4 / 3}`, `E5 ${4 / 3}-2`]);
  expect(told('musicxml', text)).toMatch(/Grace notes.*bar 1[\s\S]*Cue notes.*bar 2/);
});

test('drums are passed over by their clef, by their channel, and where they have no pitch', () => {
  const drums = `<score-part id="P2"><part-name>Drums</part-name><midi-instrument id="P2-I1"><midi-channel>10</midi-channel></midi-instrument></score-part>`;
  const unpitched =
    '<note><unpitched><display-step>C</display-step><display-octave>5</display-octave></unpitched><duration>8</duration></note>';
  const byClef = part(measure(attributes('<clef><sign>percussion</sign></clef>') + note('C', 5, 8)), 'P3');
  const text = xml(
    part(measure(attributes() + note('C', 5, 8))) +
      part(measure(attributes() + note('D', 5, 8)), 'P2') +
      byClef +
      part(measure(attributes() + unpitched), 'P4'),
    drums,
  );
  expect(sounding(read('musicxml', text).score)).toEqual(['C5 0-4']);
  expect(told('musicxml', text)).toMatch(/Drums/);
});

test('without divisions note values tell the time; two voices of one staff, and a voice over two staves', () => {
  const value = (step: string, type: string, more = '') => note(step, 4, 1, `<type>${type}</type>${more}`);
  const text = xml(
    part(
      measure(
        `${attributes('', '')}${value('C', 'half', '<dot/><voice>1</voice><staff>1</staff>')}${value('D', 'quarter', '<voice>1</voice><staff>2</staff>')}`,
      ),
    ),
  );
  expect(sounding(read('musicxml', text).score)).toEqual(['C4 0-3', 'D4 3-4']);
});

test('what else programs write: hidden rests, empty bars, parts of different length, repeats read once', () => {
  const repeat = '<barline location="right"><repeat direction="backward"/></barline>';
  const long = part(measure(attributes() + note('C', 5, 8)) + measure('', 2) + measure(note('E', 5, 8) + repeat, 3));
  const short = part(measure(`${attributes()}<note print-object="no"><rest/><duration>8</duration></note>`), 'P2');
  const { score } = read('musicxml', xml(long + short));
  expect(score.measures.map(({ from, to }) => (to - from) / TICKS)).toEqual([4, 4, 4]);
  expect(told('musicxml', xml(long + short))).toMatch(/Repeats are read once/);
});

test('chord names that are written are kept beside the notes, moved with a transposing part', () => {
  const harmony = '<harmony><root><root-step>D</root-step></root><kind>minor</kind></harmony>';
  const { score } = read(
    'musicxml',
    xml(
      part(measure(`${attributes('<transpose><diatonic>-1</diatonic><chromatic>-2</chromatic></transpose>')}${harmony}${note('F', 5, 8)}`)),
    ),
  );
  expect(score.names.map(({ at, chord }) => [at, printNote(chord?.root ?? 99)])).toEqual([[0, 'C']]);
});

test('compressed MusicXML is the same piece', () => {
  const text = xml(part(measure(attributes() + note('C', 5, 8))));
  expect(read('mxl', writeMxl(text)).score).toEqual(read('musicxml', text).score);
});

test('ABC with voices: accidentals hold in their bar and over ties', () => {
  const { score } = read('abc', 'X:1\nT:Two\nM:2/4\nL:1/4\nK:G\nV:1\n^c c|f2-|f c|\nV:2\nG,2|D,2|G,2|');
  expect(score.title).toBe('Two');
  expect(score.parts).toHaveLength(2);
  // bars of two quarters: the first, one with a tie, and one that ends it
  expect(sounding(score)).toEqual(['G3 0-2', 'C#5 0-1', 'C#5 1-2', 'D3 2-4', 'F#5 2-5', 'G3 4-6', 'C5 5-6']);
});

/** A MIDI file of one track. */
function midi(events: readonly (readonly [at: number, note: number, length: number])[], more: readonly object[] = []): Uint8Array {
  const edges = events.flatMap(([at, pitch, length]) => [
    { at, event: { type: 'noteOn', channel: 0, noteNumber: pitch, velocity: 80 } },
    { at: at + length, event: { type: 'noteOff', channel: 0, noteNumber: pitch, velocity: 0 } },
  ]);
  let last = 0;
  const timed = edges
    .sort((a, b) => a.at - b.at)
    .map(({ at, event }) => {
      const deltaTime = at - last;
      last = at;
      return { deltaTime, ...event };
    });
  const track = [...more.map((event) => ({ deltaTime: 0, ...event })), ...timed, { deltaTime: 0, type: 'endOfTrack' }];
  return Uint8Array.from(MidiWriter.writeMidi({ header: { format: 0, numTracks: 1, ticksPerBeat: 480 }, tracks: [track] } as never));
}

const G_MINOR = { type: 'keySignature', key: -2, scale: 1 };

test('MIDI is set to a grid that is told, and spelled by its key', () => {
  const bytes = midi(
    [
      [10, 67, 470],
      [485, 66, 230],
      [715, 67, 245],
      [970, 70, 900],
    ],
    [G_MINOR],
  );
  const { score, losses } = read('midi', bytes);
  expect(sounding(score)).toEqual(['G4 0-1', 'F#4 1-1.5', 'G4 1.5-2', 'Bb4 2-4']);
  expect(losses.map(lossWords).join('\n')).toMatch(/nearest sixteenth[\s\S]*spelled in Gm/);
});

test('a MIDI track of two hands is taken apart into lines', () => {
  const bytes = midi(
    [
      [0, 48, 960],
      [0, 72, 480],
      [480, 74, 480],
      [960, 43, 960],
      [960, 76, 960],
    ],
    [G_MINOR],
  );
  const lines = new Map<string, number[]>();
  for (const { voice, midi: pitch } of read('midi', bytes).score.notes) lines.set(voice, [...(lines.get(voice) ?? []), pitch]);
  expect([...lines.values()]).toEqual(
    expect.arrayContaining([
      [72, 74, 76],
      [48, 43],
    ]),
  );
});

test.each<[string, ScoreFormat, string | Uint8Array, string]>([
  ['XML that is damaged', 'musicxml', '<score-partwise><part>', 'format-broken'],
  ['another kind of XML', 'musicxml', '<html></html>', 'format-other'],
  ['measures before parts', 'musicxml', '<score-timewise></score-timewise>', 'format-timewise'],
  ['entities of its own', 'musicxml', '<!DOCTYPE x [<!ENTITY a "b">]><score-partwise/>', 'format-entities'],
  ['a score without a note', 'musicxml', xml(part(measure(attributes() + rest(8)))), 'format-empty'],
  ['a zip that is none', 'mxl', 'PK no', 'format-broken'],
  ['a bar that does not end', 'musicxml', xml(part(measure(attributes() + note('C', 5, 999_999)))), 'format-broken'],
  ['no MIDI', 'midi', 'RIFF', 'format-other'],
  ['half a MIDI file', 'midi', midi([[0, 60, 480]]).slice(0, 20), 'format-broken'],
  ['no ABC', 'abc', 'hello', 'format-other'],
  ['ABC without notes', 'abc', 'X:1\nK:C\nz4|', 'format-empty'],
])('%s is refused in words', (_, format, content, code) => {
  expect(readScore(format, typeof content === 'string' ? strToU8(content) : content)).toMatchObject({ ok: false, fault: { code } });
});

test('three hundred bars are read', () => {
  const bars = Array.from({ length: 300 }, (_, index) => measure((index === 0 ? attributes() : '') + note('C', 5, 8), index + 1)).join('');
  expect(read('musicxml', xml(part(bars))).score.measures).toHaveLength(300);
});
