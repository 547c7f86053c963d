import { useChartView } from '../../../session/chart-view-store.ts';
import { Named } from '../../../ui/Named.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';

export const DEGREES = [1, 2, 3, 4, 5, 6, 7].map(String);

/** A digit alone is major, or the key's own chord: the fewer keys for who writes what the key gives. */
export function OwnChords() {
  const { ownChords, setOwnChords } = useChartView();
  return (
    <button
      type="button"
      aria-pressed={ownChords}
      title={CHART_WORDS.aDigitAloneWritesTheKeys}
      onPointerDown={(event) => event.preventDefault()}
      onClick={() => setOwnChords(!ownChords)}
      className="music-glyph ml-auto flex min-h-10 items-center gap-2 rounded-lg border border-edge bg-raised px-2.5 text-fine font-semibold hover:border-accent aria-pressed:border-accent aria-pressed:bg-wash"
    >
      <Named name={CHART_WORDS.digitWritesOwnChord} className="flex">
        {ownChords ? CHART_WORDS.twoIsMinor : CHART_WORDS.twoIsMajor}
      </Named>
    </button>
  );
}
