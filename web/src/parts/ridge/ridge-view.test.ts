import { expect, test } from '@jest/globals';
import { MOST_HEIGHT, ridgeLine } from './ridge-view.ts';

test('home is the valley floor, and every chord stands in the middle of its own unit', () => {
  expect(ridgeLine([0, 2, 0])).toBe(`M0 ${MOST_HEIGHT} L0.5 6 L1.5 4 L2.5 6 L3 6`);
});

test('what is wilder than the picture is drawn at its rim', () => {
  expect(ridgeLine([99])).toBe('M0 0 L0.5 0 L1 0');
});

test('no chords, no line', () => expect(ridgeLine([])).toBe(''));
