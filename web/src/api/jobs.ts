import { type JobState, jobState, type PackRequest } from '@aurora/wire';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { call } from './client.ts';
import { useBand } from './songs.ts';

const POLL_MS = 300;

/** Work the server does meanwhile: how far it is, and how to stop it. */
export interface ServerWork<Wish> {
  readonly start: (wish: Wish) => void;
  readonly stop: () => void;
  readonly state: JobState | null;
  /** What went wrong before any work began. */
  readonly fault: string | null;
  /** Where the file is, once there is one. */
  readonly file: string | null;
}

/** Work begun by `begin`, followed to its end. */
export function useServerWork<Wish>(begin: (bandId: string, wish: Wish) => Promise<JobState>): ServerWork<Wish> {
  const bandId = useBand().data?.id ?? '';
  const [jobId, setJobId] = useState<string | null>(null);
  const started = useMutation({ mutationFn: (wish: Wish) => begin(bandId, wish), onSuccess: ({ id }) => setJobId(id) });
  const at = `/bands/${bandId}/jobs/${jobId}`;
  const followed = useQuery({
    queryKey: ['job', bandId, jobId],
    queryFn: () => call('GET', at, jobState),
    enabled: jobId !== null,
    refetchInterval: ({ state }) => (state.data === undefined || state.data.state === 'working' ? POLL_MS : false),
    gcTime: 0,
  });
  const state = started.isPending ? null : (followed.data ?? started.data ?? null);
  return {
    start: (wish) => {
      setJobId(null);
      started.mutate(wish);
    },
    stop: () => void call('DELETE', at, jobState).then(() => followed.refetch()),
    state,
    fault: started.error?.message ?? null,
    file: state?.state === 'done' ? `/api/v1${at}/file` : null,
  };
}

/** A PDF for every player, of a song or a set. */
export function usePartsPack(): ServerWork<PackRequest> {
  return useServerWork((bandId, wish: PackRequest) => call('POST', `/bands/${bandId}/packs`, jobState, wish));
}
