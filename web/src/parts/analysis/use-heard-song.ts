import type { Analysis, AnalysisWish, Key, Note } from '@aurora/core';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import type { HearingChoice } from '../../rooms/analyze/KeyStrip.tsx';
import { useLens } from '../../session/lens-store.ts';
import { useAnalysis } from './use-analysis.ts';

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

/** Analyzes a text at home first, then in the key of the lens. Chords of no song give the lens its home. */
export function useHeardSong(source: string, melody: ReadonlyMap<number, Note>, givesHome: boolean): HeardSong {
  const [hearing, setHearing] = useState<HearingChoice>('local');
  const [pinned, setPinned] = useState<Key | null>(null);
  // letters move at once; what the analysis says of them may come a moment later
  const lensKey = useDeferredValue(useLens((state) => state.key));
  const athome = useAnalysis(source, AT_HOME);
  const { progression, keys } = athome.analysis;
  const head = progression.chart.head.key;
  const home = progression.keyGiven ? head : keys[0]?.key;
  useHomeOfLens(home ?? null, givesHome);
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

const AT_HOME: AnalysisWish = {};

function wishOf(hearing: 'local' | 'home', pinned: Key | null, shift: number, melody: ReadonlyMap<number, Note>): AnalysisWish {
  return { hearing, melody, ...(pinned === null ? {} : { key: { ...pinned, tonic: pinned.tonic + shift } }) };
}

/** The key that was found is the home of the key lens for as long as the room is open. */
function useHomeOfLens(home: Key | null, gives: boolean): void {
  const known = useLens((state) => state.homeKey);
  useEffect(() => {
    // the shell may have set another one after this room was opened
    if (known !== home && (gives || home !== null)) useLens.getState().setHomeKey(home);
  }, [home, gives, known]);
  useEffect(() => () => (gives ? useLens.getState().setHomeKey(null) : undefined), [gives]);
}
