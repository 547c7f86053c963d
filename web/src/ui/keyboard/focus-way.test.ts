/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { tellFocusWay } from './focus-way.ts';

test('a press and a key each say which it was, the last one counts', () => {
  const page = document.createElement('div');
  tellFocusWay(page);
  dispatchEvent(new Event('pointerdown'));
  expect(page.dataset.by).toBe('press');
  dispatchEvent(new KeyboardEvent('keydown', { key: 'Tab' }));
  expect(page.dataset.by).toBe('keys');
});
