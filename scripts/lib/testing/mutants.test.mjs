// @ts-check
import { describe, expect, test } from '@jest/globals';
import { mutantsOf } from './mutants.mjs';

const faults = (/** @type {string} */ text) => mutantsOf('module.tsx', text).map(({ was, becomes }) => `${was} → ${becomes}`);

describe('faults put into a module', () => {
  test.each([
    [
      'an operator by its neighbour',
      'const f = (a: number) => a < 2;',
      ['const f = (a: number) => a <= 2;', 'const f = (a: number) => a < 3;'],
    ],
    ['both sides of a choice', 'const f = a ? b : c;', ['const f = true ? b : c;', 'const f = false ? b : c;']],
    ['a refusal turned round', 'const f = !a;', ['const f = a;']],
    ['what stands in for nothing', 'const f = a ?? b;', ['const f = a;']],
    ['a call left out', 'save();', [';']],
    ['yes for no', 'const f = false;', ['const f = true;']],
  ])('%s', (_, text, mutants) => expect(mutantsOf('module.ts', text).map((one) => one.text)).toEqual(mutants));

  test('types, imports and what a part is called are no code', () => {
    expect(faults("import { a } from './a.ts';")).toEqual([]);
    expect(faults('type A = 1 | true;')).toEqual([]);
    expect(faults('const f = <p hidden={true} className="a">2</p>;')).toEqual(['true → false']);
  });

  test('what is said to be constant or of a type is still code', () => {
    expect(faults('const f = [1] as const;')).toEqual(['1 → 2']);
    expect(faults('const f = true satisfies boolean;')).toEqual(['true → false']);
  });

  test('the place is the line, whatever letters stand before it', () => {
    expect(mutantsOf('module.ts', "const name = '♭ “é”';\nconst f = a === b;")).toMatchObject([
      { line: 2, was: ' === ', becomes: ' !== ' },
    ]);
  });
});
