import { type JobState, jobState, type PackRequest } from '@aurora/wire';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { call } from './client.ts';
import { useNews } from './news/news-state.ts';
import { knownBandId, useBand } from './songs.ts';

const POLL_MS = 300;
/** How far work is comes by itself where changes are heard; it is asked for all the same, in case. */
const HEARD_POLL_MS = 5000;

export const jobKey = (bandId: string, jobId: string | null) => ['job', bandId, jobId] as const;

/** Work the server does meanwhile: how far it is, and how to stop it. */
export interface ServerWork<Wish> {
  readonly start: (wish: Wish) => void;
  readonly stop: () => void;
  readonly state: JobState | null;
  /** What went wrong before any work began. */
  readonly fault: string | null;
  /** Where the file is, once there is one. */
  readonly file: string | null;
  /** Forgets the work, whatever came of it. */
  readonly forget: () => void;
}

/** Work begun by `begin`, followed to its end. */
export function useServerWork<Wish>(
  begin: (bandId: string, wish: Wish) => Promise<JobState>,
  onDone: (state: JobState) => void = () => undefined,
): ServerWork<Wish> {
  const queries = useQueryClient();
  const bandId = useBand().data?.id ?? '';
  const [jobId, setJobId] = useState<string | null>(null);
  // what is begun before the band is known waits for it
  const started = useMutation({
    mutationFn: async (wish: Wish) => begin(await knownBandId(queries), wish),
    onSuccess: ({ id }) => setJobId(id),
  });
  const pollMs = useNews(({ since }) => since !== null) ? HEARD_POLL_MS : POLL_MS;
  const at = `/bands/${bandId}/jobs/${jobId}`;
  const followed = useQuery({
    queryKey: jobKey(bandId, jobId),
    queryFn: ({ signal }) => call('GET', at, jobState, { signal }),
    enabled: jobId !== null,
    refetchInterval: ({ state }) => (state.data === undefined || state.data.state === 'working' ? pollMs : false),
    gcTime: 0,
  });
  const state = started.isPending ? null : (followed.data ?? started.data ?? null);
  useDone(state, onDone);
  return {
    start: (wish) => {
      setJobId(null);
      started.mutate(wish);
    },
    stop: () => void call('DELETE', at, jobState).then(() => followed.refetch()),
    state,
    fault: started.error?.message ?? null,
    file: state?.state === 'done' ? `/api/v1${at}/file` : null,
    forget: () => {
      setJobId(null);
      started.reset();
    },
  };
}

/** Tells once of each work that is done. */
function useDone(state: JobState | null, onDone: (state: JobState) => void): void {
  const told = useRef<string | null>(null);
  const heard = useRef(onDone);
  useEffect(() => {
    heard.current = onDone;
  });
  useEffect(() => {
    if (state?.state !== 'done' || told.current === state.id) return;
    told.current = state.id;
    heard.current(state);
  }, [state]);
}

/** A PDF for every player, of a song or a set. */
export function usePartsPack(): ServerWork<PackRequest> {
  return useServerWork((bandId, wish: PackRequest) => call('POST', `/bands/${bandId}/packs`, jobState, { body: wish }));
}
