import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mergeCharts } from './merge-charts.ts';
import { mergeOrder } from './merge-order.ts';

const BASE = 'title: Weir\nkey: G\n\n[Verse]\n1 4\n\n[Chorus]\n4 5\n\n[Tag]\n1\n';
const MINE = BASE.replace('1 4', '1 2-');
const of = (mine: string, theirs: string) => mergeCharts(BASE, mine, theirs);

describe('two people changed a chart', () => {
  test.each([
    ['different sections', MINE, BASE.replace('4 5', '4 1'), 'title: Weir\nkey: G\n\n[Verse]\n1 2-\n\n[Chorus]\n4 1\n\n[Tag]\n1\n'],
    [
      'different head lines',
      BASE.replace('Weir', 'Low Weir'),
      BASE.replace('key: G', 'key: A'),
      BASE.replace('Weir', 'Low Weir').replace('key: G', 'key: A'),
    ],
    ['a head line and a section', BASE.replace('key: G', 'key: A'), BASE.replace('1 4', '1 2-'), MINE.replace('key: G', 'key: A')],
    [
      'one put a section in, one wrote in another',
      `${BASE}\n[End]\n1 1\n`,
      BASE.replace('4 5', '4 1'),
      `${BASE.replace('4 5', '4 1')}\n[End]\n1 1\n`,
    ],
    ['one took a section away', BASE.replace('\n[Tag]\n1\n', ''), MINE, MINE.replace('\n[Tag]\n1\n', '')],
    ['one renamed a section, the other wrote in it', BASE.replace('[Tag]', '[Outro]'), BASE.replace('[Tag]\n1', '[Tag] x2\n1'), undefined],
    ['one renamed a section, the other wrote elsewhere', BASE.replace('[Tag]', '[Outro]'), MINE, MINE.replace('[Tag]', '[Outro]')],
    ['both the same', MINE, MINE, MINE],
    ['only they did', BASE, MINE, MINE],
    [
      'one moved a section, one wrote in it',
      'title: Weir\nkey: G\n\n[Tag]\n1\n\n[Verse]\n1 4\n\n[Chorus]\n4 5\n',
      BASE.replace('4 5', '4 1'),
      'title: Weir\nkey: G\n\n[Tag]\n1\n\n[Verse]\n1 4\n\n[Chorus]\n4 1\n',
    ],
  ])('%s', (_, mine, theirs, merged) => {
    const result = of(mine, theirs);
    if (merged === undefined) return expect(result.clashes).toHaveLength(1);
    expect(result).toEqual({ text: merged, clashes: [] });
  });

  test('the same section twice is asked about, and nothing is decided', () => {
    const { text, clashes } = of(MINE, BASE.replace('1 4', '1 5'));
    expect(text).toBe(MINE);
    expect(clashes).toEqual([{ id: '[Verse]0', name: 'Verse', isHead: false, mine: '[Verse]\n1 2-', theirs: '[Verse]\n1 5' }]);
  });

  test('what is chosen goes in: mine, theirs, or both side by side', () => {
    const merged = (side: 'mine' | 'theirs' | 'both') => mergeCharts(BASE, MINE, BASE.replace('1 4', '1 5'), { '[Verse]0': side }).text;
    expect(merged('mine')).toBe(MINE);
    expect(merged('theirs')).toBe(BASE.replace('1 4', '1 5'));
    expect(merged('both')).toContain('[Verse]\n1 2-\n\n[Verse, theirs]\n1 5\n\n[Chorus]');
  });

  test('the same head line twice is asked about', () => {
    const { clashes } = of(BASE.replace('key: G', 'key: A'), BASE.replace('key: G', 'key: F'));
    expect(clashes).toMatchObject([{ isHead: true, mine: 'title: Weir\nkey: A', theirs: 'title: Weir\nkey: F' }]);
  });

  test('a section taken away that the other changed is asked about and can come back', () => {
    const gone = BASE.replace('\n[Chorus]\n4 5\n', '');
    const theirs = BASE.replace('4 5', '4 1');
    expect(of(gone, theirs).clashes).toMatchObject([{ name: 'Chorus', mine: null, theirs: '[Chorus]\n4 1' }]);
    expect(mergeCharts(BASE, gone, theirs, { '[Chorus]0': 'theirs' }).text).toBe(theirs);
  });

  test('a chart without sections is one section', () => {
    expect(mergeCharts('key: G\n\n1 4\n', 'key: G\n\n1 5\n', 'key: A\n\n1 4\n')).toEqual({ text: 'key: A\n\n1 5\n', clashes: [] });
    expect(mergeCharts('1 4\n', '1 5\n', '1 6-\n').clashes).toHaveLength(1);
  });
});

describe('laws', () => {
  const section = fc.constantFrom('1 4', '4 5', '6- 5', '1 1 1 1');
  const song = fc
    .uniqueArray(fc.tuple(fc.constantFrom('A', 'B', 'C', 'D'), section), { selector: ([name]) => name, maxLength: 4 })
    .map((parts) => `key: G\n\n${parts.map(([name, bars]) => `[${name}]\n${bars}`).join('\n\n')}\n`);

  test('both come to one text where nothing is in dispute', () => {
    fc.assert(
      fc.property(song, song, song, (base, mine, theirs) => {
        const [ours, other] = [mergeCharts(base, mine, theirs), mergeCharts(base, theirs, mine)];
        expect(ours.clashes.map(({ id }) => id).sort()).toEqual(other.clashes.map(({ id }) => id).sort());
        if (ours.clashes.length > 0) return;
        const parts = (text: string) => text.split('\n\n').sort();
        expect(parts(ours.text.trim())).toEqual(parts(other.text.trim()));
      }),
      { seed: 85, numRuns: 400 },
    );
  });

  test('an order keeps what nobody took away, once', () => {
    const names = fc.uniqueArray(fc.constantFrom(...'abcdefg'), { maxLength: 7 });
    fc.assert(
      fc.property(names, names, names, (base, mine, theirs) => {
        const merged = mergeOrder(base, mine, theirs);
        const kept = [...new Set([...mine, ...theirs])].filter(
          (name) => !base.includes(name) || (mine.includes(name) && theirs.includes(name)),
        );
        expect([...merged].sort()).toEqual(kept.sort());
      }),
      { seed: 86, numRuns: 400 },
    );
  });
});
