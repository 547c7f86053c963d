import type { Analysis, AnalysisWish, Key, Note } from '@aurora/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { AT_HOME } from '../../document/heard.ts';
import { useLens } from '../../session/lens.ts';
import { useAnalysis } from './use-analysis.ts';

/** Local, at home, or both side by side. */
export type HearingChoice = 'local' | 'home' | 'both';

/** A song as it is heard: through the key lens, in one hearing or both, in a key that may be set by hand. */
export interface HeardSong {
  readonly analysis: Analysis;
  /** The other hearing, when both are wanted. */
  readonly beside: Analysis | null;
  readonly hearing: HearingChoice;
  readonly setHearing: (hearing: HearingChoice) => void;
  readonly pinned: Key | null;
  readonly pin: (key: Key | null) => void;
  readonly busy: boolean;
  readonly failed: boolean;
}

/** Analyzes a text at home first, then in the key of the lens. */
export function useHeardSong(source: string, melody: ReadonlyMap<number, Note>): HeardSong {
  const [hearing, setHearing] = useState<HearingChoice>('local');
  const [pinned, setPinned] = useState<Key | null>(null);
  // letters move at once; what the analysis says of them may come a moment later
  const lensKey = useDeferredValue(useLens().key);
  const athome = useAnalysis(source, AT_HOME);
  const { progression, keys } = athome.analysis;
  const head = progression.chart.head.key;
  const home = progression.keyGiven ? head : keys[0]?.key;
  const shift = lensKey === null || home === undefined ? 0 : lensKey.tonic - home.tonic;
  const wish = useMemo(() => wishOf(hearing === 'both' ? 'local' : hearing, pinned, shift, melody), [hearing, pinned, shift, melody]);
  const other = useMemo(() => wishOf('home', pinned, shift, melody), [pinned, shift, melody]);
  const tonic = shift === 0 ? undefined : head.tonic + shift;
  const shown = useAnalysis(source, wish, tonic);
  const beside = useAnalysis(hearing === 'both' ? source : '', other, tonic);
  return {
    analysis: shown.analysis,
    beside: hearing === 'both' ? beside.analysis : null,
    hearing,
    setHearing,
    pinned,
    // kept as heard at home, so that it moves with the lens
    pin: (key) => setPinned(key === null ? null : { ...key, tonic: key.tonic - shift }),
    busy: shown.busy,
    failed: shown.failed,
  };
}

function wishOf(hearing: 'local' | 'home', pinned: Key | null, shift: number, melody: ReadonlyMap<number, Note>): AnalysisWish {
  // asked for nothing in particular, what was heard at home is the answer
  if (hearing === 'local' && pinned === null && shift === 0 && melody.size === 0) return AT_HOME;
  return { hearing, melody, ...(pinned === null ? {} : { key: { ...pinned, tonic: pinned.tonic + shift } }) };
}
