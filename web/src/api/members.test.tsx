/** @jest-environment jsdom */
import '../../test/dom.ts';
import { DEFAULT_READS } from '@aurora/wire';
import { afterEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { leaderOf } from '../../test/known-me.ts';
import { useMemberChanges, useMembers } from './members.ts';

const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});

test('a name that is changed while the older list is still on its way stays changed', async () => {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  queries.setQueryData(['me'], leaderOf('b1', 'The Low Tide'));
  const around = ({ children }: { readonly children: ReactNode }) => <QueryClientProvider client={queries}>{children}</QueryClientProvider>;
  const people = ['Ilse', 'Tomas'].map((name, index) => ({
    id: `m${index}`,
    name,
    reads: DEFAULT_READS,
    instrument: null,
  }));
  const renamed = people.map((one) => (one.id === 'm0' ? { ...one, name: 'Elske' } : one));
  queries.setQueryData(['members', 'b1'], people);
  let changed = false;
  let answerOld: () => void = () => undefined;
  const answer = (body: unknown) => ({ ok: true, status: 200, headers: new Headers(), json: async () => body }) as unknown as Response;
  globalThis.fetch = jest.fn((path: unknown, init?: RequestInit) => {
    if (init?.method === 'PATCH') {
      changed = true;
      return Promise.resolve(answer(renamed[0]));
    }
    if (!String(path).includes('/members')) return new Promise<Response>(() => undefined);
    if (changed) return Promise.resolve(answer({ members: renamed }));
    return new Promise<Response>((resolve) => {
      answerOld = () => resolve(answer({ members: people }));
    });
  }) as typeof fetch;
  const { result } = renderHook(() => ({ members: useMembers(), changes: useMemberChanges() }), { wrapper: around });
  const names = () => result.current.members?.map(({ name }) => name);
  await waitFor(() => expect(names()).toHaveLength(2));
  await act(async () => {
    result.current.changes.change.mutate({ id: 'm0', change: { name: 'Elske' } });
  });
  expect(names()).toEqual(['Elske', 'Tomas']);
  await act(async () => {
    answerOld();
    await new Promise((resolve) => setTimeout(resolve, 20));
  });
  expect(names()).toEqual(['Elske', 'Tomas']);
});
