/** @jest-environment jsdom */
import '../../test/dom.ts';
import { printKey } from '@aurora/core';
import { DEFAULT_READS, type Member } from '@aurora/wire';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { leaderOf } from '../../test/known-me.ts';
import { setDevice, useDevice } from './device-store.ts';
import { circleKeys } from './key-view.ts';
import { lensLink, readsThroughLenses, useLensStore } from './lens-store.ts';
import { openSheet, useSheet } from './sheet-store.ts';
import { useReads } from './use-reads.ts';
import { paintTheme, useTheme } from './use-theme.ts';

beforeEach(() => {
  localStorage.clear();
  setDevice({ theme: null });
  useLensStore.setState({ key: null, readerId: null, selection: null });
});
afterEach(cleanup);

test('the twelve keys go round the circle from C, each by its usual name', () => {
  const names = (scale: 'major' | 'natural minor') => circleKeys(scale).map((key) => printKey(key));
  expect(names('major')).toEqual(['C', 'G', 'D', 'A', 'E', 'B', 'F#', 'Db', 'Ab', 'Eb', 'Bb', 'F']);
  expect(names('natural minor')).toEqual(['Cm', 'Gm', 'Dm', 'Am', 'Em', 'Bm', 'F#m', 'C#m', 'G#m', 'D#m', 'Bbm', 'Fm']);
});

test('one sheet lies over the room, and is taken away', () => {
  openSheet({ kind: 'glossary', wanted: 'ridge' });
  expect(useSheet.getState().sheet).toEqual({ kind: 'glossary', wanted: 'ridge' });
  openSheet(null);
  expect(useSheet.getState().sheet).toBeNull();
});

describe('the theme', () => {
  const system = (isDark: boolean) =>
    Object.assign(window, {
      matchMedia: (media: string) => ({
        matches: isDark && media.includes('dark'),
        media,
        addEventListener: () => undefined,
        removeEventListener: () => undefined,
      }),
    });
  afterEach(() => {
    system(false);
  });

  test.each([
    [null, false, 'paper'],
    [null, true, 'night'],
    ['paper', true, 'paper'],
    ['night', false, 'night'],
  ] as const)('chosen %s, dark by system %s: %s, in the page and before it is drawn', (chosen, isDark, wanted) => {
    system(isDark);
    setDevice({ theme: chosen });
    expect(renderHook(() => useTheme()).result.current.theme).toBe(wanted);
    paintTheme();
    expect(document.documentElement.dataset.theme).toBe(wanted);
  });

  test('is turned to the other one, and stays chosen', () => {
    const { result } = renderHook(() => useTheme());
    result.current.turn();
    expect(useDevice.getState().theme).toBe('night');
  });
});

describe('where the lenses are', () => {
  const SONG = '/songs/11111111-2222-4333-8444-555555555555';
  test.each([
    ['/harmonize', true],
    ['/analyze', true],
    ['/analyze/score', true],
    ['/analyze/score/x', true],
    ['/neck', true],
    [`${SONG}/chart`, true],
    [`${SONG}/analyze`, true],
    [`${SONG}/stand`, true],
    ['/band/stand', true],
    ['/', false],
    ['/begin', false],
    ['/chart', false],
    ['/band/tonight', false],
    ['/practice', false],
    ['/settings', false],
    ['/you', false],
    [`${SONG}/band/players`, false],
  ])('%s: %s', (path, wanted) => {
    expect(readsThroughLenses(path)).toBe(wanted);
    useLensStore.setState({ readerId: 'Bb' });
    expect(lensLink(path)).toEqual({ pathname: path, search: wanted ? '?reader=Bb' : '' });
  });
});

describe('how charts are read', () => {
  const BAND = 'band';
  const member = (reads: Partial<Member['reads']>): Member => ({
    id: '00000000-0000-4000-8000-000000000001',
    name: 'Tam',
    plays: 'guitar',
    reads: { ...DEFAULT_READS, ...reads },
    instrument: null,
    isIn: true,
  });
  function readsOf(members: readonly Member[]) {
    const queries = new QueryClient({ defaultOptions: { queries: { staleTime: Number.POSITIVE_INFINITY, retry: false } } });
    const me = leaderOf(BAND, 'The Weirlamp Seven');
    const memberId = members[0]?.id ?? null;
    queries.setQueryData(['me'], { ...me, bands: me.bands.map((band) => ({ ...band, memberId })) });
    queries.setQueryData(['members', BAND], members);
    const wrapper = ({ children }: { readonly children: ReactNode }) => (
      <QueryClientProvider client={queries}>{children}</QueryClientProvider>
    );
    return renderHook(() => useReads(), { wrapper }).result.current;
  }

  test.each([
    ['fewest pages', false],
    ['large type', true],
  ] as const)('%s: large %s', (size, large) => expect(readsOf([member({ size })]).large).toBe(large));

  test('as the player likes it: part, lyrics, cues', () => {
    expect(readsOf([member({ part: 'bass', words: false, cues: 'own' })])).toMatchObject({ part: 'bass', words: false });
    expect(readsOf([member({ part: 'bass', words: false, cues: 'own' })]).cuesFor).not.toBeNull();
    expect(readsOf([member({ cues: 'all' })]).cuesFor).toBeNull();
  });

  test('without a player all of it, every cue, in usual type', () =>
    expect(readsOf([])).toMatchObject({ part: 'chart', large: false, words: true, cuesFor: null }));
});
