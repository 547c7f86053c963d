import type { CellRow, Projected } from '@aurora/core';
import { type RefObject, useDeferredValue, useEffect, useMemo, useRef } from 'react';

/** A row as it is drawn just now, and which way its letters slid in. */
export type Drawn = (section: number, row: number, now: CellRow) => { readonly row: CellRow; readonly turn: boolean };

/**
 * In a new key the rows in sight are drawn at once, all others a moment later, so that a long sheet
 * answers a key press as fast as a short one.
 */
export function useRowsInSight(article: RefObject<HTMLElement | null>, sheet: Projected, turn: boolean): Drawn {
  const inSight = useRef(new Set<string>());
  const later = useDeferredValue(useMemo(() => ({ sheet, turn }), [sheet, turn]));
  // biome-ignore lint/correctness/useExhaustiveDependencies: another sheet has other rows
  useEffect(() => {
    const seen = inSight.current;
    const observer = new IntersectionObserver((entries) => {
      for (const { target, isIntersecting } of entries) {
        const name = (target as HTMLElement).dataset.row ?? '';
        if (isIntersecting) seen.add(name);
        else seen.delete(name);
      }
    });
    for (const row of article.current?.querySelectorAll('[data-row]') ?? []) observer.observe(row);
    return () => observer.disconnect();
  }, [article, sheet.sections.length, sheet.sections.reduce((sum, { rows }) => sum + rows.length, 0)]);
  return (section, row, now) => {
    const before = later.sheet.sections[section]?.rows[row];
    const waits = before !== undefined && !inSight.current.has(`${section}.${row}`);
    return waits ? { row: before, turn: later.turn } : { row: now, turn };
  };
}
