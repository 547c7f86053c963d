import type { StandLine } from '@aurora/core';
import { STAND_WORDS } from '../../wording/stand.ts';
import { StandLineView } from './StandLines.tsx';
import type { StandPaper } from './use-stand-paper.tsx';

interface StandPagesProps {
  readonly lines: readonly StandLine[];
  readonly paper: StandPaper;
  readonly page: number;
}

/** The page one is at, and on a wide screen the one after it beside it. */
export function StandPages({ lines, paper: { pages, open, size, width, margin }, page }: StandPagesProps) {
  const first = page - (page % open);
  return (
    <div className="absolute inset-0 flex justify-between overflow-hidden" style={{ paddingInline: margin, fontSize: size }}>
      {pages.slice(first, first + open).map((places) => (
        <section key={places[0]} data-page aria-label={STAND_WORDS.pageLabel(pages.indexOf(places) + 1, pages.length)} style={{ width }}>
          {places.map((place) => {
            const line = lines[place];
            return line === undefined ? null : <StandLineView key={place} line={line} width={width} />;
          })}
        </section>
      ))}
    </div>
  );
}
