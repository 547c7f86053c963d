import type { ConvertRequest } from '@aurora/wire';
import { PARTS_WORDS } from '../../wording/parts.ts';

/** Formats a song can go out in, and what each is good for. */
export const FORMAT_TABLE: readonly (readonly [format: ConvertRequest['to'], label: string, use: string])[] = [
  ['musicxml', 'MusicXML', 'for notation programs: chords, form, words'],
  ['mxl', 'MusicXML, compressed', PARTS_WORDS.theSameInASmallFile],
  ['midi', 'MIDI', PARTS_WORDS.toPlayAlongChordsBassAnd],
  ['abc', 'ABC', PARTS_WORDS.forTuneBooksInPlainText],
  ['text', PARTS_WORDS.chordsOverLyrics, PARTS_WORDS.toReadOrSendAsA],
  ['chart', PARTS_WORDS.chartText, PARTS_WORDS.theChartAsItIsKept],
];
