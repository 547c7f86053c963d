import { bandsAnswer } from '@aurora/wire';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { call } from './client.ts';
import { isOlder } from './kept.ts';
import { isKeptPath, KEPT_AT } from './kept-names.ts';
import { tellAnswered, tellAway, useReach } from './reach.ts';

const real = globalThis.fetch;
beforeEach(() => useReach.setState({ isAway: false, keptAt: null }));
afterEach(() => {
  globalThis.fetch = real;
});

const ask = () => call('GET', '/bands', bandsAnswer).catch(() => undefined);
const answerWith = (status: number, headers: Record<string, string> = {}) => {
  globalThis.fetch = () => Promise.resolve(new Response('{"bands":[]}', { status, headers }));
};

describe('whether the server answers', () => {
  test('no answer at all: it is away, and back with the next answer', async () => {
    globalThis.fetch = () => Promise.reject(new TypeError('no network'));
    await ask();
    expect(useReach.getState()).toEqual({ isAway: true, keptAt: null });
    answerWith(200);
    await ask();
    expect(useReach.getState()).toEqual({ isAway: false, keptAt: null });
  });

  test('an answer of the device says from when it is', async () => {
    answerWith(200, { [KEPT_AT]: 'Fri, 02 Jan 2026 20:30:00 GMT' });
    await ask();
    expect(useReach.getState()).toEqual({ isAway: true, keptAt: Date.UTC(2026, 0, 2, 20, 30) });
  });

  test.each([
    [404, false],
    [422, false],
    [500, false],
    [502, true],
    [503, true],
  ])('a status %i: away is %s', async (status, isAway) => {
    answerWith(status);
    await ask();
    expect(useReach.getState().isAway).toBe(isAway);
  });

  test('what is seen is as old as the oldest answer in it', () => {
    tellAway(2000);
    tellAway(null);
    tellAway(1000);
    tellAway(3000);
    expect(useReach.getState().keptAt).toBe(1000);
    tellAnswered();
    expect(useReach.getState().keptAt).toBeNull();
  });
});

describe('what is kept on the device', () => {
  test.each([
    ['/api/v1/bands', true],
    ['/api/v1/bands/b1/songs', true],
    ['/api/v1/bands/b1/songs/s1/swaps', true],
    ['/api/v1/bands/b1/sets/t1', true],
    ['/api/v1/bands/b1/members', true],
    ['/api/v1/bands/b1/preferences', true],
    ['/api/v1/bands/b1/exports/backup.json', false],
    ['/api/v1/bands/b1/jobs/j1', false],
    ['/api/v1/analyze', false],
    ['/api/v1/health', false],
  ])('%s: %s', (path, kept) => expect(isKeptPath(path)).toBe(kept));

  test('an answer from before a save does not take the place of the save', () => {
    const saved = { revision: 4, savedAt: '2026-01-02T10:00:00.000Z' };
    expect(isOlder({ revision: 3, savedAt: '2026-01-02T11:59:00.000Z' }, saved)).toBe(true);
    expect(isOlder(saved, saved)).toBe(false);
    expect(isOlder(saved, undefined)).toBe(false);
    expect(isOlder({ songs: [] }, { songs: [] })).toBe(false);
  });
});
