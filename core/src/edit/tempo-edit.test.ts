import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { secondsOf, timelineOf } from '../chart/timeline.ts';
import { withTempo } from './tempo-edit.ts';

const at = (source: string, tempo: number) => withTempo(readChart(source), tempo);
const seconds = (source: string) => secondsOf(timelineOf(readChart(source)));

describe('a chart at another tempo', () => {
  test.each([
    ['its own line', 'title: A\ntempo: 100\n\n[A]\n1 4\n', 'title: A\ntempo: 120\n\n[A]\n1 4\n'],
    ['a line it had not', 'title: A\nkey: G\n\n[A]\n1 4\n', 'title: A\nkey: G\ntempo: 120\n\n[A]\n1 4\n'],
    ['a head it had not', '1 4\n', 'tempo: 120\n\n1 4\n'],
    ['a line nobody can read', 'tempo: brisk\n\n1 4\n', 'tempo: 120\n\n1 4\n'],
    ['changes in proportion', 'tempo: 100\n\n1 {tempo: 50} 4\n', 'tempo: 120\n\n1 {tempo: 60} 4\n'],
    ['changes without a proportion', 'key: C\n\n1 {tempo: 50} 4\n', 'key: C\ntempo: 120\n\n1 {tempo: 120} 4\n'],
  ])('%s', (_, source, text) => expect(at(source, 120)).toBe(text));

  test('changes stay where a tempo can lie', () => {
    expect(at('tempo: 100\n\n1 {tempo: 300} 4\n', 200)).toContain('{tempo: 400}');
    expect(at('tempo: 100\n\n1 {tempo: 30} 4\n', 20)).toContain('{tempo: 20}');
  });

  test('lyrics, remarks, form and letters come through, and half the tempo lasts twice as long', () => {
    const source =
      'title: B\nkey: Em\ntime: 6/8\ntempo: 80\nform: A, B\n\n[A] x2 -- soft\n|: <1- (4-/5 57.) "hold" :| x3\n~ a line of words\n// kept\n\n[B]\n{tempo: 100} {key: G} 1 @bass "low" 5 {fine}\n';
    const slow = at(source, 40);
    expect(slow).toBe(source.replace('tempo: 80', 'tempo: 40').replace('{tempo: 100}', '{tempo: 50}'));
    expect(seconds(slow)).toBeCloseTo(2 * (seconds(source) as number), 6);
  });
});
