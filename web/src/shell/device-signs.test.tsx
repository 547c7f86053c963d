/** @jest-environment jsdom */
import '../../test/dom.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderInBand } from '../../test/in-a-band.tsx';
import { tellAnswered, tellAway, useReach } from '../api/reach.ts';
import { type Road, useRoad } from '../document/road.ts';
import { RoadLine } from '../parts/road/RoadLine.tsx';
import { useVersion } from '../session/version.ts';
import { DeviceSigns } from './DeviceSigns.tsx';

beforeEach(() => {
  useReach.setState({ isAway: false, keptAt: null });
  useVersion.setState({ take: null });
  useRoad.setState({ road: { kind: 'unknown' } });
});
afterEach(cleanup);

describe('what the device says of itself', () => {
  test('that the server is away, from when things are, and nothing once it is back', () => {
    renderInBand(<DeviceSigns />);
    expect(screen.queryByTestId('away')).toBeNull();
    act(() => tellAway(new Date(2026, 0, 2, 20, 5).getTime()));
    expect(screen.getByTestId('away').textContent).toContain('2 Jan, 20:05');
    act(() => tellAnswered());
    expect(screen.queryByTestId('away')).toBeNull();
  });

  test('a newer version waits until somebody takes it', async () => {
    const user = userEvent.setup();
    let taken = 0;
    renderInBand(<DeviceSigns />);
    expect(screen.queryByRole('button')).toBeNull();
    act(() => useVersion.setState({ take: () => (taken += 1) }));
    expect(taken).toBe(0);
    await user.click(screen.getByRole('button'));
    expect(taken).toBe(1);
  });
});

describe('whether tonight is on the device', () => {
  test.each<[Road, RegExp | null]>([
    [{ kind: 'unknown' }, null],
    [{ kind: 'never' }, /keeps nothing/],
    [{ kind: 'partly', songs: 8, missing: 2 }, /not all of tonight/i],
    [{ kind: 'ready', setId: 's', songs: 8, at: new Date(2026, 0, 2, 9, 7).getTime() }, /^Ready without a network · 2 Jan, 09:07$/],
  ])('%j', (road, said) => {
    useRoad.setState({ road });
    renderInBand(<RoadLine />);
    const line = screen.queryByRole('status');
    if (said === null) expect(line).toBeNull();
    else expect(line?.textContent).toMatch(said);
  });

  test('of today only the hour', () => {
    useRoad.setState({ road: { kind: 'ready', setId: null, songs: 0, at: new Date().setHours(7, 30, 0, 0) } });
    renderInBand(<RoadLine />);
    expect(screen.getByRole('status').textContent).toBe('Ready without a network · 07:30');
  });
});
