import { MOST_HEIGHT, ridgeLine } from './ridge-view.ts';

interface RidgeStripProps {
  readonly heights: readonly number[];
  /** Which chord is marked; null for none. */
  readonly at?: number | null;
  /** What it says to those who do not see it; left out where the same is said beside it. */
  readonly label?: string;
  readonly thin?: boolean;
  /** Called with the chord that was pointed at. */
  readonly onGo?: (index: number) => void;
  readonly className?: string;
}

/** The song's profile as one line: the higher, the further from home. */
export function RidgeStrip({ heights, at = null, label, thin = false, onGo, className = '' }: RidgeStripProps) {
  const path = ridgeLine(heights);
  const count = heights.length;
  if (count === 0) return null;
  return (
    <svg
      viewBox={`0 -0.4 ${count} ${MOST_HEIGHT + 0.8}`}
      preserveAspectRatio="none"
      role={label === undefined ? undefined : 'img'}
      aria-label={label}
      aria-hidden={label === undefined}
      className={`${onGo === undefined ? '' : 'cursor-pointer'} ${className}`}
      onClick={(event) => {
        const { left, width } = event.currentTarget.getBoundingClientRect();
        onGo?.(Math.min(count - 1, Math.max(0, Math.floor(((event.clientX - left) / width) * count))));
      }}
    >
      {!thin && <path d={`${path} L${count} ${MOST_HEIGHT + 0.4} L0 ${MOST_HEIGHT + 0.4} Z`} fill="var(--wash)" />}
      {at !== null && <rect x={at} y={-0.4} width={1} height={MOST_HEIGHT + 0.8} fill="var(--accent)" opacity="0.22" />}
      <path d={path} fill="none" stroke="var(--accent)" strokeWidth="2" strokeLinejoin="round" vectorEffect="non-scaling-stroke" />
    </svg>
  );
}
