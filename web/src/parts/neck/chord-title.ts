import { type Chord, type Instrument, letterView, type Naming, shapeOverCapo, symbolText } from '@aurora/core';

/** A chord as it sounds; over a capo with the shape its player thinks of: `D = C shape`. */
export function chordTitle(chord: Chord, { capo }: Pick<Instrument, 'capo'>, naming: Naming): string {
  const sounding = symbolText(letterView(chord, naming));
  return capo === 0 ? sounding : `${sounding} = ${symbolText(letterView(shapeOverCapo(chord, capo), naming))} shape`;
}
