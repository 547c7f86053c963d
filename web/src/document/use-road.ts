import type { SetList } from '@aurora/wire';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useReach } from '../api/reach.ts';
import { fullSetsKey, useBand } from '../api/songs.ts';
import { useTonight } from '../session/tonight-store.ts';
import { useVersion } from '../session/version.ts';
import { makeReady, useRoad } from './road.ts';

const PAUSE_MS = 1500;
const AGAIN_MS = 5 * 60_000;

/** Keeps tonight on the device for as long as the page is open: after every change of the set, and every few minutes. */
export function useRoadReady(): void {
  const bandId = useBand().data?.id;
  const { setId } = useTonight();
  const { isKept } = useVersion();
  const { isAway } = useReach();
  // only looked at: whoever works on the set fetches it
  const { data } = useQuery<SetList>({ queryKey: [...fullSetsKey(bandId ?? ''), setId ?? ''], enabled: false });
  const revision = `${data?.revision} ${data?.songs.map(({ savedAt }) => savedAt).join(' ')}`;
  // what was ready for another set says nothing of this one
  useEffect(() => {
    const { road } = useRoad.getState();
    if (road.kind === 'ready' && setId !== null && road.setId !== setId) useRoad.setState({ road: { kind: 'unknown' } });
  }, [setId]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new revision, or a server that is back, is a reason to look again
  useEffect(() => {
    if (bandId === undefined) return;
    const soon = window.setTimeout(() => void makeReady(bandId, setId), PAUSE_MS);
    const again = window.setInterval(() => void makeReady(bandId, setId), AGAIN_MS);
    return () => {
      window.clearTimeout(soon);
      window.clearInterval(again);
    };
  }, [bandId, setId, isKept, isAway, revision]);
}
