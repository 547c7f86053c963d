/** @jest-environment jsdom */
import type { BandPart, GrooveName } from '@aurora/core';
import { expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { BandChoice } from './BandChoice.tsx';

function Chosen({ written }: { readonly written: GrooveName }) {
  const [wished, setGroove] = useState<GrooveName | null>(null);
  const [parts, setParts] = useState<Readonly<Record<BandPart, boolean>>>({ guitar: true, bass: true, drums: true });
  const setPart = (part: BandPart, isOn: boolean) => setParts({ ...parts, [part]: isOn });
  const band = { groove: wished ?? written, written, setGroove, parts, setPart, meter: { beats: 4, unit: 4 } };
  return <BandChoice band={band} tempo={120} />;
}

const picture = (name: string | RegExp) => screen.queryByRole('figure', { name });

test('the groove of the chart is drawn, another one is chosen, and the chart’s own again', async () => {
  const user = userEvent.setup();
  render(<Chosen written="swing" />);
  const choice = screen.getByLabelText('Groove');
  expect(picture('One bar of swing: ride, hi-hat pedal, kick, guitar, bass')).not.toBeNull();
  await user.selectOptions(choice, 'one drop');
  expect(picture('One bar of one drop: hi-hat, rim, kick, guitar, bass')).not.toBeNull();
  await user.selectOptions(choice, 'swing, the chart’s own');
  expect(picture(/^One bar of swing/)).not.toBeNull();
});

test('who plays is ticked; what is plain has neither drums nor a picture', async () => {
  const user = userEvent.setup();
  render(<Chosen written="rock" />);
  await user.click(screen.getByRole('checkbox', { name: 'Drums' }));
  expect(screen.queryByRole('checkbox', { name: 'Drums', checked: false })).not.toBeNull();
  await user.selectOptions(screen.getByLabelText('Groove'), 'plain');
  expect(screen.queryByRole('checkbox', { name: 'Drums' })).toBeNull();
  expect(picture(/./)).toBeNull();
});

test('off the beat stands where it falls: later when it swings', () => {
  const off = (groove: GrooveName) => {
    const { container, unmount } = render(<Chosen written={groove} />);
    const places = [...container.querySelectorAll('circle')].map((dot) => Number(dot.getAttribute('cx')));
    unmount();
    return Math.min(...places.filter((x) => x > 8.01));
  };
  // a beat is 51 wide; the first one stands at 8
  expect(off('straight')).toBeCloseTo(8 + 51 / 2, 1);
  expect(off('shuffle')).toBeCloseTo(8 + 34, 1);
});
