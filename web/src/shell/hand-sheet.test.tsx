/** @jest-environment jsdom */
import '../../test/dom.ts';
import { parseChord, parseKey, requireValue } from '@aurora/core';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderInBand } from '../../test/in-a-band.tsx';
import { lowerHand, raiseHand, useHand } from '../session/hand-store.ts';
import { select, useLensStore } from '../session/lens-store.ts';
import { InSlot } from '../ui/Slot.tsx';
import { HandSheet } from './HandSheet.tsx';

beforeEach(() => {
  useHand.setState({ raised: null, last: 'tools' });
  useLensStore.setState({ key: null, readerId: null, selection: null });
});
afterEach(cleanup);

const sheet = () => screen.queryByRole('region', { name: 'The chosen chord' });
const chooseG = () => select({ chord: requireValue(parseChord('G7')), heardIn: requireValue(parseKey('C')) });

describe('the half sheet of a phone', () => {
  test('over a chart nothing stands until it is raised; elsewhere the chosen chord rests at the foot', async () => {
    chooseG();
    const { unmount } = renderInBand(<HandSheet room="chart" />);
    expect(screen.queryByRole('button')).toBeNull();
    unmount();
    renderInBand(<HandSheet room="harmonize" />);
    await userEvent.setup().click(screen.getByRole('button', { name: /Why, and how it is held/ }));
    expect(sheet()).not.toBeNull();
    expect(screen.getByRole('tab', { name: 'Why' }).getAttribute('aria-selected')).toBe('true');
  });

  test('shows the room’s own tools where it has some, and else why', () => {
    chooseG();
    raiseHand();
    const { unmount } = renderInBand(<HandSheet room="analyze" />);
    expect(screen.getByRole('tab', { name: 'Why' }).getAttribute('aria-selected')).toBe('true');
    unmount();
    renderInBand(
      <>
        <HandSheet room="chart" />
        <InSlot name="hand">
          <button type="button">degree 6</button>
        </InSlot>
      </>,
    );
    expect(screen.getByRole('tab', { name: 'Write' }).getAttribute('aria-selected')).toBe('true');
    expect(screen.getByRole('button', { name: 'degree 6' })).toBeTruthy();
  });

  test('is let go by its button, by Escape and by a swipe, and stays for a short one', async () => {
    const user = userEvent.setup();
    chooseG();
    renderInBand(<HandSheet room="chart" />);
    for (const letGo of [
      () => user.click(screen.getByRole('button', { name: 'Close' })),
      () => user.keyboard('{Escape}'),
      async () => swipe(120),
    ]) {
      act(() => raiseHand('why'));
      await waitFor(() => expect(sheet()).not.toBeNull());
      await letGo();
      await waitFor(() => expect(sheet()).toBeNull());
    }
    act(() => raiseHand('why'));
    await waitFor(() => expect(sheet()).not.toBeNull());
    swipe(20);
    expect(sheet()).not.toBeNull();
    act(lowerHand);
  });
});

/** Draws the upper edge down by so many pixels. */
function swipe(pixels: number): void {
  const edge = screen.getByRole('tablist').parentElement as HTMLElement;
  fireEvent.pointerDown(edge, { clientY: 100 });
  fireEvent.pointerMove(edge, { clientY: 100 + pixels });
  fireEvent.pointerUp(edge, { clientY: 100 + pixels });
}
