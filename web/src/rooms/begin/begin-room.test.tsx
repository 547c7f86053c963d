/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { renderInBand } from '../../../test/in-a-band.tsx';
import { BeginRoom } from './BeginRoom.tsx';

afterEach(cleanup);

const open = () =>
  renderInBand(
    <MemoryRouter>
      <BeginRoom />
    </MemoryRouter>,
  );
const bars = () =>
  within(screen.getByRole('region', { name: 'What you played' }))
    .getAllByRole('listitem')
    .slice(0, -1);

describe('the first minute', () => {
  test('what is pressed or typed stands as a bar, and can be taken back', async () => {
    const user = userEvent.setup();
    open();
    await user.click(screen.getByRole('button', { name: '1, play it' }));
    await user.keyboard('6');
    expect(bars().map((bar) => bar.textContent)).toEqual(['11', '6 minor6–']);
    await user.keyboard('{Backspace}');
    expect(bars()).toHaveLength(1);
  });

  test('after four chords the key is asked, and a step down moves the letters and not the numbers', async () => {
    const user = userEvent.setup();
    open();
    await user.keyboard('164');
    expect(screen.queryByRole('group', { name: 'Key' })).toBeNull();
    await user.keyboard('5');
    await user.click(within(screen.getByRole('group', { name: 'Key' })).getByRole('button', { name: 'G' }));
    expect(bars().map((bar) => bar.textContent)).toEqual(['11GG', '6 minor6–E minorEm', '44CC', '55DD']);
    await user.click(screen.getByRole('button', { name: 'A step down' }));
    expect(bars().map((bar) => bar.textContent)).toEqual(['11FF', '6 minor6–D minorDm', '44B flatB♭', '55CC']);
    expect(screen.getByRole('button', { name: 'Save it as a song' })).toBeTruthy();
  });
});
