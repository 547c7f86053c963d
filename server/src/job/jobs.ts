import { randomUUID } from 'node:crypto';
import type { JobState } from '@aurora/wire';

/** What a finished job leaves behind. */
export interface JobResult {
  readonly says: string;
  /** A file to fetch; null when there is none. */
  readonly file: { readonly name: string; readonly type: string; readonly bytes: Uint8Array } | null;
  /** Songs and the set that are there now, where it made some. */
  readonly made?: NonNullable<JobState['made']>;
}

/** Told after every step of the work. It lets others be served in between, and throws once the job is stopped. */
export type Tick = (done: number, total: number) => Promise<void>;

interface Job {
  readonly bandId: string;
  state: JobState;
  result: JobResult | null;
}

/** Thrown inside the work of a job that was stopped. */
class Stopped extends Error {}

const MOST_KEPT = 40;

/** Work done on the server while a browser waits: its progress, its stop, and what came of it. */
export class Jobs {
  readonly #jobs = new Map<string, Job>();
  readonly #onFault: (fault: unknown) => void;

  /** `onFault` hears of faults that are bugs. */
  constructor(onFault: (fault: unknown) => void) {
    this.#onFault = onFault;
  }

  /** Starts the work and answers at once. What `explain` knows to say of a fault is told; the rest is a fault of ours. */
  start(bandId: string, work: (tick: Tick) => Promise<JobResult>, explain: (fault: unknown) => string | undefined): JobState {
    const id = randomUUID();
    const job: Job = { bandId, state: { id, state: 'working', done: 0, total: 0, says: '', made: null }, result: null };
    this.#jobs.set(id, job);
    this.#forgetOldest();
    const tick: Tick = async (done, total) => {
      if (job.state.state === 'working') job.state = { ...job.state, done, total };
      await new Promise((resolve) => setImmediate(resolve));
      if (job.state.state === 'stopped') throw new Stopped();
    };
    work(tick).then(
      (result) => {
        if (job.state.state !== 'working') return;
        job.result = result;
        job.state = { ...job.state, state: 'done', done: job.state.total, says: result.says, made: result.made ?? null };
      },
      (fault) => {
        if (fault instanceof Stopped) return;
        const says = explain(fault);
        if (says === undefined) this.#onFault(fault);
        job.state = { ...job.state, state: 'failed', says: says ?? 'This is a fault of ours. Nothing was changed.' };
      },
    );
    return job.state;
  }

  find(bandId: string, id: string): JobState | undefined {
    return this.#of(bandId, id)?.state;
  }

  /** What a job that is done left behind. */
  resultOf(bandId: string, id: string): JobResult | undefined {
    return this.#of(bandId, id)?.result ?? undefined;
  }

  /** Stops a job that is still at work; one that is done stays done. */
  stop(bandId: string, id: string): JobState | undefined {
    const job = this.#of(bandId, id);
    if (job?.state.state === 'working') job.state = { ...job.state, state: 'stopped', says: 'Stopped.' };
    return job?.state;
  }

  #of(bandId: string, id: string): Job | undefined {
    const job = this.#jobs.get(id);
    return job?.bandId === bandId ? job : undefined;
  }

  #forgetOldest(): void {
    for (const [id, { state }] of this.#jobs) {
      if (this.#jobs.size <= MOST_KEPT) return;
      if (state.state !== 'working') this.#jobs.delete(id);
    }
  }
}
