/** @jest-environment jsdom */
import { afterEach, expect, jest, test } from '@jest/globals';
import { keepEarlyKeys, takeEarlyKeys } from './early-keys.ts';

const press = (key: string, more: KeyboardEventInit = {}, target: EventTarget = document.body) => {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more });
  target.dispatchEvent(event);
  return event;
};
const taken = () =>
  takeEarlyKeys()
    .map(({ key, shiftKey }) => (shiftKey ? `Shift+${key}` : key))
    .join(' ');

afterEach(() => {
  takeEarlyKeys();
  document.body.innerHTML = '';
});

test('what is typed before the field is there is kept in order, and presses no button once more', () => {
  document.body.innerHTML = '<button>New song</button>';
  const button = document.querySelector('button') as HTMLButtonElement;
  const pressed = jest.fn();
  button.addEventListener('keydown', pressed);
  keepEarlyKeys();
  for (const key of ['1', 'Tab', '6', '-', ' ']) press(key, {}, button);
  expect(press('Enter', {}, button).defaultPrevented).toBe(true);
  press('Tab', { shiftKey: true }, button);
  expect(pressed).not.toHaveBeenCalled();
  expect(taken()).toBe('1 Tab 6 -   Enter Shift+Tab');
});

test('once it is taken keys go where they are pressed', () => {
  keepEarlyKeys();
  press('1');
  expect(taken()).toBe('1');
  expect(press('4').defaultPrevented).toBe(false);
  expect(taken()).toBe('');
});

test.each(['Control', 'ArrowLeft', 'F2', 'Shift'])('%s is no part of it', (key) => {
  keepEarlyKeys();
  expect(press(key).defaultPrevented).toBe(false);
  expect(taken()).toBe('');
});

test('commands, and keys of a field, are left to what they are meant for', () => {
  document.body.innerHTML = '<input />';
  keepEarlyKeys();
  expect(press('z', { ctrlKey: true }).defaultPrevented).toBe(false);
  expect(press('a', {}, document.querySelector('input') as HTMLElement).defaultPrevented).toBe(false);
  expect(taken()).toBe('');
});

test('Esc is kept like the others: it gives up one bar, not all of them', () => {
  keepEarlyKeys();
  for (const key of ['1', 'Tab', '4', 'Escape', '5']) press(key);
  expect(taken()).toBe('1 Tab 4 Escape 5');
});

test('a press elsewhere ends it, and nothing is kept', () => {
  keepEarlyKeys();
  press('1');
  document.body.dispatchEvent(new Event('pointerdown', { bubbles: true }));
  expect(press('4').defaultPrevented).toBe(false);
  expect(taken()).toBe('');
});

test('begun anew it forgets what was before', () => {
  keepEarlyKeys();
  press('1');
  keepEarlyKeys();
  press('4');
  expect(taken()).toBe('4');
});
