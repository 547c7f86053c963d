import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { get } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import pino from 'pino';
import { openDatabase, openServer, type TestDatabase, type TestServer } from './harness.ts';

// What is asked of the server in odd shapes, and what it writes into its log of ordinary use.

let db: TestDatabase;
let server: TestServer;
const written: { level: number; msg: string }[] = [];
const faults = () => written.filter(({ level }) => level >= 50);

beforeAll(async () => {
  const webRoot = mkdtempSync(join(tmpdir(), 'web-'));
  mkdirSync(join(webRoot, 'assets'));
  writeFileSync(join(webRoot, 'index.html'), '<!doctype html><title>Aurora Ridge</title>');
  writeFileSync(join(webRoot, 'assets', 'room-abc.js'), 'export const room = 1;\n');
  db = await openDatabase();
  const log = pino({ level: 'info' }, { write: (line: string) => void written.push(JSON.parse(line)) });
  server = await openServer(db.pool, { log, webRoot });
});
afterAll(async () => {
  await server.close();
  await db.close();
});
beforeEach(() => void written.splice(0));

const band = () => `${server.url}/api/v1/bands/${db.bandId}`;
const post = (path: string, body: string) =>
  fetch(`${server.url}/api/v1${path}`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body });

describe('what is streamed', () => {
  beforeAll(async () => {
    for (let song = 0; song < 12; song += 1)
      await fetch(`${band()}/songs`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ source: `title: Long ${song}\nkey: C\n\n[A]\n1 4 5 1\n${`~ ${'la '.repeat(60)}\n`.repeat(1000)}` }),
      });
  });

  test('a whole download is no fault, and its connection serves the next one', async () => {
    for (const path of ['/exports/backup.json', '/exports/songs.csv', '/exports/backup.json', '/songs']) {
      const answer = await fetch(`${band()}${path}`);
      expect(answer.status).toBe(200);
      await answer.text();
    }
    await settled();
    expect(faults()).toEqual([]);
  });

  test('neither is one that somebody stops in the middle', async () => {
    await new Promise<void>((resolve) => {
      const request = get(`${band()}/exports/backup.json`, (answer) => {
        answer.once('data', () => request.destroy());
        answer.once('close', resolve);
      });
      request.on('error', () => undefined);
    });
    await settled();
    expect(faults()).toEqual([]);
  });
});

/** What a closed connection sets going has been written. */
async function settled(): Promise<void> {
  for (let turn = 0; turn < 20; turn += 1) await new Promise((resolve) => setImmediate(resolve));
}

describe('a range', () => {
  test('that cannot be met is said so, and kept by nobody', async () => {
    const answer = await fetch(`${server.url}/assets/room-abc.js`, { headers: { Range: 'bytes=900-' } });
    expect(answer.status).toBe(416);
    expect(answer.headers.get('cache-control')).toBe('no-store');
    expect(answer.headers.get('content-range')).toBe('bytes */23');
    expect(((await answer.json()) as { title: string }).title).toBe('No such part of it');
    expect(faults()).toEqual([]);
  });

  test('that can be met is', async () => {
    const answer = await fetch(`${server.url}/assets/room-abc.js`, { headers: { Range: 'bytes=0-5' } });
    expect([answer.status, await answer.text()]).toEqual([206, 'export']);
  });

  test('no refusal is kept, whatever it was about', async () => {
    for (const path of ['/assets/none.js', '/api/v1/nothing', '/api/v1/bands/1'])
      expect((await fetch(`${server.url}${path}`)).headers.get('cache-control')).toBe('no-store');
  });
});

describe('bodies of odd shapes', () => {
  const nested = (open: string, close: string, depth: number) => `{"source":${open.repeat(depth)}1${close.repeat(depth)}}`;

  test.each([
    ['lists', '[', ']'],
    ['objects', '{"a":', '}'],
  ])('nested %s deeper than anything means are refused with a word', async (_, open, close) => {
    for (const depth of [70, 5000, 20_000]) {
      for (const path of ['/voicings', '/analyze', `/bands/${db.bandId}/songs`]) {
        const answer = await post(path, nested(open, close, depth));
        expect([path, depth, answer.status]).toEqual([path, depth, 422]);
        expect(((await answer.json()) as { detail: string }).detail).toBe('body: nested more than 60 deep');
      }
    }
    expect(faults()).toEqual([]);
  });

  test('whatever is sent to whatever is open, nothing answers as a fault of ours', async () => {
    const paths = [
      '/theory/harmonize',
      '/analyze',
      '/voicings',
      '/capo',
      '/charts/render',
      `/bands/${db.bandId}/songs`,
      '/practice/answers',
    ];
    const odd = fc.oneof(
      fc.json({ maxDepth: 6 }),
      fc.constantFrom(
        '[]',
        '""',
        '0',
        'null',
        '1e400',
        '-0',
        '{"__proto__":{"a":1}}',
        '{"constructor":1}',
        '"\\ud800"',
        '{"source":"\\udfff"}',
      ),
      fc
        .record({ key: fc.anything(), source: fc.anything(), chord: fc.anything(), tonic: fc.anything(), scale: fc.anything() })
        .map((value) => JSON.stringify(value)),
      fc
        .integer({ min: 1, max: 3000 })
        .map((wide) => JSON.stringify(Object.fromEntries(Array.from({ length: wide }, (_, at) => [`k${at}`, at])))),
    );
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...paths), odd, async (path, body) => {
        const { status } = await post(path, body ?? 'null');
        expect(status).toBeLessThan(500);
      }),
      { seed: 3210, numRuns: 300 },
    );
    expect(faults()).toEqual([]);
  });
});
