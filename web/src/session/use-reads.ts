import { type ChordShow, cueNames, type PartKind } from '@aurora/core';
import { useMemo } from 'react';
import { useMemberChanges } from '../api/members.ts';
import { useChartView } from './chart-view-store.ts';
import { useReader } from './lens.ts';

/** How charts are read at this device: as somebody in the band likes it, or as was chosen here. */
export interface Reads {
  readonly show: ChordShow;
  /** Kept with the member who reads, else on this device. */
  readonly setShow: (show: ChordShow) => void;
  readonly part: PartKind;
  /** Larger type than usual. */
  readonly large: boolean;
  readonly words: boolean;
  /** Whose cues are shown; null for every cue. */
  readonly cuesFor: readonly string[] | null;
}

export function useReads(): Reads {
  const { show, setShow } = useChartView();
  const member = useReader().member;
  const { mutate } = useMemberChanges().change;
  return useMemo(() => {
    if (member === null) return { show, setShow, part: 'chart', large: false, words: true, cuesFor: null };
    const { id, name, plays, reads } = member;
    return {
      show: reads.show,
      setShow: (next: ChordShow) => mutate({ id, change: { reads: { show: next } } }),
      part: reads.part,
      large: reads.size === 'large type',
      words: reads.words,
      cuesFor: cueNames({ cues: reads.cues, name, plays }),
    };
  }, [member, show, setShow, mutate]);
}
