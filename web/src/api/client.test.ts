import { DEFAULT_NAMING } from '@aurora/core';
import { bandsAnswer, DEFAULT_PREFERENCES } from '@aurora/wire';
import { afterEach, describe, expect, test } from '@jest/globals';
import { ApiFault, call } from './client.ts';

const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});

/** The server for one call: a status and a body, or no answer at all. */
function serverAnswers(status: number, body: unknown): void {
  globalThis.fetch = () => Promise.resolve(new Response(typeof body === 'string' ? body : JSON.stringify(body), { status }));
}

const ask = () => call('GET', '/bands', bandsAnswer);
const fault = async () => {
  const thrown = await ask().catch((error: unknown) => error);
  return thrown as ApiFault;
};

describe('calling the server', () => {
  test('gives the checked answer', async () => {
    serverAnswers(200, { bands: [{ id: '1', name: 'Us' }] });
    expect(await ask()).toEqual({ bands: [{ id: '1', name: 'Us' }] });
  });

  test('an answer of another shape is not let through', async () => {
    serverAnswers(200, { bands: 'many' });
    await expect(ask()).rejects.toThrow();
  });

  test('a problem is told in its own words', async () => {
    serverAnswers(404, { type: 't', title: 'Not here', status: 404, detail: 'There is no such band here.' });
    expect(await fault()).toMatchObject({ status: 404, message: 'There is no such band here.', problem: { title: 'Not here' } });
  });

  test.each([
    ['name: give the set a name', 'give the set a name'],
    ['entries.0.songId: that is no song', 'that is no song'],
    ['token: the link is not whole', 'the link is not whole'],
    ['Line 5: a jump without its target', 'Line 5: a jump without its target'],
  ])('no field is named to who plays: %j', async (detail, message) => {
    serverAnswers(422, { type: 't', title: 'Not taken', status: 422, detail });
    expect(await fault()).toMatchObject({ message, problem: { detail } });
  });

  test.each([
    ['an error page', 502, '<html>'],
    ['an empty answer', 503, ''],
  ])('%s is a server that does not answer', async (_, status, body) => {
    serverAnswers(status, body);
    expect(await fault()).toMatchObject({ status, problem: null, message: expect.stringContaining('kept on this device') });
  });

  test('no network is status 0', async () => {
    globalThis.fetch = () => Promise.reject(new TypeError('failed'));
    expect(await fault()).toBeInstanceOf(ApiFault);
    expect((await fault()).status).toBe(0);
  });

  test('no answer in time is a server that does not answer', async () => {
    globalThis.fetch = (_, init) =>
      new Promise((_resolve, reject) => init?.signal?.addEventListener('abort', () => reject(init.signal?.reason as Error)));
    const thrown = await call('PUT', '/bands', bandsAnswer, { body: {}, limitMs: 5 }).catch((error: unknown) => error);
    expect(thrown).toMatchObject({ status: 0 });
  });

  test('what is sent is JSON', async () => {
    let sent: RequestInit | undefined;
    globalThis.fetch = (_, init) => {
      sent = init;
      return Promise.resolve(new Response('{"bands":[]}'));
    };
    await call('POST', '/bands', bandsAnswer, { body: { name: '♭' } });
    expect(sent).toMatchObject({ method: 'POST', body: '{"name":"♭"}', headers: { 'Content-Type': 'application/json' } });
  });
});

test('names start as the core has them', () => expect(DEFAULT_PREFERENCES.naming).toEqual(DEFAULT_NAMING));
