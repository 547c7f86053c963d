import { LEAST_POINTS } from '../notation/letter-width.ts';

/** How large everything around the numbers is, and how high the lines of it are, in points. */
export interface PageType {
  /** Of the numbers. */
  readonly size: number;
  /** Remarks, endings, what stands over a bar. */
  readonly small: number;
  /** Lyrics under a line. */
  readonly words: number;
  /** Letters under numbers. */
  readonly under: number;
  readonly label: number;
  readonly beside: number;
  readonly room: {
    readonly section: number;
    readonly number: number;
    readonly under: number;
    readonly remark: number;
    readonly words: number;
    readonly gap: number;
  };
}

const SMALL = 0.36;
const WORDS = 0.414;
const UNDER = 0.46;
const LABEL = 0.52;
const BESIDE = 0.44;
/** A line is so much higher than its letters. */
const LINE = 1.22;

/** Everything in proportion to the numbers, and nothing too small to be read. */
export function pageType(size: number): PageType {
  const at = (part: number) => Math.max(LEAST_POINTS, part * size);
  const small = at(SMALL);
  const words = at(WORDS);
  const under = at(UNDER);
  const label = at(LABEL);
  return {
    size,
    small,
    words,
    under,
    label,
    beside: at(BESIDE),
    room: {
      section: 1.83 * label,
      number: 1.02 * size,
      under: LINE * under,
      remark: LINE * small,
      words: LINE * words,
      gap: 0.42 * size,
    },
  };
}
