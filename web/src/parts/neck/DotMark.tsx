import type { NeckDot } from './neck-view.ts';

/** A dot without its label: roots are square and full, the others round and open, passing notes broken. */
export function DotMark({ dot, x, y }: { readonly dot: NeckDot; readonly x: number; readonly y: number }) {
  if (dot.passing === true)
    return <circle cx={x} cy={y} r={10} fill="var(--wood)" stroke="var(--quiet)" strokeWidth={1} strokeDasharray="2 2" />;
  return dot.root ? (
    <rect x={x - 11.5} y={y - 10.5} width={23} height={21} rx={5} fill="var(--accent)" stroke="var(--sheet)" strokeWidth={1.5} />
  ) : (
    <circle cx={x} cy={y} r={10.5} fill="var(--raised)" stroke="var(--ink)" strokeWidth={1.6} />
  );
}
