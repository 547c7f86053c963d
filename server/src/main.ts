import { existsSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { ChangeFeed } from './change/change-feed.ts';
import { Threads } from './compute/threads.ts';
import { readConfig } from './config.ts';
import { HANDLERS } from './job/handler-table.ts';
import { Worker } from './job/worker.ts';
import { assemble } from './run/assemble.ts';
import { endOnFault, endWithParent } from './run/last-resort.ts';
import { Rounds } from './run/rounds.ts';
import { readCounts } from './watch/counts.ts';
import { createWatch } from './watch/watch.ts';

/** Requests under way have so long to end; then the process ends all the same. */
const STOP_MS = 10_000;
const KEEP_ALIVE_MS = 65_000;
const WORK_THREAD = new URL('./work-thread.js', import.meta.url);

const config = readConfig(process.env);
const log = pino({ level: config.LOG_LEVEL });
const { pool, house, people } = assemble(config, log);
// built beside this file; unbuilt, work is done where it is asked for
const threads = new Threads(existsSync(WORK_THREAD) ? WORK_THREAD : null);
const changes = new ChangeFeed(config.DATABASE_URL, log);
const worker = config.WORKER === 'inside' ? new Worker({ house, handlers: HANDLERS, log }) : null;
const rounds = config.WORKER === 'inside' ? new Rounds({ house, log, backupFolder: config.BACKUP_FOLDER ?? null }) : null;

const app = createApp({
  house,
  log,
  threads,
  changes,
  webRoot: config.WEB_ROOT ?? null,
  limits: { open: config.RATE_LIMIT, tries: config.TRIES_LIMIT, person: config.DEVICE_LIMIT, band: config.BAND_LIMIT },
  guard: {
    publicUrl: config.PUBLIC_URL ?? null,
    hosts: config.ALLOWED_HOSTS.split(',')
      .map((name) => name.trim())
      .filter((name) => name !== ''),
  },
  trustProxy: config.TRUST_PROXY,
  people,
  watch: createWatch({
    isReady: house.isReady,
    connections: () => house.connections,
    counts: () => readCounts(house.as({})),
    threadsWaiting: () => threads.waiting,
    streams: () => changes.size,
    metricsToken: config.METRICS_TOKEN ?? null,
  }),
});
const server = app.listen(config.PORT, config.HOST);
server.on('listening', () => {
  const { port } = server.address() as AddressInfo;
  // whoever started this process waits for the line, and learns the port from it
  process.stdout.write(`${JSON.stringify({ listening: `http://${config.HOST}:${port}` })}\n`);
  worker?.start();
  rounds?.start();
});
// longer than clients keep a connection for reuse, so that none is closed just as it is used again
server.keepAliveTimeout = KEEP_ALIVE_MS;
server.headersTimeout = KEEP_ALIVE_MS + 1000;
server.on('error', (error) => {
  log.fatal({ err: error }, 'cannot listen');
  process.stdout.write(`${JSON.stringify({ failed: error.message })}\n`);
  process.exit(1);
});

let stopping = false;
/** Ends no request that is under way: takes no new ones, waits for those, then lets go of everything. */
function stop(): void {
  if (stopping) return;
  stopping = true;
  setTimeout(() => process.exit(), STOP_MS).unref();
  // streams would be under way for ever
  void changes.close();
  server.close(
    () =>
      void Promise.allSettled([worker?.stop(), rounds?.stop(), threads.close()])
        .then(() => pool.end())
        .finally(() => process.exit()),
  );
  server.closeIdleConnections();
}

endOnFault(log, stop);
endWithParent(stop);
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
