/** The sizes numbers come in, largest first, with their pixels. */
const SIZES = [
  ['text-great', 56],
  ['text-numeral', 42],
  ['text-figure', 32],
  ['text-head', 24],
  ['text-lead', 19],
] as const;

export type NumeralSize = (typeof SIZES)[number][0];

/** The largest size in which so many ems fit into so many pixels; the smallest where none does. The very largest only where it is asked for. */
export function numeralSize(ems: number, pixels: number, great = false): NumeralSize {
  return fittingNumeral((size) => ems * size <= pixels, great) ?? 'text-lead';
}

/** The largest size that fits, or null. */
export function fittingNumeral(fits: (size: number) => boolean, great = false): NumeralSize | null {
  return SIZES.slice(great ? 0 : 1).find(([, size]) => fits(size))?.[0] ?? null;
}
