import { readChart } from '@aurora/core';
import { expect, test } from '@jest/globals';
import { sheetFacts } from './sheet-facts.ts';

test('says what the head says, and how long it is', () => {
  const head = 'key: Em\nnumbering: relative\ntime: 6/8\ntempo: 60\nfeel: slow\nby: Ann\n\n[A] x2\n6-';
  expect(sheetFacts(readChart(head))).toEqual([
    '6/8',
    '60 bpm',
    'slow',
    '2 bars played',
    '0:04',
    'numbered from the relative major',
    'Ann',
  ]);
  expect(sheetFacts(readChart('key: G\n\n1'))).toEqual(['4/4', '1 bar played']);
});
