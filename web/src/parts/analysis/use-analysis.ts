import { type Analysis, type AnalysisWish, analyze, type Note, progressionOf } from '@aurora/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { type Remote, wrap } from 'comlink';
import { useMemo } from 'react';
import { AT_HOME, heardAtHome } from '../../document/heard.ts';
import { chartOf } from '../../document/open-chart.ts';
import type { AnalysisWorker } from './analysis-worker.ts';

/** Text beyond this is read in the worker, so that writing never waits. */
const LONG_TEXT = 1500;

let remote: Remote<AnalysisWorker> | null = null;

function engine(): Remote<AnalysisWorker> {
  remote ??= wrap<AnalysisWorker>(new Worker(new URL('./analysis-worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

function heard(source: string, tonic: Note | undefined, wish: AnalysisWish): Analysis {
  return wish === AT_HOME && tonic === undefined ? heardAtHome(source) : analyze(progressionOf(chartOf(source), tonic), wish);
}

/** What is made of a text: at once when it is short, from the worker when it is long. */
export function useAnalysis(
  source: string,
  wish: AnalysisWish,
  tonic?: Note,
): { readonly analysis: Analysis; readonly busy: boolean; readonly failed: boolean } {
  const long = source.length > LONG_TEXT;
  const short = useMemo(() => (long ? null : heard(source, tonic, wish)), [long, source, tonic, wish]);
  const far = useQuery({
    queryKey: ['analysis', source, tonic, wish.key, wish.hearing, [...(wish.melody ?? [])]],
    queryFn: () => engine().analyze(source, tonic, wish),
    enabled: long,
    placeholderData: keepPreviousData,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    retry: false,
  });
  return { analysis: short ?? far.data ?? heardAtHome(''), busy: long && far.isFetching, failed: long && far.isError };
}
