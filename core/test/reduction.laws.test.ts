import { expect, test } from '@jest/globals';
import { transposeChord } from '../src/chord/chord.ts';
import { printChord } from '../src/chord/chord-text.ts';
import { requireValue } from '../src/fault.ts';
import { reductionXml, scoreXml, withNoteIds, withReduction } from '../src/format/musicxml/score-xml.ts';
import { parseXml } from '../src/format/musicxml/xml.ts';
import { readScore } from '../src/format/read-score.ts';
import { reduce } from '../src/reduce/reduce.ts';
import type { Column, Reduction } from '../src/reduce/reduction.ts';
import { belongsTo } from '../src/reduce/tones/tones.ts';
import { inOrder, type Score, type ScoreNote, transposeScore } from '../src/score/score.ts';
import { samplePiece } from './known-pieces.ts';
import { STYLES } from './planned-piece.ts';
import { plannedPiece } from './planned-pieces.ts';

const PIECES: readonly Score[] = [
  ...STYLES.map((style) => plannedPiece(style, 77).score),
  samplePiece('keyboard').score,
  samplePiece('horns').score,
];
const nameOf = ({ chord }: Column) => (chord === null ? '?' : printChord(chord));
const outline = ({ columns }: Reduction) => columns.map((column) => [column.from, nameOf(column)]);
const toneList = ({ tones, score }: Reduction) => tones.map(({ index, at, kind }) => `${score.notes[index]?.part} ${at} ${kind}`).sort();
const bytes = (text: string) => new TextEncoder().encode(text);

test.each([2, -3, 5])('moved by %i fifths, everything moves and no label changes', (fifths) => {
  for (const score of PIECES) {
    const [here, there] = [reduce(score), reduce(transposeScore(score, fifths))];
    expect(there.columns.map(nameOf)).toEqual(
      here.columns.map(({ chord }) => (chord === null ? '?' : printChord(transposeChord(chord, fifths)))),
    );
    expect(there.columns.map(({ analyzed, inversion }) => [analyzed?.roman, inversion])).toEqual(
      here.columns.map(({ analyzed, inversion }) => [analyzed?.roman, inversion]),
    );
    expect(toneList(there)).toEqual(toneList(here));
    expect(there.keys.map(({ key, from }) => [key.tonic - fifths, key.scale, from])).toEqual(
      here.keys.map(({ key, from }) => [key.tonic, key.scale, from]),
    );
  }
});

test('doubling a part an octave above changes no chord', () => {
  for (const score of PIECES) {
    const first = score.parts[0]?.id ?? '';
    const doubled = score.notes
      .filter(({ part }) => part === first)
      .map((note): ScoreNote => ({ ...note, part: 'Double', midi: note.midi + 12 }));
    const more = { ...score, parts: [...score.parts, { id: 'Double', name: 'Double' }], notes: inOrder([...score.notes, ...doubled]) };
    expect(outline(reduce(more))).toEqual(outline(reduce(score)));
  }
});

test('written out as MusicXML, ties and all, and read again, a piece is reduced the same', () => {
  for (const score of PIECES) {
    const again = requireValue(readScore('musicxml', bytes(scoreXml(score)))).score;
    const sounding = (notes: readonly ScoreNote[]) => notes.map(({ from, to, midi, note }) => [from, to, midi, note]);
    expect(sounding(again.notes)).toEqual(sounding(score.notes));
    expect(reduce(again).columns.map(nameOf)).toEqual(reduce(score).columns.map(nameOf));
  }
});

test('a reduction reduced again is itself', () => {
  for (const score of PIECES) {
    const once = reduce(score);
    const again = reduce(requireValue(readScore('musicxml', bytes(reductionXml(once)))).score);
    const chordAt = ({ columns }: Reduction, time: number) => columns.find(({ from, to }) => from <= time && time < to);
    const changed = once.columns.filter(
      (column) => column.chord !== null && nameOf(chordAt(again, column.from) as Column).split('/')[0] !== nameOf(column).split('/')[0],
    );
    // a chord that had a tone missing has it missing still
    expect(changed.length).toBeLessThanOrEqual(0.1 * once.columns.length);
  }
});

test('every note belongs to its chord, or has exactly one kind', () => {
  for (const score of PIECES) {
    const { columns, tones, score: own } = reduce(score);
    const strange = new Set(tones.map(({ index }) => index));
    expect(strange.size).toBe(tones.length);
    own.notes.forEach((note, index) => {
      const column = columns.find(({ from, to }) => from <= note.from && note.from < to);
      if (!strange.has(index)) expect(belongsTo(note, column?.chord ?? null) || column?.isPedal).toBe(true);
    });
  }
});

test('columns follow each other without a gap from the first note to the last bar', () => {
  for (const score of PIECES) {
    const { columns } = reduce(score);
    expect(columns[0]?.from).toBe(0);
    expect(columns.at(-1)?.to).toBe(score.measures.at(-1)?.to);
    columns.slice(1).forEach((column, index) => {
      expect(column.from).toBe(columns[index]?.to);
    });
  }
});

test('the source with its reduction is XML that holds both', () => {
  const score = PIECES[0] as Score;
  const reduction = reduce(score);
  const both = parseXml(withReduction(withNoteIds(scoreXml(score)), reduction));
  expect(both.ok && both.value.children.filter(({ name }) => name === 'part').map(({ attributes }) => attributes.id)).toEqual([
    ...score.parts.map(({ id }) => id),
    'Reduction',
  ]);
});
