import { randomUUID } from 'node:crypto';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { NEW_SET_SONG } from '@aurora/core';
import { type BandBackup, bandBackup, type SetSongEntry } from '@aurora/wire';
import { afterAll, beforeAll } from '@jest/globals';
import pg from 'pg';
import { type Logger, pino } from 'pino';
import { type AppDeps, createApp } from '../src/app.ts';
import { backupText } from '../src/backup/backup-text.ts';
import { addBand } from '../src/band/band-store.ts';
import { ChangeFeed } from '../src/change/change-feed.ts';
import { Threads } from '../src/compute/threads.ts';
import type { Seat } from '../src/context/context.ts';
import { House, type OpenHouse } from '../src/context/enter.ts';
import { scopedDb } from '../src/context/scope.ts';
import { migrate, migrationsIn } from '../src/db/migrate.ts';
import { createPool, type Db, dbOf, type Pool } from '../src/db/pool.ts';
import { HANDLERS } from '../src/job/handler-table.ts';
import { Worker } from '../src/job/worker.ts';
import { createWatch } from '../src/watch/watch.ts';

export const MIGRATIONS = fileURLToPath(new URL('../src/db/migrations', import.meta.url));
/** The role the application works as in tests: every wall holds for it. */
/** How long a connection that is not used stays open, in milliseconds. */
const KEPT_MS = 120_000;
const APP_ROLE = ['aurora_test', 'a-test-alone'] as const;

const TEMPLATE = 'test_template';
/** Any number: those who want the template wait for one another by it. */
const TEMPLATE_TURN = 41_704_171;

export const SILENT = pino({ level: 'silent' });

/** The database as its owner, whom no wall stops: to arrange things, and to look behind them. */
export interface OwnerDb extends Db {
  /** Its address for the application's role. */
  readonly appUrl: string;
}

/** A database of this test file's own, migrated, with one band in it. */
export interface TestDatabase {
  readonly ownerUrl: string;
  readonly url: string;
  readonly pool: OwnerDb;
  /** Connections as the application's role. */
  readonly app: Pool;
  readonly bandId: string;
  readonly close: () => Promise<void>;
}

export async function openDatabase(): Promise<TestDatabase> {
  const adminUrl = process.env.TEST_DATABASE_URL;
  if (adminUrl === undefined) throw new Error('These tests need PostgreSQL: run them with npm run test:server');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await provideTemplate(adminUrl);
  await asAdmin(adminUrl, (admin) => admin.query(`create database ${name} template ${TEMPLATE}`));
  const address = databaseOf(adminUrl, name);
  const app = asApp(address);
  const owner = createPool(address.href, SILENT);
  const pool = { ...dbOf(owner, 'begin'), appUrl: app.href };
  const ofApp = createPool(app.href, SILENT);
  const bandId = await addBand(pool, 'The Test Pressings');
  const close = async () => {
    await owner.end();
    await ofApp.end();
    await asAdmin(adminUrl, (admin) => admin.query(`drop database ${name} with (force)`));
  };
  return { ownerUrl: address.href, url: app.href, pool, app: ofApp, bandId, close };
}

/** The schema is made once; every test file's database is a copy of it. Whoever comes first makes it, the others wait. */
async function provideTemplate(adminUrl: string): Promise<void> {
  await asAdmin(adminUrl, async (admin) => {
    await admin.query('select pg_advisory_lock($1)', [TEMPLATE_TURN]);
    const { rowCount } = await admin.query('select 1 from pg_database where datname = $1 and datistemplate', [TEMPLATE]);
    if (rowCount === 1) return;
    await admin.query(`drop database if exists ${TEMPLATE} with (force)`);
    await admin.query(`create database ${TEMPLATE}`);
    const address = databaseOf(adminUrl, TEMPLATE);
    await migrate({ ownerUrl: address.href, appUrl: asApp(address).href, folder: MIGRATIONS }, SILENT);
    // said last, so that a half-made one is never copied
    await admin.query(`alter database ${TEMPLATE} is_template true`);
  });
}

function databaseOf(url: string, name: string): URL {
  const address = new URL(url);
  address.pathname = `/${name}`;
  return address;
}

function asApp(address: URL): URL {
  const app = new URL(address.href);
  [app.username, app.password] = APP_ROLE;
  return app;
}

async function asAdmin<T>(url: string, work: (admin: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client(url);
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** The application listening on a free port. */
export interface TestServer {
  readonly url: string;
  readonly house: House;
  readonly changes: ChangeFeed;
  readonly close: () => Promise<void>;
}

/** What a test has otherwise than usual. */
export interface ServerWishes {
  readonly webRoot?: string | null;
  readonly rateLimit?: number;
  readonly triesLimit?: number;
  /** Who comes in unsigned: whoever comes leads every band, unless this says otherwise; null closes the house. */
  readonly door?: OpenHouse;
  readonly threads?: Threads;
  readonly people?: Partial<AppDeps['people']>;
  readonly guard?: Partial<AppDeps['guard']>;
  readonly trustProxy?: number;
  readonly metricsToken?: string | null;
  /** Where the server writes its log; nowhere unless a test reads it. */
  readonly log?: Logger;
  /** Whether work is done in the same process, as it is usually. */
  readonly works?: boolean;
}

const NO_DATABASE = 'postgres://nobody@127.0.0.1:1/none';

/** Everybody is the leader of every band there is: for tests of what a band does, not of who may. */
function everybodyLeads(pool: Pool): NonNullable<OpenHouse> {
  return async (bandId) => {
    const person = { accountId: '00000000-0000-4000-8000-00000000aaaa', name: 'Everybody', deviceId: null };
    const { rowCount } = await scopedDb(pool, { band: bandId ?? undefined }).query('select 1 from band where id = $1', [bandId]);
    return { person, seat: bandId === null || rowCount === 0 ? null : leaderOf(bandId) };
  };
}

/** The house as the application opens it, every wall standing. */
export function houseOn(db: TestDatabase): Pick<House, 'as'> {
  return { as: (scope) => scopedDb(db.app, scope) };
}

/** One who leads a band without being a player of it. */
export function leaderOf(bandId: string): Seat {
  return { bandId, role: 'leader', memberId: null, name: 'Everybody', guestSet: null };
}

/** Opens the application on a database; null for one that is never reached. */
export async function openServer(db: Pick<OwnerDb, 'appUrl'> | null, wishes: ServerWishes = {}): Promise<TestServer> {
  const pool = createPool(db?.appUrl ?? NO_DATABASE, SILENT);
  const house = new House(pool, wishes.door === undefined ? everybodyLeads(pool) : wishes.door, migrationsIn(MIGRATIONS));
  const threads = wishes.threads ?? new Threads(null);
  const worker = db === null || wishes.works === false ? null : new Worker({ house, handlers: HANDLERS, log: SILENT, pollMs: 15 });
  const changes = new ChangeFeed(db?.appUrl ?? NO_DATABASE, SILENT);
  const app = createApp({
    house,
    log: wishes.log ?? SILENT,
    threads,
    changes,
    webRoot: wishes.webRoot ?? null,
    limits: { open: wishes.rateLimit ?? 100_000, tries: wishes.triesLimit ?? 100_000, person: 100_000, band: 100_000 },
    guard: { publicUrl: null, hosts: [], ...wishes.guard },
    trustProxy: wishes.trustProxy ?? 0,
    people: { post: null, mailbox: false, demo: null, ...wishes.people },
    watch: createWatch({
      isReady: house.isReady,
      connections: () => house.connections,
      counts: async () => ({}),
      threadsWaiting: () => threads.waiting,
      streams: () => changes.size,
      metricsToken: wishes.metricsToken ?? null,
    }),
  });
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening));
    // a test that is slow between two calls does not find its connection closed under the second
    listening.keepAliveTimeout = KEPT_MS;
  });
  worker?.start();
  const { port } = server.address() as AddressInfo;
  const close = async () => {
    await changes.close();
    await new Promise((resolve) => {
      server.close(resolve);
      server.closeIdleConnections();
    });
    await worker?.stop();
    await threads.close();
    await pool.end();
  };
  return { url: `http://127.0.0.1:${port}`, house, changes, close };
}

/** Everything a band has, as a backup of it would be read. */
export async function backupOf(db: Db, bandId: string, now: Date): Promise<BandBackup> {
  const parts: string[] = [];
  for await (const part of backupText(db, bandId, now)) parts.push(part);
  return bandBackup.parse(JSON.parse(parts.join('')));
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

/** Asks the compute calls of a test file's own server. They need no database. */
export function computeApi(): (path: string, body: unknown) => Promise<Answer> {
  let server: TestServer;
  beforeAll(async () => {
    server = await openServer(null);
  });
  afterAll(() => server.close());
  return (path, body) => send(`${server.url}/api/v1${path}`, 'POST', body);
}

/** A song as it stands in a set when nothing was said about it. */
export function setSong(id: string, songId: string, more: Partial<SetSongEntry> = {}): SetSongEntry {
  return { ...NEW_SET_SONG, id, songId, ...more };
}
