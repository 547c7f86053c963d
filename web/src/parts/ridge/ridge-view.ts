/** A ridge as a line in a box one unit a point wide and `MOST_HEIGHT` high; y grows downward. */
export function ridgeLine(heights: readonly number[]): string {
  const points = heights.map((height, index) => `${index + HALF} ${round(MOST_HEIGHT - Math.min(height, MOST_HEIGHT))}`);
  return points.length === 0
    ? ''
    : `M0 ${points[0]?.split(' ')[1]} L${points.join(' L')} L${heights.length} ${points.at(-1)?.split(' ')[1]}`;
}

/** Higher than any chord but the wildest stands; what is higher is drawn at the rim. */
export const MOST_HEIGHT = 6;
const HALF = 0.5;

function round(value: number): number {
  return Math.round(value * 100) / 100;
}
