/** @jest-environment jsdom */
import '../../test/dom.ts';
import type { JobState } from '@aurora/wire';
import { afterEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { leaderOf } from '../../test/known-me.ts';
import { useServerWork } from './jobs.ts';

const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});

const DONE: JobState = { id: 'j1', state: 'done', done: 1, total: 1, says: 'Read.', made: null };

test('work begun before the band is known waits for it', async () => {
  let answerMe: () => void = () => undefined;
  const answer = (body: unknown) => ({ ok: true, status: 200, headers: new Headers(), json: async () => body }) as unknown as Response;
  globalThis.fetch = jest.fn((path: unknown) =>
    String(path).endsWith('/me')
      ? new Promise<Response>((resolve) => (answerMe = () => resolve(answer(leaderOf('b1', 'The Low Tide')))))
      : Promise.resolve(answer(DONE)),
  ) as typeof fetch;
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const around = ({ children }: { readonly children: ReactNode }) => <QueryClientProvider client={queries}>{children}</QueryClientProvider>;
  const begin = jest.fn(async (_bandId: string, _wish: string) => DONE);
  const { result } = renderHook(() => useServerWork(begin), { wrapper: around });
  act(() => result.current.start('a file'));
  expect(begin).not.toHaveBeenCalled();
  await act(async () => answerMe());
  await waitFor(() => expect(begin.mock.calls).toEqual([['b1', 'a file']]));
  await waitFor(() => expect(result.current.state?.says).toBe('Read.'));
});
