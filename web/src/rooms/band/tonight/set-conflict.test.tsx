/** @jest-environment jsdom */
import '../../../../test/dom.ts';
import type { SetList } from '@aurora/wire';
import { afterEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useSyncExternalStore } from 'react';
import { renderInBand } from '../../../../test/in-a-band.tsx';
import { ApiFault } from '../../../api/client.ts';
import { SAMPLE_SET, sampleDesk, sampleTonight } from '../../../dev/sample-band.ts';
import { SetConflict } from './SetConflict.tsx';

afterEach(cleanup);

/** Somebody else gave the set another name and place, and Kelp Ladder another key, before this desk's save arrived. */
async function inConflict() {
  const entries = SAMPLE_SET.entries.map((entry) => (entry.id === 'in-kelp' ? { ...entry, key: 'Bbm' } : entry)) as SetList['entries'];
  const theirs: SetList = {
    ...SAMPLE_SET,
    name: 'Harbour night',
    place: 'The Weir',
    entries,
    revision: 7,
    savedAt: '2026-01-02T00:00:00.000Z',
  };
  const stale = new ApiFault(409, 'stale', { type: '', title: '', status: 409, detail: '', currentSet: theirs });
  const desk = sampleDesk((body, base) => (base < 7 ? Promise.reject(stale) : Promise.resolve({ ...theirs, ...body, revision: base + 1 })));
  desk.change((body) => ({
    ...body,
    name: 'Ferry night',
    entries: body.entries.map((entry) => (entry.id === 'in-kelp' ? ({ ...entry, key: 'F#m' } as typeof entry) : entry)),
  }));
  await desk.flush();
  function Shown() {
    useSyncExternalStore(desk.subscribe, desk.get);
    return <SetConflict tonight={sampleTonight(desk)} />;
  }
  renderInBand(<Shown />);
  return desk;
}

const kelp = (desk: Awaited<ReturnType<typeof inConflict>>) => desk.get().body.entries.find(({ id }) => id === 'in-kelp');

describe('a set that two people changed', () => {
  test('asks for what both changed, names both sides, and has nothing chosen', async () => {
    const desk = await inConflict();
    // the place was changed by one alone
    expect(desk.get().body.place).toBe('The Weir');
    expect(screen.getAllByRole('listitem').map((item) => item.querySelector('b')?.textContent)).toEqual([
      'The set’s name',
      'Kelp Ladder: tonight’s key',
    ]);
    for (const side of ['mine: Ferry night', 'theirs: Harbour night', 'mine: F♯m', 'theirs: B♭m'])
      expect(screen.getByRole('radio', { name: side }).getAttribute('aria-checked')).toBe('false');
    expect((screen.getByRole('button', { name: '2 more to choose' }) as HTMLButtonElement).disabled).toBe(true);
  });

  test('keeps what is chosen, each by itself', async () => {
    const user = userEvent.setup();
    const desk = await inConflict();
    await user.click(screen.getByRole('radio', { name: 'mine: Ferry night' }));
    await user.click(screen.getByRole('radio', { name: 'theirs: B♭m' }));
    await user.click(screen.getByRole('button', { name: 'Save my choice' }));
    await act(() => desk.flush());
    expect([desk.get().status.kind, desk.get().body.name, kelp(desk)]).toMatchObject(['saved', 'Ferry night', { key: 'Bbm' }]);
    expect(screen.queryByRole('region', { name: 'Saved elsewhere' })).toBeNull();
  });
});
