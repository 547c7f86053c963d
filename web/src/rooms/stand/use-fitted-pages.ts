import { type StandLine, standPages } from '@aurora/core';
import { type RefObject, useLayoutEffect, useRef, useState } from 'react';

/** The type sizes that are tried, largest first, in pixels. */
const LARGEST = 150;
const SMALLEST = 18;
const STEP = 0.95;
const SIZES: readonly number[] = (() => {
  const sizes: number[] = [];
  for (let size = LARGEST; size >= SMALLEST; size *= STEP) sizes.push(Math.round(size));
  return sizes;
})();
export interface FittedPages {
  /** Pixels of a number. */
  readonly size: number;
  /** Lines by page. */
  readonly pages: readonly (readonly number[])[];
  /** Pixels that are left under the last of them. */
  readonly left: number;
}

const NONE: FittedPages = { size: SMALLEST, pages: [], left: 0 };

/** The page that lines are laid on. */
interface PageWish {
  /** Pixels. */
  readonly width: number;
  readonly height: number;
  /** So many lines a page holds at least: with fewer it is turned too often. */
  readonly least: number;
}

/**
 * Lays lines on pages in the largest type in which no bar is wider than its place and a page holds
 * as many lines as asked for. They are measured as they will be drawn, out of sight.
 */
export function useFittedPages(
  measured: RefObject<HTMLElement | null>,
  lines: readonly StandLine[],
  { width, height, least }: PageWish,
): FittedPages {
  const [fitted, setFitted] = useState(NONE);
  const before = useRef(-1);
  // biome-ignore lint/correctness/useExhaustiveDependencies: other lines are measured anew
  useLayoutEffect(() => {
    const element = measured.current;
    if (element === null || height <= 0 || lines.length === 0) return;
    const fit = () => {
      before.current = fittingSize(element, before.current, { height, least });
      const size = SIZES[before.current] as number;
      element.style.fontSize = `${size}px`;
      const heights = heightsOf(element);
      const pages = standPages(heights, height);
      const last = pages.at(-1)?.reduce((sum, line) => sum + (heights[line] ?? 0), 0) ?? 0;
      setFitted({ size, pages, left: height - last });
    };
    fit();
    // letters are wider or narrower once their face has come
    if (document.fonts?.status === 'loading') void document.fonts.ready.then(fit);
  }, [measured, lines, width, height, least]);
  return fitted;
}

/** The largest size that fits, as a place among the sizes; the one that fitted before is tried first, since every try lays everything out. */
function fittingSize(element: HTMLElement, before: number, { height, least }: Omit<PageWish, 'width'>): number {
  const fitsAt = (at: number) => isFitting(element, SIZES[at] as number, height, least);
  let [fits, tooLarge] = [SIZES.length - 1, -1];
  if (before > 0) {
    if (!fitsAt(before)) tooLarge = before;
    else if (fitsAt(before - 1)) fits = before - 1;
    else return before;
  }
  while (fits - tooLarge > 1) {
    const middle = Math.floor((fits + tooLarge) / 2);
    if (fitsAt(middle)) fits = middle;
    else tooLarge = middle;
  }
  return fits;
}

function isFitting(element: HTMLElement, size: number, height: number, wanted: number): boolean {
  element.style.fontSize = `${size}px`;
  const heights = heightsOf(element);
  const least = Math.min(wanted, heights.length);
  if (Math.max(...heights) * least > height) return false;
  return [...element.querySelectorAll('[data-stand-bar]')].every((bar) => bar.scrollWidth <= bar.clientWidth + 1);
}

function heightsOf(element: HTMLElement): readonly number[] {
  return [...element.querySelectorAll('[data-line]')].map((line) => line.getBoundingClientRect().height);
}
