import { randomUUID } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { pino } from 'pino';
import { addBand } from '../src/band/band-store.ts';
import { scopedDb } from '../src/context/scope.ts';
import { migrate } from '../src/db/migrate.ts';
import { createPool, type Db } from '../src/db/pool.ts';

const ROUNDS = 21;
const SILENT = pino({ level: 'silent' });

/** A database for one benchmark, with one band in it; gone when the work is done. */
export async function withDatabase(work: (db: Db, bandId: string) => Promise<void>): Promise<void> {
  const adminUrl = process.env.TEST_DATABASE_URL ?? '';
  const name = `bench_${randomUUID().replaceAll('-', '')}`;
  const admin = new pg.Client(adminUrl);
  await admin.connect();
  await admin.query(`create database ${name}`);
  const address = new URL(adminUrl);
  address.pathname = `/${name}`;
  const app = new URL(address.href);
  [app.username, app.password] = ['aurora_bench', 'a-bench-alone'];
  const folder = fileURLToPath(new URL('../src/db/migrations', import.meta.url));
  await migrate({ ownerUrl: address.href, appUrl: app.href, folder }, SILENT);
  // as the application asks: every wall standing
  const pool = createPool(app.href, SILENT);
  const bandId = randomUUID();
  const db = scopedDb(pool, { band: bandId });
  await work(db, await addBand(db, 'Bench', bandId));
  await pool.end();
  await admin.query(`drop database ${name} with (force)`);
  await admin.end();
}

/** Milliseconds something takes, as the median of some rounds. */
export async function medianMs(work: () => Promise<unknown>): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const start = performance.now();
    await work();
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)] as number;
}
