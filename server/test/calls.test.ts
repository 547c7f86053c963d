import { get } from 'node:http';
import { gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { BaseResolver, createConfig, lintDocument, makeDocumentFromString } from '@redocly/openapi-core';
import { Validator } from '@seriousme/openapi-schema-validator';
import { apiCalls } from '../src/api-calls.ts';
import { ChangeFeed } from '../src/change/change-feed.ts';
import { Threads } from '../src/compute/threads.ts';
import { openDatabase, openServer, SILENT, send, setSong, type TestDatabase, type TestServer } from './harness.ts';

let db: TestDatabase;
let server: TestServer;
beforeAll(async () => {
  db = await openDatabase();
  server = await openServer(db.pool);
});
afterAll(async () => {
  await server.close();
  await db.close();
});

interface Described {
  readonly operationId: string;
  readonly tags: readonly string[];
  readonly security: readonly unknown[];
  readonly parameters?: readonly { readonly name: string; readonly in: string; readonly required?: boolean }[];
  readonly responses: Readonly<Record<string, { readonly content: object }>>;
}
type Document = { readonly paths: Readonly<Record<string, Readonly<Record<string, Described>>>> };

const api = (path: string, more: RequestInit = {}) => fetch(`${server.url}/api/v1${path}`, more);
const document = async () => (await (await api('/openapi.json')).json()) as Document;
const described = async () =>
  Object.entries((await document()).paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, one]) => ({ path, method, ...one })),
  );
const calls = () =>
  apiCalls({
    people: { house: server.house, post: null, mailbox: false, demo: null, publicUrl: null },
    threads: new Threads(null),
    changes: new ChangeFeed('', SILENT),
  });
const isOpen = (id: string) => calls().some((one) => one.id === id && ['open', 'stranger'].includes(one.access));
const SOMEWHERE = '00000000-0000-4000-8000-000000000000';
const addressOf = (path: string) => path.replace('{revision}', '1').replaceAll(/\{\w+\}/g, SOMEWHERE);

describe('the description', () => {
  test('is right by a checker of schemas that is not ours', async () => {
    expect(await new Validator().validate((await document()) as never)).toEqual({ valid: true });
  });

  test('and by a second one, which also asks for good manners', async () => {
    const config = await createConfig({
      extends: ['recommended-strict'],
      rules: { 'operation-4xx-response': 'error', 'no-server-example.com': 'off' },
    });
    const problems = await lintDocument({
      document: makeDocumentFromString(JSON.stringify(await document()), 'openapi.json'),
      config,
      externalRefResolver: new BaseResolver(),
    });
    expect(problems.map(({ ruleId, message, location }) => `${ruleId}: ${message} ${location[0]?.pointer}`)).toEqual([]);
  });

  test('has every call that is answered, and no other', async () => {
    const told = (await described()).map(({ path, method }) => `${method} ${path}`);
    expect(told.length).toBeGreaterThan(40);
    expect(new Set(told)).toEqual(new Set(calls().map(({ method, path }) => `${method} ${path}`)));
  });

  test('names each call once, in a group, with its problems and whether it takes a sign-in', async () => {
    const all = await described();
    expect(new Set(all.map(({ operationId }) => operationId)).size).toBe(all.length);
    for (const { operationId, tags, security, responses, parameters = [] } of all) {
      expect(tags).toHaveLength(1);
      expect(security).toEqual(isOpen(operationId) ? [] : [{ session: [] }]);
      const problems = Object.entries(responses).filter(([status]) => Number(status) >= 400);
      expect(problems.length).toBeGreaterThan(0);
      for (const [, { content }] of problems) expect(Object.keys(content)).toEqual(['application/problem+json']);
      for (const one of parameters) if (one.in === 'path') expect(one.required).toBe(true);
    }
  });
});

describe('every call', () => {
  test('answers what it does not do with the methods it does', async () => {
    for (const { path } of calls()) {
      const here = calls().filter((one) => one.path === path);
      const answer = await api(addressOf(path), { method: 'LINK' });
      expect([path, answer.status]).toEqual([path, 405]);
      const allow = (answer.headers.get('allow') ?? '').split(', ');
      for (const { method } of here) expect(allow).toContain(method.toUpperCase());
      expect((await answer.json()) as object).toMatchObject({ status: 405, title: expect.any(String) });
      const options = await api(addressOf(path), { method: 'OPTIONS' });
      expect([options.status, options.headers.get('allow')]).toEqual([204, allow.join(', ')]);
    }
  });

  test('says when it has no answer in the form that is asked for', async () => {
    for (const { path, method } of calls()) {
      const answer = await api(addressOf(path), {
        method: method.toUpperCase(),
        headers: { Accept: 'image/png', 'Content-Type': 'application/json' },
        ...(method === 'get' ? {} : { body: '{}' }),
      });
      expect([path, answer.status]).toEqual([path, 406]);
      expect(answer.headers.get('content-type')).toContain('application/problem+json');
    }
  });

  test('has an id that may hold anything but a NUL', async () => {
    for (const { path, method } of calls().filter((one) => one.path.includes('{'))) {
      const answer = await api(path.replace(/\{\w+\}/, 'a%00b').replaceAll(/\{\w+\}/g, SOMEWHERE), { method: method.toUpperCase() });
      expect([path, answer.status]).toEqual([path, 422]);
    }
  });
});

describe('a body', () => {
  const post = (body: string | Uint8Array<ArrayBuffer>, headers: Record<string, string>) =>
    api('/chords/parse', { method: 'POST', body, headers: { 'Content-Type': 'application/json', ...headers } });

  test('may be compressed, and is refused where what is compressed is damaged', async () => {
    const packed = gzipSync(JSON.stringify({ symbol: 'Gm7' }));
    expect((await post(packed, { 'Content-Encoding': 'gzip' })).status).toBe(200);
    for (const [encoding, body] of [
      ['gzip', packed.subarray(0, packed.length - 12)],
      ['gzip', Buffer.from('not compressed at all')],
      ['deflate', Buffer.from('not compressed at all')],
      ['br', Buffer.from('not compressed at all')],
    ] as const)
      expect([encoding, (await post(body, { 'Content-Encoding': encoding })).status]).toEqual([encoding, 400]);
  });

  test.each<[what: string, body: unknown]>([
    ['a NUL in the id of an entry', { entries: [setSong('a\u0000b', SOMEWHERE)] }],
    ['half of a sign in the name', { name: 'Set \ud83c', entries: [] }],
    ['a NUL where nobody looks', { entries: [], 'x\u0000': 1 }],
  ])('%s is refused with its place', async (_, more) => {
    const body = { name: 'Set', place: '', startsAt: '', gapSeconds: 30, ...(more as object) };
    const answer = await send(`${server.url}/api/v1/bands/${db.bandId}/sets`, 'POST', body);
    expect(answer).toMatchObject({ status: 422, body: { errors: [{ path: expect.any(String) }] } });
  });
});

describe('pages of the shelf', () => {
  test.each(['zzz', '', btoa('["a"]'), btoa('["a","b"]'), btoa('{"a":1}')])('none begins at “%s”', async (after) => {
    const answer = await send(`${server.url}/api/v1/bands/${db.bandId}/songs?after=${encodeURIComponent(after)}`);
    expect(answer).toMatchObject({ status: 422, body: { errors: [{ path: 'after' }] } });
  });
});

/** Asks as a browser does that has an answer with this tag; fetch outside of browsers forbids the answer 304. */
const statusWithTag = (path: string, tag: string) =>
  new Promise<number | undefined>((resolve) => {
    get(`${server.url}/api/v1${path}`, { headers: { 'If-None-Match': tag } }, (answer) => {
      answer.resume().on('end', () => resolve(answer.statusCode));
    });
  });

describe('answers', () => {
  test('carry a tag, and are not sent again to who has them', async () => {
    const path = `/bands/${db.bandId}/songs`;
    const first = await api(path);
    expect(first.headers.get('cache-control')).toBe('private, no-cache');
    const tag = first.headers.get('etag') ?? '';
    expect(tag).not.toBe('');
    expect(await statusWithTag(path, tag)).toBe(304);
    await send(`${server.url}/api/v1${path}`, 'POST', { source: 'title: Rime\n1 4\n' });
    expect(await statusWithTag(path, tag)).toBe(200);
  });

  test('of work that goes on are always asked anew', async () => {
    const { body } = await send(`${server.url}/api/v1/bands/${db.bandId}/exports`, 'POST', { format: 'chart' });
    expect((await api(`/bands/${db.bandId}/jobs/${body.id}`)).headers.get('cache-control')).toBe('no-store');
  });
});
