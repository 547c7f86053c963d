import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { openChart } from './bar-edits.ts';
import { type ChordsABar, countedLines, pastedText, putPasted, readPasted } from './pasted-text.ts';

const G = requireValue(parseKey('G')).tonic;
const lines = (text: string, chordsABar?: ChordsABar) => readPasted(text, G, chordsABar);
const kinds = (text: string) => lines(text).map(({ kind }) => kind);
const texts = (text: string, chordsABar?: ChordsABar) => lines(text, chordsABar).map((line) => line.text);

describe('what a line is taken for', () => {
  test.each([
    ['G D Em C', 'chords'],
    ['1 5 6- 4', 'chords'],
    ['| G . . D | Em |', 'chords'],
    ['Am', 'chords'],
    ['A', 'chords'],
    ['G (2x) D', 'chords'],
    ['N.C.', 'chords'],
    ['G - D - Em - C', 'chords'],
    ['a lantern over the weir', 'words'],
    ['A boat, a bell, a line', 'words'],
    ['I wait', 'words'],
    ['Em is where the heart is', 'words'],
    ['[Verse]', 'section'],
    ['[Anything at all]', 'section'],
    ['Verse 2:', 'section'],
    ['CHORUS x2', 'section'],
    ['Pre-Chorus', 'section'],
    ['title: Weir', 'head'],
    ['Tempo : 96', 'head'],
    ['// a thought', 'words'],
    ['~ already words', 'words'],
    ['', 'blank'],
    ['   ', 'blank'],
  ])('%j: %s', (line, kind) => expect(kinds(line)).toEqual([kind]));
});

describe('chords become bars', () => {
  test.each<[string, ChordsABar, string]>([
    ['G D Em C', 1, 'G D Em C'],
    ['G D Em C', 2, '(G D) (Em C)'],
    ['G D Em C D', 2, '(G D) (Em C) D'],
    ['G D Em C', 4, '(G D Em C)'],
    ['1 5 6- 4', 2, '(1 5) (6- 4)'],
    ['| G D | Em C |', 1, '| G D | Em C |'],
    ['G D | Em C', 1, '| G D | Em C |'],
    ['| G D | Em', 2, '| G D | Em'],
    ['(G D) Em', 2, '(G D) Em'],
    ['G, D, Em, C', 1, 'G D Em C'],
    ['G → D → Em', 1, 'G D Em'],
    ['G    D        Em', 1, 'G D Em'],
    ['N.C. G', 1, 'NC G'],
  ])('%j, %i a bar', (line, chordsABar, text) => expect(texts(line, chordsABar)).toEqual([text]));
});

test('chords over lyrics: every line of chords with its words under it, blank lines gone', () => {
  const pasted = ['[Verse 1]', 'G        D', 'salt on the window', 'Em       C', 'lights along the quay', '', 'Chorus x2', 'C D | G'].join(
    '\n',
  );
  const text = pastedText(lines(pasted));
  expect(text.split('\n')).toEqual([
    '[Verse 1]',
    'G D',
    '~ salt on the window',
    'Em C',
    '~ lights along the quay',
    '[Chorus] x2',
    '| C D | G |',
  ]);
  const read = readChart(`key: G\n\n${text}\n`);
  expect(read.problems).toEqual([]);
  expect(read.bars).toHaveLength(6);
  expect(read.sections.map(({ name, times }) => [name, times])).toEqual([
    ['Verse 1', 1],
    ['Chorus', 2],
  ]);
});

test('every line keeps what was typed, tabs and line ends of any kind apart', () => {
  expect(lines('G\tD\r\nwords here\rC').map(({ typed }) => typed)).toEqual(['G    D', 'words here', 'C']);
});

test('nothing gives nothing', () => {
  expect(pastedText(lines(''))).toBe('');
  expect(pastedText(lines('\n\n'))).toBe('');
});

test('letters and numbers of the same song are the same bars', () => {
  const [letters, numbers] = ['G D Em C', '1 5 6- 4'].map((text) => readChart(`key: G\n${pastedText(lines(text, 2))}\n`));
  expect(letters?.bars.map(({ chords }) => chords.map(({ chord }) => chord))).toEqual(
    numbers?.bars.map(({ chords }) => chords.map(({ chord }) => chord)),
  );
});

test('letters seen in another key become the numbers they are there', () => {
  expect(countedLines('[Verse]\nG (C D) Em\n~ rope', G)).toBe('[Verse]\n1 (4 5) 6-\n~ rope');
});

test.each([
  ['[A]\n1 4\n[B]\n5', 1, '6- 5\n~ la', '[A]\n1 4\n6- 5\n~ la\n[B]\n5'],
  ['[A]\n1 4\n\n', null, '5 1', '[A]\n1 4\n5 1\n'],
  ['', null, '5 1', '5 1\n'],
  ['title: X\nkey: G\n', null, '5 1', 'title: X\nkey: G\n\n5 1\n'],
])('%j, behind bar %j: lines land behind its line, or at the end', (text, behind, put, after) =>
  expect(putPasted(openChart(text), behind, put)).toBe(after),
);
