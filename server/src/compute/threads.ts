import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import { HttpFault } from '../http-fault.ts';
import { type Done, type Order, worked } from './order.ts';
import { Turns } from './turns.ts';
import type { Tasks } from './work-table.ts';

/** Whose work it is, how long it may take, and when nobody waits for it any more. */
export interface Waiting {
  /** Work of one client is done one piece after the other, so that nobody takes all threads. */
  readonly client: string;
  readonly gone: AbortSignal;
  readonly deadlineMs?: number | undefined;
  /** How much was sent, in bytes: much is worked on apart from little. */
  readonly size: number;
}

const DEADLINE_MS = 4500;
/** Above this many bytes work is kept apart, so that little never waits for much. */
const LARGE = 16_000;
const MOST_THREADS = 2;
const MOST_MEGABYTES = 768;
const IDLE_MS = 60_000;
/** What waits in all: beyond it the house says that it is busy. */
const MOST_WAITING = 400;

const TOO_LONG = 'This takes too long to work out: send it in parts.';
const NOBODY_WAITS = 'Nobody waits for this any more.';
const BUSY = 'The server has a lot to work out just now. Wait a little and try again.';

/** Threads that work beside the loop that answers everybody: with a deadline, a limit of memory, and an end when nobody waits. */
export class Threads {
  readonly #pools: { readonly little: Piscina; readonly much: Piscina } | null;
  readonly #turns = new Turns();

  /** `script` is the built thread; null to work where it is asked for, as unbuilt code does. */
  constructor(script: URL | null) {
    const pool = () =>
      new Piscina({
        filename: fileURLToPath(script as URL),
        minThreads: 1,
        maxThreads: MOST_THREADS,
        idleTimeout: IDLE_MS,
        maxQueue: MOST_WAITING,
        resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
      });
    this.#pools = script === null ? null : { little: pool(), much: pool() };
  }

  /** What comes of a task. */
  readonly task = async <Name extends keyof Tasks>(
    name: Name,
    given: Tasks[Name]['given'],
    waiting: Waiting,
  ): Promise<Tasks[Name]['told']> => {
    const done = await this.run({ kind: 'task', name, given }, waiting);
    return (done as Extract<Done, { kind: 'value' }>).value as Tasks[Name]['told'];
  };

  /**
   * Works an order out in a thread.
   * @throws HttpFault for what cannot be used, takes too long or too much memory, or waits for nobody.
   */
  readonly run = async (order: Order, waiting: Waiting): Promise<Exclude<Done, { kind: 'fault' }>> => {
    const pools = this.#pools;
    const done =
      pools === null
        ? await worked(order)
        : await this.#turns.take(waiting.client, () => inThread(waiting.size > LARGE ? pools.much : pools.little, order, waiting));
    if (done.kind !== 'fault') return done;
    throw new HttpFault(done.code, done.message, { errors: done.errors, ...(done.bug === null ? {} : { cause: done.bug }) });
  };

  /** How much waits for a thread. */
  get waiting(): number {
    return this.#pools === null ? 0 : this.#pools.little.queueSize + this.#pools.much.queueSize;
  }

  readonly close = async (): Promise<void> => {
    if (this.#pools !== null) await Promise.all([this.#pools.little.destroy(), this.#pools.much.destroy()]);
  };
}

async function inThread(pool: Piscina, order: Order, { gone, deadlineMs = DEADLINE_MS }: Waiting): Promise<Done> {
  if (gone.aborted) throw new HttpFault('too-large', NOBODY_WAITS);
  const late = AbortSignal.timeout(deadlineMs);
  try {
    return await pool.run(order, { signal: AbortSignal.any([gone, late]) });
  } catch (error) {
    throw gone.aborted ? new HttpFault('too-large', NOBODY_WAITS) : (faultOf(error, late) ?? error);
  }
}

function faultOf(error: unknown, late: AbortSignal): HttpFault | undefined {
  const { code, message } = error as { readonly code?: unknown; readonly message?: unknown };
  if (late.aborted || code === 'ERR_WORKER_OUT_OF_MEMORY') return new HttpFault('too-large', TOO_LONG);
  if (message === 'Task queue is at limit') return new HttpFault('busy', BUSY);
  return undefined;
}
