import type { RememberedJson, Rhythm } from '@aurora/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { engraverEngine, scoreEngine } from './score-engine.ts';
import type { ScoreAnswer, ScoreQuestion } from './score-worker.ts';

/** A file of notes to be read; `name` tells one from another. */
export interface ScoreFile extends Pick<ScoreQuestion, 'format' | 'bytes'> {
  readonly name: string;
}

/** A piece as its harmony, from the worker; what was there stays while it is worked out anew. */
export function useScore(file: ScoreFile | null, rhythm: Rhythm, said: readonly RememberedJson[]) {
  return useQuery({
    queryKey: ['score', file?.name, file?.bytes.length, rhythm, said],
    queryFn: async (): Promise<ScoreAnswer> => {
      const answer = await scoreEngine().reduce({ ...(file as ScoreFile), rhythm, said });
      if ('ok' in answer) throw new Unreadable(answer);
      return answer;
    },
    enabled: file !== null,
    placeholderData: keepPreviousData,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    retry: false,
  });
}

/** Why a file cannot be read as a score. */
export class Unreadable extends Error {
  readonly failure: Extract<Awaited<ReturnType<ReturnType<typeof scoreEngine>['reduce']>>, { readonly ok: false }>;

  constructor(failure: Unreadable['failure']) {
    super(failure.fault.code);
    this.failure = failure;
  }
}

/** Pages of a score in print, as SVG; null while they are set. */
export function useEngraving(xml: string | null, width: number, scale: number) {
  return useQuery({
    queryKey: ['engraving', xml, width, scale],
    queryFn: async (): Promise<readonly string[]> => {
      const engraver = engraverEngine();
      const count = await engraver.layOut({ xml: xml as string, width, scale });
      const pages: string[] = [];
      for (let page = 1; page <= count; page += 1) pages.push(await engraver.page(page));
      return pages;
    },
    enabled: xml !== null && width > 0,
    placeholderData: keepPreviousData,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 30_000,
    retry: false,
  });
}
