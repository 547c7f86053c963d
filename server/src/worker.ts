import { pino } from 'pino';
import { readConfig } from './config.ts';
import { HANDLERS } from './job/handler-table.ts';
import { Worker } from './job/worker.ts';
import { assemble } from './run/assemble.ts';
import { endOnFault, endWithParent } from './run/last-resort.ts';
import { Rounds } from './run/rounds.ts';

// does the work that servers are not kept up with; as many of these as there is work for

const STOP_MS = 10_000;

const config = readConfig(process.env);
const log = pino({ level: config.LOG_LEVEL });
const { pool, house } = assemble(config, log);
const worker = new Worker({ house, handlers: HANDLERS, log });
const rounds = new Rounds({ house, log, backupFolder: config.BACKUP_FOLDER ?? null });
worker.start();
rounds.start();
process.stdout.write(`${JSON.stringify({ working: true })}\n`);

let stopping = false;
function stop(): void {
  if (stopping) return;
  stopping = true;
  // work that is cut off is taken up again by whoever comes next
  setTimeout(() => process.exit(), STOP_MS).unref();
  void Promise.allSettled([worker.stop(), rounds.stop()])
    .then(() => pool.end())
    .finally(() => process.exit());
}

endOnFault(log, stop);
endWithParent(stop);
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
