import {
  type BarCell,
  type CellRow,
  cueNames,
  DEFAULT_NAMING,
  type Drawing,
  lensOn,
  type Note,
  type PartReader,
  partPages,
  projectChart,
  readChart,
} from '@aurora/core';
import { DEFAULT_READS, memberReads } from '@aurora/wire';
import { describe, expect, test } from '@jest/globals';
import { partReaderOf } from '../pack/pack.ts';
import { DEMO_SONGS } from './demo-song-table.ts';
import { DEMO_MEMBERS } from './seed-demo.ts';

/** Twelve home tonics round the circle of fifths. */
const TONICS: readonly Note[] = Array.from({ length: 12 }, (_, step) => step - 5);

const READERS: readonly PartReader[] = DEMO_MEMBERS.map(({ name, plays, reads }, index) =>
  partReaderOf(
    { id: `${index}`, name, plays, reads: memberReads.parse({ ...DEFAULT_READS, ...reads }), instrument: null, isIn: false },
    DEFAULT_NAMING,
  ),
);

/** What a row says, chord after chord, as it stands on its line. */
function onTheLine({ bars }: CellRow): readonly string[] {
  return bars.flatMap((bar) => (bar.sign === 'chords' ? bar.chords.flatMap((chord) => symbolOf(chord)) : []));
}

function symbolOf({ main }: BarCell['chords'][number]): readonly string[] {
  if (main === null) return ['N.C.'];
  return [`${main.prefix}${main.main}${main.sign}`, ...(main.bass === null ? [] : [`/${main.bass}`])];
}

/** The numerals of each line of a page, in the order they are drawn. */
function linesOf({ shapes }: Drawing): readonly (readonly string[])[] {
  const lines = new Map<number, string[]>();
  for (const shape of shapes)
    if (shape.kind === 'text' && shape.face === 'numeral') lines.set(shape.y, [...(lines.get(shape.y) ?? []), shape.text]);
  return [...lines.values()];
}

/** Takes each row of the screen off the lines of the paper, in one piece or, where it is crowded, in several. */
function rowsFound(rows: readonly (readonly string[])[], lines: readonly (readonly string[])[]): readonly (readonly string[])[] {
  let line = 0;
  return rows.map((row) => {
    const found: string[] = [];
    for (; line < lines.length && found.length < row.length; line += 1) {
      const part = lines[line] as readonly string[];
      if (part.every((word, at) => word === row[found.length + at])) found.push(...part);
    }
    return found;
  });
}

/** What falls: a drummer's paper counts the bars between. */
const falling = (rows: readonly (readonly string[])[]) => rows.flat().filter((word) => word === '×');

describe('rows on the screen are rows on paper', () => {
  test.each(READERS.map((who) => [`${who.name}, ${who.plays}`, who] as const))('%s: every demo song in twelve keys', (_, who) => {
    for (const source of DEMO_SONGS) {
      // a section called A is drawn like a chord
      const reading = readChart(source.replace(/^\[([A-G])\]/gm, '[Part $1]'));
      for (const tonic of TONICS) {
        const look = { naming: who.naming, show: who.show, kind: who.kind, words: who.words, cuesFor: cueNames(who) };
        const screen = projectChart(reading, lensOn(who.reader, look, reading, tonic))
          .sections.flatMap(({ rows }) => rows)
          .map(onTheLine)
          .filter((row) => row.length > 0);
        const paper = partPages({ reading, tonic, tonight: '' }, who, 'A4').flatMap(linesOf);
        if (who.kind === 'form') expect(falling(paper)).toEqual(falling(screen));
        else expect(rowsFound(screen, paper)).toEqual(screen);
      }
    }
  });
});
