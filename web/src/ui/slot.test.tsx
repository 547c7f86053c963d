/** @jest-environment jsdom */
import '../../test/dom.ts';
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { InSlot, SlotPlace, useSlotIsFilled, useSlotIsThere } from './Slot.tsx';

afterEach(cleanup);

function Asked() {
  return <p>{`${useSlotIsThere('tools')} ${useSlotIsFilled('tools')}`}</p>;
}

test('what a room has for a place is drawn in it', () => {
  render(
    <>
      <header>
        <SlotPlace name="tools" />
      </header>
      <main>
        <InSlot name="tools">
          <button type="button">Play</button>
        </InSlot>
      </main>
    </>,
  );
  expect(screen.getByRole('banner').contains(screen.getByRole('button', { name: 'Play' }))).toBe(true);
});

test('without the place nothing is drawn, and it is known that there would be something', () => {
  const { rerender } = render(
    <>
      <Asked />
      <InSlot name="tools">
        <button type="button">Play</button>
      </InSlot>
    </>,
  );
  expect(screen.queryByRole('button')).toBeNull();
  expect(screen.getByText('false true')).toBeTruthy();
  rerender(<Asked />);
  expect(screen.getByText('false false')).toBeTruthy();
});
