import { type Chord, type Instrument, letterView, type Naming, shapeOverCapo, symbolText } from '@aurora/core';
import { PARTS_WORDS } from '../../wording/parts.ts';

/** What a chord over a capo is to its player: `C shape`; null without a capo. */
export function shapeTitle(chord: Chord, { capo }: Pick<Instrument, 'capo'>, naming: Naming): string | null {
  return capo === 0 ? null : PARTS_WORDS.shape(symbolText(letterView(shapeOverCapo(chord, capo), naming)));
}

/** A chord as it sounds; over a capo with the shape its player thinks of: `D = C shape`. */
export function chordTitle(chord: Chord, instrument: Pick<Instrument, 'capo'>, naming: Naming): string {
  const [sounding, shape] = [symbolText(letterView(chord, naming)), shapeTitle(chord, instrument, naming)];
  return shape === null ? sounding : `${sounding} = ${shape}`;
}
