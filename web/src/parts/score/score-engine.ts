import { type Remote, wrap } from 'comlink';
import type { EngraverWorker } from './engraver-worker.ts';
import type { ScoreWorker } from './score-worker.ts';

let scores: Remote<ScoreWorker> | null = null;
let engraver: Remote<EngraverWorker> | null = null;

/** The worker that reads and reduces pieces. */
export function scoreEngine(): Remote<ScoreWorker> {
  scores ??= wrap<ScoreWorker>(new Worker(new URL('./score-worker.ts', import.meta.url), { type: 'module' }));
  return scores;
}

/** The worker that sets music in print; fetched when a score is first shown. */
export function engraverEngine(): Remote<EngraverWorker> {
  engraver ??= wrap<EngraverWorker>(new Worker(new URL('./engraver-worker.ts', import.meta.url), { type: 'module' }));
  return engraver;
}
