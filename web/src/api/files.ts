import {
  type ConvertAnswer,
  type ConvertRequest,
  convertAnswer,
  type ExportRequest,
  type ImportPreview,
  importPreview,
  type JobState,
  jobState,
  problem,
} from '@aurora/wire';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ANSWER_WORDS } from '../wording/answers.ts';
import { ApiFault, call } from './client.ts';
import { type ServerWork, useServerWork } from './jobs.ts';
import { useBand } from './songs.ts';

/** A chart in another format, with what gets lost on the way. */
export function useConverted(wish: ConvertRequest) {
  return useQuery({
    queryKey: ['convert', wish],
    queryFn: ({ signal }): Promise<ConvertAnswer> => call('POST', '/convert', convertAnswer, { body: wish, signal }),
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    retry: false,
  });
}

/** A converted song as something a browser can keep. */
export function blobOf({ content, encoding, mediaType }: ConvertAnswer): Blob {
  if (encoding === 'text') return new Blob([content], { type: mediaType });
  return new Blob([Uint8Array.from(atob(content), (letter) => letter.charCodeAt(0))], { type: mediaType });
}

/** Reads a file on the server, as far as what it would become. */
export function useImportFile(): ServerWork<File> {
  return useServerWork(async (bandId, file: File) => {
    let response: Response;
    try {
      response = await fetch(`/api/v1/bands/${bandId}/imports?name=${encodeURIComponent(file.name)}`, { method: 'POST', body: file });
    } catch {
      throw new ApiFault(0, ANSWER_WORDS.fileAway);
    }
    const answer: unknown = await response.json().catch(() => null);
    if (response.ok) return jobState.parse(answer);
    const given = problem.safeParse(answer);
    throw new ApiFault(response.status, given.success ? given.data.detail : ANSWER_WORDS.fileUnread);
  });
}

/** What a file that was read would become. */
export function useImportPreview(importId: string | null) {
  const bandId = useBand().data?.id ?? '';
  return useQuery({
    queryKey: ['import', bandId, importId],
    queryFn: ({ signal }): Promise<ImportPreview> => call('GET', `/bands/${bandId}/imports/${importId}`, importPreview, { signal }),
    enabled: importId !== null,
    gcTime: 0,
    retry: false,
  });
}

export interface Taking {
  readonly importId: string;
  /** Which songs, counted from 0; undefined for everything. */
  readonly take?: readonly number[];
}

/** Takes a file in: all of it, or nothing. */
export function useTakeIn(): ServerWork<Taking> {
  const queries = useQueryClient();
  return useServerWork(
    (bandId, { importId, take }: Taking): Promise<JobState> =>
      call('POST', `/bands/${bandId}/imports/${importId}/accept`, jobState, { body: take === undefined ? {} : { take } }),
    () => void queries.invalidateQueries(),
  );
}

/** Every song in another format, zipped. */
export function useExportAll(): ServerWork<ExportRequest> {
  return useServerWork((bandId, wish: ExportRequest) => call('POST', `/bands/${bandId}/exports`, jobState, { body: wish }));
}
