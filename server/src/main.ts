import { existsSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { readConfig } from './config.ts';
import { migrate } from './db/migrate.ts';
import { createPool } from './db/pool.ts';
import { seedDemo } from './demo/seed-demo.ts';
import { outlineOlderSongs } from './song/song-store.ts';

const STOP_MS = 3000;
const KEEP_ALIVE_MS = 65_000;
const REDUCE_THREAD = new URL('./reduce-thread.js', import.meta.url);

const config = readConfig(process.env);
const log = pino({ level: config.LOG_LEVEL });
const pool = createPool(config.DATABASE_URL, log);
await migrate(config.DATABASE_URL, config.MIGRATIONS, log);
await outlineOlderSongs(pool);
if (config.DEMO === '1') await seedDemo(pool);

const app = createApp({
  pool,
  log,
  webRoot: config.WEB_ROOT ?? null,
  rateLimit: config.RATE_LIMIT,
  // built beside this file; unbuilt, pieces are reduced where they are asked for
  reduceThread: existsSync(REDUCE_THREAD) ? REDUCE_THREAD : null,
});
const server = app.listen(config.PORT, config.HOST);
server.on('listening', () => {
  const { port } = server.address() as AddressInfo;
  // whoever started this process waits for the line, and learns the port from it
  process.stdout.write(`${JSON.stringify({ listening: `http://${config.HOST}:${port}` })}\n`);
});
// longer than clients keep a connection for reuse, so that none is closed just as it is used again
server.keepAliveTimeout = KEEP_ALIVE_MS;
server.headersTimeout = KEEP_ALIVE_MS + 1000;
server.on('error', (error) => {
  log.fatal({ err: error }, 'cannot listen');
  process.stdout.write(`${JSON.stringify({ failed: error.message })}\n`);
  process.exit(1);
});

function stop(): void {
  server.close(() => void pool.end().finally(() => process.exit(0)));
  server.closeIdleConnections();
  setTimeout(() => process.exit(0), STOP_MS).unref();
}

process.once('SIGTERM', stop);
process.once('SIGINT', stop);

// a starter that is killed cannot say goodbye, but its end of the pipe closes
if (process.env.STOP_WITH_PARENT === '1') process.stdin.on('end', stop).on('error', stop).resume();
