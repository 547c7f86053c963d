import type { StandLine } from '@aurora/core';

/** The page a line lies on; 0 while there are no pages. */
export function pageOf(pages: readonly (readonly number[])[], line: number): number {
  return Math.max(
    0,
    pages.findIndex((lines) => lines.includes(line)),
  );
}

/** The first line after turning so many pages, back for less than 0, from those that lie open around a page; −1 past either end. */
export function turnedTo(pages: readonly (readonly number[])[], page: number, by: number): number {
  const open = Math.abs(by);
  return pages[page - (page % open) + by]?.[0] ?? -1;
}

/** The line where the next section begins; back, where this one does and then the one before. Stays where there is none. */
export function lineAfter(lines: readonly Pick<StandLine, 'heading'>[], from: number, way: 1 | -1): number {
  for (let at = from + way; at >= 0 && at < lines.length; at += way) if (lines[at]?.heading !== null) return at;
  return way === -1 ? 0 : from;
}

/** The name of the section a line belongs to, with its time where it is played again. */
export function sectionAt(lines: readonly Pick<StandLine, 'heading' | 'time'>[], line: number): string {
  for (let at = line; at >= 0; at -= 1) {
    const { heading, time } = lines[at] ?? { heading: null, time: null };
    if (heading !== null) return time !== null && time > 1 ? `${heading.name} ${time}` : heading.name;
  }
  return '';
}
