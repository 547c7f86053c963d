/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { type Key, parseKey, requireValue } from '@aurora/core';
import { afterEach, expect, jest, test } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import { setKey, useLensStore } from '../../session/lens-store.ts';
import { type TonightsSong, useKeyChosenEarly } from './tonights-song.ts';

const key = (text: string) => requireValue(parseKey(text));

afterEach(() => {
  useLensStore.setState({ key: null });
});

/** The song once the set has come. */
function arrived(set: (to: Key) => void): TonightsSong {
  const home = key('D');
  return { entry: {} as TonightsSong['entry'], home, key: home, capos: {}, words: [], setKey: set };
}

interface Given {
  readonly waiting: boolean;
  readonly song: TonightsSong | null;
}

function open() {
  const set = jest.fn<(to: Key) => void>();
  const first: Given = { waiting: true, song: null };
  const view = renderHook(({ waiting, song }: Given) => useKeyChosenEarly(waiting, song), { initialProps: first });
  return { set, arrive: (song: TonightsSong | null = arrived(set)) => view.rerender({ waiting: false, song }) };
}

test('a key chosen while the set is on its way is tonight’s once it has come', () => {
  const { set, arrive } = open();
  act(() => setKey(key('Eb')));
  arrive();
  expect(set.mock.calls).toEqual([[key('Eb')]]);
  expect(useLensStore.getState().key).toBeNull();
});

test('the last of several counts, and it is handed over once', () => {
  const { set, arrive } = open();
  act(() => setKey(key('Eb')));
  act(() => setKey(key('E')));
  arrive();
  arrive();
  expect(set.mock.calls).toEqual([[key('E')]]);
});

test('a key the address came with only reads', () => {
  useLensStore.setState({ key: key('G') });
  const { set, arrive } = open();
  arrive();
  expect(set).not.toHaveBeenCalled();
  expect(useLensStore.getState().key).toEqual(key('G'));
});

test('a song that is not in the set keeps the key it is read in', () => {
  const { set, arrive } = open();
  act(() => setKey(key('A')));
  arrive(null);
  expect(set).not.toHaveBeenCalled();
  expect(useLensStore.getState().key).toEqual(key('A'));
});
