/** @jest-environment jsdom */
import '../../../../test/dom.ts';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, screen, within } from '@testing-library/react';
import { renderInBand } from '../../../../test/in-a-band.tsx';
import { user } from '../../../../test/user.ts';
import { ThumbPad } from './ThumbPad.tsx';

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const written: string[] = [];

/** A pad over an input that notes what is pressed. */
function open() {
  written.length = 0;
  const note = (what: string) => () => void written.push(what);
  const input = {
    put: (text: string) => written.push(text),
    commit: (after: string) => written.push(`then ${after}`),
    cancel: note('cancelled'),
    erase: note('erased'),
    undo: note('undone'),
  };
  renderInBand(<ThumbPad input={input as never} isTyping />);
  return within(screen.getByRole('group', { name: 'Write with one press' }));
}

test('a chord is made of a degree, a sign before it, a quality and a bass, each with its word', async () => {
  const pad = open();
  for (const name of ['flat', 'degree 7', 'minor', 'seventh', 'bass', 'degree 2', 'next bar'])
    await user.click(pad.getByRole('button', { name }));
  expect(written).toEqual(['b', '7', '-', '7', '/', '2', 'then next']);
});

test('how it is played is in the other layer', async () => {
  const pad = open();
  expect(pad.queryByRole('button', { name: 'push' })).toBeNull();
  await user.click(pad.getByRole('radio', { name: 'Feel' }));
  for (const name of ['push', 'hold', 'stop', 'optional', 'no chord', 'repeat', 'one more chord in this bar'])
    await user.click(pad.getByRole('button', { name }));
  expect(written).toEqual(['>', '<', '!', '?', 'NC', '%', ' ']);
  await user.click(pad.getByRole('radio', { name: 'Chord' }));
  expect(pad.getByRole('button', { name: 'degree 1' })).toBeTruthy();
});

test('at the foot: cancel, take away, undo, done, next', async () => {
  const pad = open();
  for (const name of ['Cancel', 'take the last sign away', 'Undo', 'Done', 'next bar']) await user.click(pad.getByRole('button', { name }));
  expect(written).toEqual(['cancelled', 'erased', 'undone', 'then stay', 'then next']);
});

test.each(['Chord', 'Feel'])('no sign stands twice in the layer %s, and no key of a keyboard is named', async (layer) => {
  const pad = open();
  await user.click(pad.getByRole('radio', { name: layer }));
  const signs = pad.getAllByRole('button').map((button) => button.querySelector('[aria-hidden]')?.textContent ?? '');
  expect(new Set(signs).size).toBe(signs.length);
  for (const sign of signs) expect(sign).not.toMatch(/Tab|Esc|Alt|Enter/);
});
