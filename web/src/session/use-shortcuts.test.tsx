/** @jest-environment jsdom */
import '../../test/dom.ts';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { partKeys, useShortcuts } from './use-shortcuts.ts';

afterEach(cleanup);

const pressed: string[] = [];
function Keys() {
  useShortcuts({
    ...partKeys(
      [
        ['one', 'One'],
        ['two', 'Two'],
      ],
      (name) => pressed.push(name),
    ),
    '2': () => pressed.push('degree 2'),
    'Ctrl+z': () => pressed.push('undo'),
  });
  return (
    <>
      <input aria-label="Field" />
      <button type="button">Button</button>
    </>
  );
}

function press(target: Element, event: KeyboardEventInit): readonly string[] {
  pressed.length = 0;
  fireEvent.keyDown(target, { bubbles: true, ...event });
  return [...pressed];
}

describe('single keys', () => {
  test('a digit alone is a degree, with Alt a part of the room, whatever sign the keyboard makes of it', () => {
    render(<Keys />);
    const here = screen.getByRole('button');
    expect(press(here, { key: '2', code: 'Digit2' })).toEqual(['degree 2']);
    expect(press(here, { key: '2', code: 'Digit2', altKey: true })).toEqual(['two']);
    expect(press(here, { key: '“', code: 'Digit2', altKey: true })).toEqual(['two']);
  });

  test('while somebody writes they are letters, also those made with Alt; Ctrl works there too', () => {
    render(<Keys />);
    const field = screen.getByLabelText('Field');
    expect(press(field, { key: '2', code: 'Digit2' })).toEqual([]);
    expect(press(field, { key: '{', code: 'Digit2', altKey: true })).toEqual([]);
    expect(press(field, { key: 'z', code: 'KeyZ', ctrlKey: true })).toEqual(['undo']);
  });

  test('the Alt that only makes signs opens nothing', () => {
    render(<Keys />);
    expect(press(screen.getByRole('button'), { key: '{', code: 'Digit2', altKey: true, ctrlKey: true })).toEqual([]);
  });
});
