import { randomUUID } from 'node:crypto';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { NEW_SET_SONG } from '@aurora/core';
import type { SetSongEntry } from '@aurora/wire';
import { afterAll, beforeAll } from '@jest/globals';
import pg from 'pg';
import { pino } from 'pino';
import { createApp } from '../src/app.ts';
import { addBand } from '../src/band/band-store.ts';
import { migrate } from '../src/db/migrate.ts';
import { createPool, type Pool } from '../src/db/pool.ts';

const MIGRATIONS = fileURLToPath(new URL('../src/db/migrations', import.meta.url));

export const SILENT = pino({ level: 'silent' });

/** A database of this test file's own, migrated, with one band in it. */
export interface TestDatabase {
  readonly url: string;
  readonly pool: Pool;
  readonly bandId: string;
  readonly close: () => Promise<void>;
}

export async function openDatabase(): Promise<TestDatabase> {
  const adminUrl = process.env.TEST_DATABASE_URL;
  if (adminUrl === undefined) throw new Error('These tests need PostgreSQL: run them with npm run test:server');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await asAdmin(adminUrl, `create database ${name}`);
  const address = new URL(adminUrl);
  address.pathname = `/${name}`;
  await migrate(address.href, MIGRATIONS, SILENT);
  const pool = createPool(address.href, SILENT);
  const bandId = await addBand(pool, 'The Test Pressings');
  const close = async () => {
    await pool.end();
    await asAdmin(adminUrl, `drop database ${name} with (force)`);
  };
  return { url: address.href, pool, bandId, close };
}

async function asAdmin(url: string, statement: string): Promise<void> {
  const client = new pg.Client(url);
  await client.connect();
  await client.query(statement);
  await client.end();
}

/** The application listening on a free port. */
export interface TestServer {
  readonly url: string;
  readonly close: () => Promise<void>;
}

export async function openServer(
  pool: Pool,
  { webRoot = null, rateLimit = 100_000 }: { webRoot?: string | null; rateLimit?: number } = {},
): Promise<TestServer> {
  const app = createApp({ pool, log: SILENT, webRoot, rateLimit, reduceThread: null });
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening));
  });
  const { port } = server.address() as AddressInfo;
  return { url: `http://127.0.0.1:${port}`, close: () => new Promise((resolve) => server.close(() => resolve())) };
}

/** An answer with its body read as JSON. */
export interface Answer {
  readonly status: number;
  readonly type: string;
  // biome-ignore lint/suspicious/noExplicitAny: tests look into answers of every shape
  readonly body: any;
}

/** Sends JSON and reads JSON. */
export async function send(url: string, method = 'GET', body?: unknown): Promise<Answer> {
  const content =
    body === undefined
      ? {}
      : { body: typeof body === 'string' ? body : JSON.stringify(body), headers: { 'Content-Type': 'application/json' } };
  const response = await fetch(url, { method, ...content });
  return { status: response.status, type: response.headers.get('content-type') ?? '', body: await response.json() };
}

/** Asks the compute calls of a test file's own server. They need no database: the one they are given is never reached. */
export function computeApi(): (path: string, body: unknown) => Promise<Answer> {
  const pool = new pg.Pool({ connectionString: 'postgres://nobody@127.0.0.1:1/none' });
  let server: TestServer;
  beforeAll(async () => {
    server = await openServer(pool);
  });
  afterAll(() => server.close());
  return (path, body) => send(`${server.url}/api/v1${path}`, 'POST', body);
}

/** A song as it stands in a set when nothing was said about it. */
export function setSong(id: string, songId: string, more: Partial<SetSongEntry> = {}): SetSongEntry {
  return { ...NEW_SET_SONG, id, songId, ...more };
}
