/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { DEFAULT_NAMING, parseChord, requireValue, STANDARD_GUITAR } from '@aurora/core';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderInBand } from '../../../test/in-a-band.tsx';
import { NeckBoard } from './NeckBoard.tsx';
import { toneDots } from './neck-view.ts';

afterEach(cleanup);

const LOOK = { labels: 'notes', naming: DEFAULT_NAMING } as const;
const board = (symbol: string, instrument = STANDARD_GUITAR) =>
  renderInBand(
    <NeckBoard
      instrument={instrument}
      lastFret={5}
      dots={toneDots(requireValue(parseChord(symbol)), instrument, 5, LOOK)}
      label={`Tones of ${symbol}`}
    />,
  );
const names = () => screen.getAllByRole('button').map((dot) => dot.getAttribute('aria-label'));

describe('the neck', () => {
  test('shows every tone of the chord where the strings have it', () => {
    board('C');
    // by hand: the tones of C in the first position of standard tuning
    for (const name of ['C, root, string 5, fret 3', 'C, root, string 2, fret 1', 'G, 5, string 3, open', 'E, 3, string 4, fret 2'])
      expect(names()).toContain(name);
    expect(names().every((name) => /^[CEG],/.test(name ?? ''))).toBe(true);
  });

  test('with a capo nothing sounds below it', () => {
    board('C', { ...STANDARD_GUITAR, capo: 3 });
    expect(names().some((name) => /fret [12]\b/.test(name ?? ''))).toBe(false);
  });

  test('is one stop for Tab, and the arrows walk from dot to dot', async () => {
    const user = userEvent.setup();
    board('C');
    await user.tab();
    const first = document.activeElement?.getAttribute('aria-label');
    await user.keyboard('{ArrowRight}');
    const second = document.activeElement?.getAttribute('aria-label');
    expect(first).not.toBe(second);
    expect(names()).toContain(second);
    await user.tab();
    expect(document.activeElement).toBe(document.body);
  });
});
