import { expect, test } from '@jest/globals';
import { openChart } from '../edit/bar-edits.ts';
import { progressionOf } from '../progression/progression.ts';
import { songLoops } from './song-loops.ts';

const song = (text: string) => {
  const chart = openChart(text);
  return { progression: progressionOf(chart), key: chart.reading.head.key };
};

test('the loop most songs share comes first, in whatever keys they are', () => {
  const loops = songLoops([
    song('key: G\n[A]\n1 5 6- 4\n1 5 6- 4\n[B]\n4 1 5 6-\n'),
    song('key: Eb\n[A]\n1 5 6- 4\n'),
    song('key: A\n[A]\n2- 5 1 1\n1 1 1 1\n'),
  ]);
  expect(loops[0]).toEqual({ places: [1, 5, 6, 4], songs: 2 });
  expect(loops.map(({ places }) => places.join(''))).toContain('4156');
});

test('what leaves the key, and what hardly moves, is none', () => {
  expect(songLoops([song('key: C\n[A]\n1 b7 4 1\n'), song('key: C\n[A]\n1 4 1 4\n')])).toEqual([]);
  expect(songLoops([])).toEqual([]);
});
