import { type Analysis, type AnalysisWish, analyze, type Note, readProgression } from '@aurora/core';
import { expose } from 'comlink';

/** Long songs, away from the page. */
const worker = {
  analyze(source: string, tonic: Note | undefined, wish: AnalysisWish): Analysis {
    return analyze(readProgression(source, tonic), wish);
  },
};

export type AnalysisWorker = typeof worker;

expose(worker);
