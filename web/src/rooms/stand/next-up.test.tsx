/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { eveningOf, NEW_SET_SONG } from '@aurora/core';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import { renderInBand } from '../../../test/in-a-band.tsx';
import { useLensStore } from '../../session/lens-store.ts';
import { NextCard, useNextSong } from './NextUp.tsx';

const SONGS = [
  { id: 'a', title: 'Rope Walk', source: 'title: Rope Walk\nkey: Eb\n\n[A]\n1 4 5 1\n' },
  { id: 'b', title: 'Kelp Ladder', source: 'title: Kelp Ladder\nkey: D\ntempo: 96\n\n[A]\n1 4\n' },
];
const ALTO = '00000000-0000-4000-8000-000000000002';

function show(first: object, second: object, at = 'a') {
  const entries = [
    { ...NEW_SET_SONG, id: 'a', songId: 'a', ...first },
    { ...NEW_SET_SONG, id: 'b', songId: 'b', ...second },
  ];
  const evening = eveningOf({ name: '', place: '', startsAt: '', gapSeconds: 30, entries }, SONGS);
  function Shown() {
    const next = useNextSong(evening, at);
    return next === null ? <p>the last</p> : <NextCard next={next} />;
  }
  renderInBand(<Shown />);
  return screen.queryByRole('region', { name: 'Next' })?.textContent ?? screen.getByText('the last').textContent;
}

beforeEach(() => {
  localStorage.clear();
  useLensStore.setState({ key: null, readerId: 'concert' });
});
afterEach(cleanup);

test.each([
  ['a stop', {}, {}, 'NextKelp LadderDstop · 96 bpm'],
  ['who counts in', {}, { starts: 'Tam' }, 'NextKelp LadderDstop · 96 bpm · Tam counts in'],
  ['straight over the dominant', { join: { kind: 'bridge', bridge: 'dominant' } }, {}, 'NextKelp LadderDsegue via A7 · 96 bpm'],
  ['straight on', { join: { kind: 'bridge', bridge: 'direct' } }, { tempo: 120 }, 'NextKelp LadderDsegue · 120 bpm'],
])('what has to be known before the next song: %s', (_, first, second, wanted) => expect(show(first, second)).toBe(wanted));

test('an alto reads its own key and its own chord', () => {
  useLensStore.setState({ readerId: `m-${ALTO}` });
  // a sixth up: D sounds where B is read, and A7 where F♯7 is
  expect(show({ join: { kind: 'bridge', bridge: 'dominant' } }, {})).toBe('NextKelp LadderBsegue via F♯7 · 96 bpm');
});

test('another capo is told, with the shapes it is read in', () => {
  useLensStore.setState({ readerId: 'm-00000000-0000-4000-8000-000000000001' });
  expect(show({}, { capos: { '00000000-0000-4000-8000-000000000001': 2 } })).toBe('NextKelp LadderCstop · 96 bpm · capo 2');
  cleanup();
  expect(show({ capos: { '00000000-0000-4000-8000-000000000001': 3 } }, {})).toBe('NextKelp LadderDstop · 96 bpm · capo off');
});

test('after the last song there is nothing', () => expect(show({}, {}, 'b')).toBe('the last'));
