import type { ConvertRequest } from '@aurora/wire';
import type { Lens } from '../../../session/lens.ts';
import { CONCERT, memberChoice, type ReaderChoice } from '../../../session/reader-view.ts';

type Format = ConvertRequest['to'];

/** Everyone a song can be written for: what sounds, everybody in the band, and the reader at this device. */
export function exportReaders({ members, reader }: Pick<Lens, 'members' | 'reader'>): readonly ReaderChoice[] {
  const band = (members ?? []).map((member) => (member.id === reader.member?.id ? reader : memberChoice(member)));
  const known = [CONCERT, ...band];
  return known.some(({ id }) => id === reader.id) ? known : [...known, reader];
}

/** Half steps within the octave, and octaves, from what sounds up to what a reader reads: up for horns, down for a capo. */
export function writtenFor({ reader, member }: ReaderChoice): NonNullable<ConvertRequest['reader']> {
  const up = reader.transpose + 12 * (member?.reads.octave ?? 0) - reader.capo - reader.tuning;
  const octave = Math.floor(up / 12);
  return { transpose: up - 12 * octave, octave };
}

/** Whether a format is written for a reader: MIDI is what everybody hears, chart text what everybody keeps. */
export function isForReaders(format: Format): boolean {
  return format !== 'midi' && format !== 'chart';
}

type Shown = NonNullable<ConvertRequest['show']>;

/** How chords may stand in a format: most have room for one name of a chord. */
export function shownIn(format: Format): readonly Shown[] {
  if (!isForReaders(format)) return [];
  return format === 'musicxml' || format === 'mxl' ? ['both', 'letters', 'numbers'] : ['letters', 'numbers'];
}
