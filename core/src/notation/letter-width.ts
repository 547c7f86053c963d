import type { Face } from './drawing.ts';
import { LETTER_WIDTHS } from './letter-width-table.ts';

/** No letter on paper is smaller, in points: what is smaller cannot be read on a music stand. */
export const LEAST_POINTS = 9;

/** A letter no table knows, an accented one for instance. */
const USUAL = 0.6;

function widthsOf(face: Face): ReadonlyMap<string, number> {
  const letters = Object.entries(LETTER_WIDTHS[face]).flatMap(([width, same]) =>
    [...same].map((letter) => [letter, Number(width) / 100] as const),
  );
  return new Map(letters);
}

const WIDTHS: Readonly<Record<Face, ReadonlyMap<string, number>>> = {
  numeral: widthsOf('numeral'),
  text: widthsOf('text'),
  bold: widthsOf('bold'),
};

/** How wide words are on paper, as a part of their size. */
export function textWidth(words: string, face: Face): number {
  let width = 0;
  for (const letter of words) width += WIDTHS[face].get(letter) ?? USUAL;
  return width;
}

/** Words in lines no wider than a part of their size; a word that is wider stands alone. */
export function wrapped(words: string, most: number, face: Face): readonly string[] {
  const lines: string[] = [''];
  for (const word of words.split(' ')) {
    const last = lines.at(-1) as string;
    if (last === '') lines[lines.length - 1] = word;
    else if (textWidth(`${last} ${word}`, face) <= most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
