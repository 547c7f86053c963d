/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderInBand } from '../../../test/in-a-band.tsx';
import { useDevice } from '../../session/device-store.ts';
import { RoomHint } from './RoomHint.tsx';

const first = useDevice.getState();
beforeEach(() => void useDevice.setState(first, true));
afterEach(cleanup);

test('a room has one hint, until it is put out of sight on this device', async () => {
  const user = userEvent.setup();
  renderInBand(
    <>
      <RoomHint room="chart" />
      <RoomHint room="band" />
    </>,
  );
  expect(screen.getAllByRole('note')).toHaveLength(2);
  await user.click(screen.getAllByRole('button')[0] as HTMLElement);
  expect(screen.getAllByRole('note')).toHaveLength(1);
  expect(useDevice.getState().hintsRead).toEqual(['chart']);
});

test('a room without a hint says nothing', () => {
  renderInBand(<RoomHint room="settings" />);
  expect(screen.queryByRole('note')).toBeNull();
});

test.each(['harmonize', 'analyze', 'chart', 'neck'] as const)('on a phone the hint of %s speaks of no key', (room) => {
  const { matchMedia } = window;
  window.matchMedia = ((media: string) => ({ ...matchMedia(media), matches: true })) as typeof matchMedia;
  renderInBand(<RoomHint room={room} />);
  window.matchMedia = matchMedia;
  expect(screen.getByRole('note').textContent).not.toMatch(/\b(Tab|Alt|Esc|Ctrl|arrows?|1 to 7|type)\b/);
});

test('it stays three visits, and is gone the fourth time', () => {
  useDevice.setState({ hintsRead: [], hintsSeen: {} });
  for (let visit = 0; visit < 3; visit += 1) {
    renderInBand(<RoomHint room="chart" />);
    expect(screen.getByRole('note', { name: 'Hint' })).toBeTruthy();
    cleanup();
  }
  renderInBand(<RoomHint room="chart" />);
  expect(screen.queryByRole('note', { name: 'Hint' })).toBeNull();
});
