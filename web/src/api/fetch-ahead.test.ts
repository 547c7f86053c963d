import { afterEach, expect, jest, test } from '@jest/globals';
import { QueryClient } from '@tanstack/react-query';
import { leaderOf } from '../../test/known-me.ts';
import { fetchAhead } from './fetch-ahead.ts';

const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});

/** What a page of a path asks for, in its order; who is here is answered, and nothing else. */
async function asked(path: string, me: unknown = leaderOf('b1', 'The Low Tide')): Promise<readonly string[]> {
  const paths: string[] = [];
  globalThis.fetch = jest.fn((at: unknown) => {
    paths.push(String(at).replace('/api/v1', ''));
    const status = me === null ? 503 : 200;
    if (String(at).endsWith('/me'))
      return Promise.resolve({ ok: me !== null, status, headers: new Headers(), json: async () => me } as unknown as Response);
    return new Promise<Response>(() => undefined);
  }) as typeof fetch;
  await fetchAhead(new QueryClient({ defaultOptions: { queries: { retry: false, networkMode: 'always' } } }), path);
  return paths;
}

const EVERYWHERE = ['/me', '/bands/b1/members', '/bands/b1/preferences'];

test.each([
  ['/', [...EVERYWHERE, '/bands/b1/songs?sort=title&archived=no', '/bands/b1/songs/tags']],
  ['/songs/s1/chart', [...EVERYWHERE, '/bands/b1/songs/s1']],
  ['/songs/s1/stand', [...EVERYWHERE, '/bands/b1/songs/s1']],
  ['/harmonize', EVERYWHERE],
])('%s is asked for before it is drawn', async (path, paths) => expect(await asked(path)).toEqual(paths));

test('where it is not known who is here, nothing of a band is asked for, and nothing is thrown', async () => {
  expect(await asked('/', null)).toEqual(['/me']);
});
