import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { renderChart } from '../chart/render.ts';
import { openChart } from './bar-edits.ts';
import { compareCharts } from './compare-charts.ts';
import { pastedText, readPasted } from './pasted-text.ts';
import { quickFix } from './quick-fix.ts';
import {
  beginSection,
  deleteSection,
  duplicateSection,
  insertSection,
  moveSection,
  nameSection,
  renumber,
  replaceSection,
  sectionText,
} from './section-edits.ts';

const SONG = 'title: Slow Ferry\nkey: G\n\n[Intro]\n1 4\n\n[Verse] x2 -- softly\n1 4\n~ over the bar\n\n[Chorus]\n4 5\n';
const names = (text: string) =>
  readChart(text)
    .sections.map(({ name }) => name)
    .join(' ');

describe('sections', () => {
  test('are moved whole, with their words', () => {
    expect(names(moveSection(openChart(SONG), 2, 0))).toBe('Chorus Intro Verse');
    expect(names(moveSection(openChart(SONG), 0, 3))).toBe('Verse Chorus Intro');
    expect(moveSection(openChart(SONG), 1, 2)).toBe(SONG);
    expect(moveSection(openChart(moveSection(openChart(SONG), 1, 0)), 0, 2)).toBe(SONG);
  });

  test('are deleted, duplicated under a new name, put in and replaced', () => {
    expect(names(deleteSection(openChart(SONG), 1))).toBe('Intro Chorus');
    expect(names(duplicateSection(openChart(SONG), 1))).toBe('Intro Verse Verse 2 Chorus');
    expect(names(duplicateSection(openChart(duplicateSection(openChart(SONG), 1)), 1))).toBe('Intro Verse Verse 3 Verse 2 Chorus');
    expect(sectionText(openChart(SONG), 1)).toBe('[Verse] x2 -- softly\n1 4\n~ over the bar');
    expect(names(insertSection(openChart(SONG), 3, '[Old chorus]\n1 1'))).toBe('Intro Verse Chorus Old chorus');
    expect(replaceSection(openChart(SONG), 2, '[Chorus]\n1 1')).toBe(SONG.replace('4 5', '1 1'));
  });

  test('are named, and their head may not break the line', () => {
    const named = nameSection(openChart(SONG), 1, { name: 'Verse [loud]\n', times: 3, remark: null });
    expect(readChart(named).sections[1]).toMatchObject({ name: 'Verse loud', times: 3, remark: null });
    expect(nameSection(openChart(SONG), 0, { name: 'Intro', times: 1, remark: 'soft' })).toContain('[Intro] -- soft\n');
  });

  test('begin at a bar, with the marks that belong to it', () => {
    expect(beginSection(openChart('key: G\n\n1 4 |: 5 5 :|'), 2, 'B')).toBe('key: G\n\n1 4\n\n[B]\n|: 5 5 :|');
    expect(beginSection(openChart('key: G\n\n1 4\n5 5'), 2, 'B')).toBe('key: G\n\n1 4\n\n[B]\n5 5');
    expect(beginSection(openChart('1 {fine} {segno} 4'), 1, 'B')).toBe('1 {fine}\n\n[B]\n{segno} 4');
    expect(beginSection(openChart('1 4'), 2, 'B')).toBe('1 4\n\n[B]\n');
    expect(beginSection(openChart(''), 0, 'A')).toBe('[A]\n'.replace(/^/, ''));
  });
});

describe('numbering', () => {
  const minor = 'title: Kelp\nkey: Em\n\n[A]\n1- b7 b6 5 // no comment\n(1- b3) 4-/b3 % 57\n{key: A} 1 4 5\n';
  test('the two schools are one music, and going back gives the same chart', () => {
    const relative = renumber(openChart(minor), 'relative');
    expect(relative).toContain('numbering: relative');
    expect(relative).toContain('(6- 1) 2-/1 % 37');
    expect(relative).toContain('{key: A} 1 4 5');
    const letters = (text: string) => renderChart(readChart(text), 4, 'letters').bars;
    expect(letters(relative)).toEqual(letters(minor));
    const back = renumber(openChart(relative), 'tonic');
    expect(renderChart(readChart(back), 4, 'numbers').bars).toEqual(renderChart(readChart(minor), 4, 'numbers').bars);
    expect(renumber(openChart(back), 'relative')).toBe(relative);
  });
});

describe('two versions', () => {
  test.each([
    ['1 4 5 1', '1 4 5 1', 'same same same same'],
    ['1 4 5 1', '1 2- 5 1', 'same changed same same'],
    ['1 4 5 1', '1 4 6- 5 1', 'same same added same same'],
    ['1 4 5 1', '1 1', 'same removed removed same'],
    ['1 4 | 5', '(1 4) 5', 'same same'],
    ['1 4', '(1 4)', 'changed removed'],
    ['', '1', 'added'],
    ['1 4 1 4', '1 4', 'same same removed removed'],
    ['1 1', '1 {key: +2} 1', 'same changed'],
  ])('from %j to %j: %s', (before, after, kinds) => {
    const changes = compareCharts(readChart(before), readChart(after));
    expect(changes.map(({ kind }) => kind).join(' ')).toBe(kinds);
  });
});

describe('pasted chords', () => {
  const pasted = (text: string, chordsABar: 1 | 2 | 4 = 1) => readPasted(text, 1, chordsABar);
  test.each([
    ['G Em C D', 'G Em C D', 'chords'],
    ['1 6- 4 5', '1 6- 4 5', 'chords'],
    ['| G | Em C | D |', '| G | Em C | D |', 'chords'],
    ['G | Em C', '| G | Em C |', 'chords'],
    ['G - Em - C - D', 'G Em C D', 'chords'],
    ['G, Em, C', 'G Em C', 'chords'],
    ['   G      Em7   N.C.', 'G Em7 NC', 'chords'],
    ['Verse 1:', '[Verse 1]', 'section'],
    ['[Chorus] x2', '[Chorus] x2', 'section'],
    ['CHORUS', '[CHORUS]', 'section'],
    ['Key: Em', 'key: Em', 'head'],
    ['A light along the harbor', '~ A light along the harbor', 'words'],
    ['Am I the only one', '~ Am I the only one', 'words'],
    ['', '', 'blank'],
    ['~ kept', '~ kept', 'words'],
  ])('%j becomes %j', (typed, text, kind) => expect(pasted(typed)).toMatchObject([{ typed, text, kind }]));

  test('chords over lyrics keep both', () => {
    const text = 'Verse\n   G           Em\nSalt on the window\n   C      D7\nlights along the quay';
    expect(pastedText(pasted(text))).toBe('[Verse]\nG Em\n~ Salt on the window\nC D7\n~ lights along the quay');
    expect(pastedText(pasted('G Em C D', 2))).toBe('(G Em) (C D)');
    expect(pastedText(pasted('G Em C D A', 4))).toBe('(G Em C D) A');
  });

  test('no text makes it throw', () => {
    for (const text of ['|', '(((', '\t\t', '\u0000', 'x'.repeat(10_000), '| | |', '((1) 4', '🎸 🎸'])
      expect(() => pastedText(pasted(text))).not.toThrow();
  });
});

describe('quick fixes', () => {
  test.each([
    ['12 5', '1 2 5'],
    ['1 8', '1 1'],
    ['1 em', '1 Em'],
    ['1 6/9', '1 169'],
    ['1 (4 5', '1 (4 5)'],
    ['|: 1 4', '|: 1 4 :|'],
    ['1 4.', '1 4'],
    ['form: Vers\n[Verse]\n1', 'form: Verse\n[Verse]\n1'],
  ])('%j is mended to %j', (before, after) => {
    const problem = readChart(before).problems.find((one) => quickFix(one, before) !== undefined);
    const fix = problem === undefined ? undefined : quickFix(problem, before);
    const lines = before.split('\n');
    const line = lines[(fix?.at.line ?? 1) - 1] as string;
    const start = (fix?.at.column ?? 1) - 1;
    lines[(fix?.at.line ?? 1) - 1] = line.slice(0, start) + fix?.write + line.slice(start + (fix?.at.length ?? 0));
    expect(lines.join('\n')).toBe(after);
  });

  test('what only the writer knows has none', () => {
    const [problem] = readChart('1 wat').problems;
    expect(problem === undefined ? null : quickFix(problem, '1 wat')).toBeUndefined();
  });
});
