/** @jest-environment jsdom */
import '../../test/dom.ts';
import { DEFAULT_PRACTICE } from '@aurora/wire';
import { afterEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { usePracticeSettings } from './practice.ts';

const PLAYER = { bandId: 'band', memberId: 'member' };
const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});

test('a change made while the older settings are still on their way is made to those, and stays', async () => {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const around = ({ children }: { readonly children: ReactNode }) => <QueryClientProvider client={queries}>{children}</QueryClientProvider>;
  const older = { ...DEFAULT_PRACTICE, ladder: { up: 9, down: 3 } };
  let answerOld: () => void = () => undefined;
  globalThis.fetch = jest.fn((_: unknown, init?: RequestInit) => {
    const answer = (body: unknown) => ({ ok: true, status: 200, headers: new Headers(), json: async () => body }) as unknown as Response;
    if (init?.method === 'PUT') return Promise.resolve(answer(JSON.parse(String(init.body))));
    return new Promise<Response>((resolve) => {
      answerOld = () => resolve(answer(older));
    });
  }) as typeof fetch;
  const { result } = renderHook(() => usePracticeSettings(PLAYER), { wrapper: around });
  const programme = {
    order: 'fifths' as const,
    keys: [{ tonic: 'C', scale: 'major' as const }],
    skipped: [],
    since: new Date(0).toISOString(),
  };
  await act(async () => {
    result.current.change((before) => ({ ...before, programme }));
  });
  await act(async () => {
    answerOld();
    await new Promise((resolve) => setTimeout(resolve, 20));
  });
  await waitFor(() => expect(result.current.settings.programme?.keys).toHaveLength(1));
  // what was set before, and was not known yet, is still so
  expect(result.current.settings.ladder).toEqual({ up: 9, down: 3 });
});
