import type { SongProfile } from '@aurora/core';
import { floorLine, MOST_HEIGHT, pathOf, plateausOf, ridgeLine, ridgeRuns, spanAt } from './ridge-view.ts';

/** Over the highest and under the lowest line, so that both are seen whole. */
const EDGE = 0.5;
const BOX = { y: -EDGE, height: MOST_HEIGHT + 2 * EDGE };

/** The song's profile as one quiet line, as it stands in a list. */
export function RidgeThread({ heights, className = '' }: { readonly heights: readonly number[]; readonly className?: string }) {
  if (heights.length === 0) return null;
  return (
    <svg viewBox={`0 ${BOX.y} ${heights.length} ${BOX.height}`} preserveAspectRatio="none" aria-hidden="true" className={className}>
      <path
        d={pathOf(ridgeLine(plateausOf(heights)))}
        fill="none"
        stroke="var(--accent)"
        strokeWidth="2"
        strokeLinejoin="round"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

interface RidgeStripProps {
  readonly profile: SongProfile;
  /** Which chord is marked; null for none. */
  readonly at: number | null;
  /** What it says to those who do not see it. */
  readonly label: string;
  /** Called with the chord that was pointed at. */
  readonly onGo: (index: number) => void;
  readonly className?: string;
}

/** The song's profile over a chart: plateaus as wide as the chords last, broken outside the key, sections on the floor. */
export function RidgeStrip({ profile, at, label, onGo, className = '' }: RidgeStripProps) {
  const { spans, sections, beats } = profile;
  const runs = ridgeRuns(spans);
  const marked = spans.find(({ index }) => index === at);
  if (spans.length === 0) return null;
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the keys walk the bars under it
    <svg
      viewBox={`0 ${BOX.y} ${beats} ${BOX.height}`}
      preserveAspectRatio="none"
      role="img"
      aria-label={label}
      className={`cursor-pointer ${className}`}
      onClick={({ currentTarget, clientX }) => {
        const { left, width } = currentTarget.getBoundingClientRect();
        const span = spanAt(profile, (clientX - left) / width);
        if (span !== undefined) onGo(span.index);
      }}
    >
      <path d={`${pathOf(ridgeLine(spans))} L${beats} ${BOX.height} L0 ${BOX.height} Z`} fill="var(--wash)" />
      <path d={pathOf(floorLine(spans))} fill="none" stroke="var(--edge)" vectorEffect="non-scaling-stroke" />
      {sections.slice(1).map(({ from }) => (
        <path
          key={from}
          d={`M${from} ${BOX.y} V${BOX.height}`}
          stroke="var(--edge)"
          strokeDasharray="2 2"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {marked !== undefined && (
        <rect x={marked.from} y={BOX.y} width={marked.to - marked.from} height={BOX.height} fill="var(--accent)" opacity="0.22" />
      )}
      {[false, true].map((outside) => (
        <path
          key={String(outside)}
          d={runs
            .filter((run) => run.outside === outside)
            .map(({ points }) => pathOf(points))
            .join(' ')}
          fill="none"
          stroke={outside ? 'var(--outside)' : 'var(--accent)'}
          strokeWidth="2"
          strokeDasharray={outside ? '3 2' : undefined}
          strokeLinejoin="round"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}
