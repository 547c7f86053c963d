/** @jest-environment jsdom */
import '../../../../test/dom.ts';
import { afterEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState, useSyncExternalStore } from 'react';
import { renderInBand } from '../../../../test/in-a-band.tsx';
import { sampleDesk, sampleTonight } from '../../../dev/sample-band.ts';
import { SetOrder } from './SetOrder.tsx';

afterEach(cleanup);

const desk = () => {
  const made = sampleDesk();
  function Order() {
    useSyncExternalStore(made.subscribe, made.get);
    const [chosen, setChosen] = useState<string | null>(null);
    return <SetOrder tonight={sampleTonight(made)} chosen={chosen} onChoose={setChosen} />;
  }
  renderInBand(<Order />);
  return made;
};
const order = () =>
  [...document.querySelectorAll('[data-entry]')].map(
    (row) => /Harbor Wall|Tea|Kelp Ladder|Northbound Gravel/.exec(row.textContent ?? '')?.[0],
  );
const row = (at: number) => document.querySelectorAll<HTMLElement>('[data-entry]')[at] as HTMLElement;

describe('the order of a set', () => {
  test('songs are numbered, a break is not', () => {
    desk();
    expect(order()).toEqual(['Harbor Wall', 'Tea', 'Kelp Ladder', 'Northbound Gravel']);
    expect(screen.getByRole('list', { name: 'Order of the set' })).toBeTruthy();
    expect(row(2).textContent).toContain('2');
  });

  test('Alt and an arrow move an entry, the arrow alone goes along', async () => {
    const user = userEvent.setup();
    const made = desk();
    row(0).focus();
    await user.keyboard('{ArrowDown}');
    expect(document.activeElement).toBe(row(1));
    await user.keyboard('{Alt>}{ArrowDown}{/Alt}');
    expect(order()).toEqual(['Harbor Wall', 'Kelp Ladder', 'Tea', 'Northbound Gravel']);
    // it is on its way to the server, or there already
    expect(['waiting', 'saving', 'saved']).toContain(made.get().status.kind);
    expect(made.get().canUndo).toBe(true);
  });

  test('nothing is moved over the ends, and a move is taken back', async () => {
    const user = userEvent.setup();
    const made = desk();
    row(0).focus();
    await user.keyboard('{Alt>}{ArrowUp}{/Alt}');
    expect(order()[0]).toBe('Harbor Wall');
    row(3).focus();
    await user.keyboard('{Alt>}{ArrowUp}{/Alt}');
    expect(order()).toEqual(['Harbor Wall', 'Tea', 'Northbound Gravel', 'Kelp Ladder']);
    act(() => made.undo());
    expect(made.get().body.entries.map(({ id }) => id)).toEqual(['in-harbor', 'tea', 'in-kelp', 'in-gravel']);
  });
});
