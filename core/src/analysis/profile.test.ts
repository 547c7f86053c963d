import { describe, expect, test } from '@jest/globals';
import * as fc from 'fast-check';
import { analyzeText } from './analyze.ts';
import { heightsOver, songProfile } from './profile.ts';

const profile = (source: string) => songProfile(analyzeText(source));

describe('the ridge measured in beats', () => {
  test('a bar is as wide as its beats, however many chords share it', () => {
    expect(profile('key: C\n1 (4 5) 1\n').spans.map(({ bar, from, to }) => [bar, from, to])).toEqual([
      [0, 0, 4],
      [1, 4, 6],
      [1, 6, 8],
      [2, 8, 12],
    ]);
  });

  test('unequal shares, other meters and pickups count as they are written', () => {
    expect(profile('key: C\ntime: 4/4\n(1.. 4. 5) 1\n').spans.map(({ from }) => from)[1]).toBeGreaterThan(1);
    expect(profile('key: C\ntime: 6/8\n1 4\n').beats).toBe(12);
    expect(profile('key: C\n{pickup: 1} 5 1\n').spans.map(({ from }) => from)).toEqual([0, 1]);
  });

  test('sections stand on the floor where their bars are, with how often they are played', () => {
    expect(profile('key: C\n[A] x2\n1 4\n[B]\n5 1 1\n').sections).toEqual([
      { name: 'A', from: 0, to: 8, times: 2 },
      { name: 'B', from: 8, to: 20, times: 1 },
    ]);
  });

  test('says what each chord does, and which stand outside the key', () => {
    expect(profile('key: C\n1 4 5 b7 1\n').spans.map(({ role }) => role)).toEqual(['tonic', 'subdominant', 'dominant', 'outside', 'tonic']);
  });

  test('at equal steps of time: a chord of two beats is half a bar', () => {
    expect(heightsOver(profile('key: C\n1 (4 5) 1\n'), 6)).toEqual([0, 0, 1, 2, 0, 0]);
    expect(heightsOver(profile(''), 6)).toEqual([]);
  });

  test('spans follow each other without holes from the beginning to the end', () => {
    const bar = fc.constantFrom('1', '4', '5', '(1 4)', '(6-. 2-.. 5)', '%', 'b7');
    fc.assert(
      fc.property(fc.array(bar, { minLength: 1, maxLength: 24 }), (bars) => {
        const { spans, beats } = profile(`key: G\n${bars.join(' ')}\n`);
        if (spans.length === 0) return;
        expect(spans[0]?.from).toBe(0);
        expect(spans.at(-1)?.to).toBe(beats);
        for (const [place, span] of spans.entries()) {
          expect(span.to).toBeGreaterThanOrEqual(span.from);
          if (place > 0) expect(span.from).toBe(spans[place - 1]?.to);
        }
      }),
      { seed: 15 },
    );
  });
});
