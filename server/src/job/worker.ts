import type { Logger } from 'pino';
import type { House } from '../context/enter.ts';
import type { Db, Queryable } from '../db/pool.ts';
import { asHttpFault } from '../http-fault.ts';
import { beat, failJob, finishJob, type JobKind, type JobResult, loadJob, type TakenJob } from './job-store.ts';

/** Told after every step of the work. It lets others go on in between, and throws once the work was stopped. */
export type Tick = (done: number, total: number) => Promise<void>;

/** What work has to go on with. */
interface Bench {
  readonly db: Db;
  readonly job: TakenJob;
  readonly tick: Tick;
  /** Ends the work within a transaction of its own, so that what it writes and its end are one. */
  readonly finish: (client: Queryable, result: JobResult) => Promise<void>;
}

/** How one kind of work is done. Work that has ended itself answers nothing. */
export type Handler = (bench: Bench) => Promise<JobResult | undefined>;

/** Why work cannot be done, in a sentence for a musician. */
export class JobRefused extends Error {}

/** Thrown inside work that was stopped, or taken up by somebody else. */
class Stopped extends Error {}

export interface WorkerDeps {
  readonly house: Pick<House, 'as'>;
  readonly handlers: Readonly<Record<JobKind, Handler>>;
  readonly log: Logger;
  readonly pollMs?: number;
  /** Work whose worker was not heard of for so long is taken up again. */
  readonly silentMs?: number;
}

const POLL_MS = 300;
const SILENT_MS = 15_000;
const BEATS = 5;
/** Work that has ended so many workers is not taken up again. */
const MOST_TRIES = 3;
const AWAY_MS = 2000;
/** How often, at most, whoever waits is told how far it is. */
const TELL_MS = 200;

/** Takes up what waits, one piece after the other, until it is stopped. */
export class Worker {
  readonly #deps: WorkerDeps;
  #stopping = false;
  #wake: () => void = () => undefined;
  #running: Promise<void> | null = null;

  constructor(deps: WorkerDeps) {
    this.#deps = deps;
  }

  start(): void {
    this.#running ??= this.#run();
  }

  /** Takes up nothing more, and comes back when what is under way has ended. */
  async stop(): Promise<void> {
    this.#stopping = true;
    this.#wake();
    await this.#running;
  }

  async #run(): Promise<void> {
    const { pollMs = POLL_MS, log } = this.#deps;
    while (!this.#stopping) {
      const found = await this.#takeOne().catch((error: unknown) => {
        log.warn({ err: error }, 'the worker cannot reach the database');
        return 'away' as const;
      });
      if (found !== 'one' && !this.#stopping) await this.#pause(found === 'away' ? AWAY_MS : pollMs);
    }
  }

  #pause(ms: number): Promise<void> {
    return new Promise((resolve) => {
      const timer = setTimeout(resolve, ms);
      this.#wake = () => {
        clearTimeout(timer);
        resolve();
      };
    });
  }

  async #takeOne(): Promise<'one' | 'none'> {
    const { house, silentMs = SILENT_MS } = this.#deps;
    const { rows } = await house
      .as({})
      .query<{ band_id: string; id: string }>("select * from aurora_claim_job($1 * interval '1 millisecond')", [silentMs]);
    const claimed = rows[0];
    if (claimed === undefined) return 'none';
    const db = house.as({ band: claimed.band_id });
    const job = await loadJob(db, claimed.band_id, claimed.id);
    if (job !== undefined) await this.#do(db, job, silentMs / BEATS);
    return 'one';
  }

  async #do(db: Db, job: TakenJob, beatMs: number): Promise<void> {
    const { handlers, log } = this.#deps;
    const pulse = new Pulse(db, job, beatMs);
    const finish: Bench['finish'] = async (client, result) => {
      if (!(await finishJob(client, job, result))) throw new Stopped();
    };
    try {
      if (job.tries > MOST_TRIES) throw new JobRefused('This ended the server’s worker several times and is left. Nothing was changed.');
      const result = await handlers[job.kind]({ db, job, tick: pulse.tick, finish });
      if (result !== undefined) await finish(db, result);
    } catch (fault) {
      if (!(fault instanceof Stopped)) await fail(db, job, fault, log);
    } finally {
      pulse.end();
    }
  }
}

async function fail(db: Db, job: TakenJob, fault: unknown, log: Logger): Promise<void> {
  const { code, message } = asHttpFault(fault);
  // a database that is away leaves the work to be taken up again
  if (code === 'database-away') return;
  const known = fault instanceof JobRefused ? fault.message : code === 'unexpected' ? null : message;
  if (known === null) log.error({ err: fault, job: job.id, kind: job.kind }, 'work failed');
  await failJob(db, job, known ?? 'This is a fault of ours. Nothing was changed.');
}

/** Says again and again that the work goes on, also while one step of it takes long. */
class Pulse {
  readonly #db: Db;
  readonly #job: TakenJob;
  readonly #timer: NodeJS.Timeout;
  #done = 0;
  #total = 0;
  #isOver = false;
  #told = 0;

  constructor(db: Db, job: TakenJob, everyMs: number) {
    this.#db = db;
    this.#job = job;
    this.#timer = setInterval(() => void this.#beat(), everyMs);
  }

  readonly tick: Tick = async (done, total) => {
    [this.#done, this.#total] = [done, total];
    const now = Date.now();
    if (now - this.#told > TELL_MS) {
      this.#told = now;
      await this.#beat();
    }
    await new Promise((resolve) => setImmediate(resolve));
    if (this.#isOver) throw new Stopped();
  };

  end(): void {
    clearInterval(this.#timer);
  }

  async #beat(): Promise<void> {
    const goesOn = await beat(this.#db, this.#job, this.#done, this.#total).catch(() => true);
    if (!goesOn) this.#isOver = true;
  }
}
