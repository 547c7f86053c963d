import {
  type Chord,
  type ChordScaleName,
  chordScaleIntervals,
  chroma,
  formulaTones,
  type Instrument,
  type Naming,
  type Note,
  nameNote,
  withGlyphs,
} from '@aurora/core';
import { PARTS_WORDS } from '../../wording/parts.ts';
import type { NeckDot } from './neck-view.ts';

/** How many frets a hand covers beside the first, with a small stretch. */
export const SCALE_FRETS = 4;

/** The first fret of the position in which the note lies under the second finger of the lowest string. */
export function rootPosition(note: Note, { tuning, capo }: Instrument): number {
  const lowest = tuning[0] ?? 0;
  const fret = (((chroma(note) - lowest) % 12) + 12) % 12;
  return Math.max(capo, fret - 1);
}

/** The scale's notes within a position. Chord tones are marked with their number, the others with their name. */
export function scaleDots(
  { tonic, scale }: { readonly tonic: Note; readonly scale: ChordScaleName },
  chord: Chord,
  { tuning }: Instrument,
  from: number,
  { notes }: Naming,
): readonly NeckDot[] {
  const names = new Map(chordScaleIntervals(scale).map((interval) => [chroma(tonic + interval), tonic + interval]));
  const tones = new Map<number, string>(formulaTones(chord.formula).map(({ name, interval }) => [chroma(chord.root + interval), name]));
  const frets = Array.from({ length: SCALE_FRETS + 1 }, (_, step) => from + step);
  return tuning.flatMap((open, index) =>
    frets.flatMap((fret): readonly NeckDot[] => {
      const midi = open + fret;
      const note = names.get(midi % 12);
      if (note === undefined) return [];
      const tone = tones.get(midi % 12);
      const string = tuning.length - index;
      const name = nameNote(note, notes);
      const at = PARTS_WORDS.stringAndFret(string, fret === 0 ? 'open' : PARTS_WORDS.fret(fret));
      return [
        {
          string,
          fret,
          midi,
          root: tone === '1',
          passing: tone === undefined,
          label: toneLabel(tone) ?? name,
          name: `${name}, ${toneWords(tone)}, ${at}`,
        },
      ];
    }),
  );
}

function toneLabel(tone: string | undefined): string | undefined {
  return tone === '1' ? 'R' : tone === undefined ? undefined : withGlyphs(tone);
}

function toneWords(tone: string | undefined): string {
  if (tone === undefined) return PARTS_WORDS.scaleNote;
  return tone === '1' ? 'root' : PARTS_WORDS.chordTone(withGlyphs(tone));
}
