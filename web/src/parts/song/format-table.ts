import type { ConvertRequest } from '@aurora/wire';

/** Formats a song can go out in, and what each is good for. */
export const FORMAT_TABLE: readonly (readonly [format: ConvertRequest['to'], label: string, use: string])[] = [
  ['musicxml', 'MusicXML', 'for notation programs: chords, form, words'],
  ['mxl', 'MusicXML, compressed', 'the same in a small file'],
  ['midi', 'MIDI', 'to play along: chords, bass and a click'],
  ['abc', 'ABC', 'for tune books in plain text'],
  ['text', 'Chords over lyrics', 'to read or send as a message'],
  ['chart', 'Chart text', 'the chart as it is kept here'],
];
