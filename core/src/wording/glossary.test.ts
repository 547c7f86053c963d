import { describe, expect, test } from '@jest/globals';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import { circleWords } from './circle-words.ts';
import { explainTerm, GLOSSARY } from './glossary.ts';

const E_FLAT = -3;
const B_FLAT = -2;

describe('the glossary', () => {
  test('no term stands twice, under any of its names', () => {
    const names = GLOSSARY.flatMap(({ term, also }) => [term, ...also]);
    expect(names.filter((name, index) => names.indexOf(name) !== index)).toEqual([]);
    expect(GLOSSARY.length).toBeGreaterThan(25);
  });

  test.each(GLOSSARY.map((entry) => [entry.term, entry] as const))('%s: one sentence, and an example in every key', (_, entry) => {
    expect(entry.sentence).toMatch(/^[A-Z][^.]*(\d\.\d[^.]*)?\.$/);
    for (let tonic = -6; tonic <= 6; tonic += 1) expect(explainTerm(entry, tonic).example).not.toMatch(/[{}]/);
  });

  test('an example is in the key at hand, in the reader’s names', () => {
    const borrowed = GLOSSARY.find(({ term }) => term === 'borrowed chord');
    expect(explainTerm(borrowed as never, E_FLAT).example).toBe('A♭m in E♭ major comes from E♭ minor.');
    expect(explainTerm(borrowed as never, B_FLAT, { ...DEFAULT_NAMING, notes: 'german' }).example).toBe(
      'E♭m in B major comes from B minor.',
    );
  });
});

describe('fourth or fifth', () => {
  test('B flat to E flat is up a fourth, yet B flat is the 5 of E flat', () => {
    expect(circleWords(B_FLAT, E_FLAT).join(' ')).toContain('B♭ to E♭ is up a fourth');
    expect(circleWords(B_FLAT, E_FLAT).join(' ')).toContain('B♭ is the 5 of E♭');
  });

  test('and the other way round', () => expect(circleWords(E_FLAT, B_FLAT).join(' ')).toContain('E♭ is the 4 of B♭'));

  test('notes that are no neighbours are not spoken of', () => expect(circleWords(0, 2)).toEqual([]));
});
