// @ts-check
import { describe, expect, test } from '@jest/globals';
import { planOf, SLOW_SUITES, testFiles } from './test-plan.mjs';

describe('what npm test is asked for', () => {
  test('nothing is everything', () =>
    expect(planOf([])).toMatchObject({ checks: true, wings: ['core', 'server', 'web', 'scripts'], files: [], flows: true, specs: [] }));

  test('parts are those parts', () => {
    expect(planOf(['checks'])).toMatchObject({ checks: true, wings: [], flows: false });
    expect(planOf(['web', 'core'])).toMatchObject({ checks: false, wings: ['core', 'web'], flows: false });
    expect(planOf(['e2e'])).toMatchObject({ checks: false, wings: [], flows: true, specs: [] });
  });

  test('a part of a path is every test file that has it, in any wing', () => {
    const { files, specs, wings } = planOf(['chord-text']);
    expect(files).toContain('core/src/chord/chord-text.test.ts');
    expect(wings).toEqual(['core']);
    expect(specs).toEqual([]);
    expect(planOf(['stand.spec'])).toMatchObject({ wings: [], files: [], flows: true, specs: ['e2e/stand.spec.ts'] });
  });

  test('a word that is in no path is looked for in names of tests', () => {
    const plan = planOf(['a word that is in no path']);
    expect(plan).toMatchObject({ title: 'a word that is in no path', files: ['scripts/lib/testing/test-plan.test.mjs'] });
  });

  test('what is nowhere, or no option, is refused in words', () => {
    expect(() => planOf(['no', 'such', 'words'].map((word) => `${word}-here-at-all`))).toThrow('No test has');
    expect(() => planOf(['--fast'])).toThrow('--quick and --watch');
  });

  test('quick is the same parts with less in them; watching is Jest alone', () => {
    expect(planOf(['--quick'])).toMatchObject({ quick: true, checks: true, flows: true });
    expect(planOf(['--watch', 'draft'])).toMatchObject({ watch: true, checks: false, flows: false });
  });

  test('suites left out of a quick run are there', () => {
    const files = testFiles();
    expect(SLOW_SUITES.filter((name) => !files.some((path) => path.startsWith('server/') && path.endsWith(`/${name}.test.ts`)))).toEqual(
      [],
    );
  });
});
