import type { StandLine } from '@aurora/core';
import { type ReactNode, type RefObject, useLayoutEffect, useRef, useState } from 'react';
import { useReads } from '../../session/use-reads.ts';
import { StandLineView } from './StandLines.tsx';
import { type FittedPages, useFittedPages } from './use-fitted-pages.ts';

/** On a screen so wide, for its height, two pages lie open beside each other. */
const SPREAD_WIDTH = 1500;
const SPREAD_RATIO = 1.5;
const BETWEEN = 40;
const MARGIN = 24;
const NARROW_MARGIN = 8;
const NARROW = 640;
/** Who likes large type has fewer lines on a page. */
const LARGE_LINES = 3;
const LINES = 4;

/** What a chart is laid on: pages of a size, and the lines once more, out of sight, to be measured. */
export interface StandPaper extends FittedPages {
  readonly box: RefObject<HTMLElement | null>;
  /** Pixels of a page. */
  readonly width: number;
  readonly margin: number;
  /** Pages that lie open at once. */
  readonly open: 1 | 2;
  readonly measuring: ReactNode;
}

export function useStandPaper(lines: readonly StandLine[]): StandPaper {
  const box = useRef<HTMLElement>(null);
  const measured = useRef<HTMLDivElement>(null);
  const { width, height } = useBox(box);
  const { large } = useReads();
  const spread = width >= SPREAD_WIDTH && width >= SPREAD_RATIO * height;
  const margin = width < NARROW ? NARROW_MARGIN : MARGIN;
  const page = Math.floor(spread ? (width - 2 * margin - BETWEEN) / 2 : width - 2 * margin);
  const fitted = useFittedPages(measured, lines, { width: page, height, least: large ? LARGE_LINES : LINES });
  const measuring = (
    <div ref={measured} aria-hidden="true" className="invisible absolute top-0 left-0" style={{ width: page }}>
      {lines.map((line, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: lines have no name but their place
        <StandLineView key={place} line={line} width={page} />
      ))}
    </div>
  );
  return { ...fitted, box, width: page, margin, open: spread && fitted.pages.length > 1 ? 2 : 1, measuring };
}

/** What of the window the stand has. */
function useBox(box: RefObject<HTMLElement | null>): { readonly width: number; readonly height: number } {
  const [size, setSize] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const element = box.current;
    if (element === null || typeof ResizeObserver === 'undefined') return;
    const measure = () => setSize({ width: element.clientWidth, height: element.clientHeight });
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [box]);
  return size;
}
