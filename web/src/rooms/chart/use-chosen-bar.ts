import { type RefObject, useCallback, useEffect, useRef } from 'react';
import type { ChartOnDesk } from '../../parts/sheet/use-chart-sheet.ts';
import { useLens } from '../../session/lens-store.ts';
import type { BarSelection } from './bar-selection.ts';

/** The chosen chord is what the neck and the why show. */
export function useShownChord(
  desk: ChartOnDesk,
  selection: BarSelection | null,
  whyOf: (place: { readonly bar: number; readonly chord: number }) => readonly string[] | null,
): void {
  const bar = selection?.head ?? null;
  const place = selection?.chord ?? 0;
  const chord = bar === null ? null : desk.chordAt(bar, place);
  const heardIn = bar === null ? null : desk.keyAt(bar);
  const why = bar === null ? null : whyOf({ bar, chord: place });
  const name = chord === null ? '' : `${chord.root} ${chord.formula} ${chord.bass} ${heardIn?.tonic} ${heardIn?.scale} ${why?.join()}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the name says all that can change
  useEffect(() => {
    useLens.getState().select(chord === null || heardIn === null ? null : { chord, heardIn, ...(why === null ? {} : { why }) });
  }, [name]);
  useEffect(() => () => useLens.getState().select(null), []);
}

/** Gives the focus to the chosen chord: at once, and again when the sheet is drawn anew. */
export function useFocusOnChosen(room: RefObject<HTMLElement | null>, selection: BarSelection | null, drawn: string): () => void {
  const wanted = useRef(false);
  const place = selection === null ? null : `${selection.head}.${selection.chord}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: `drawn` says that the sheet was drawn anew
  useEffect(() => {
    if (!wanted.current || place === null) return;
    const found = room.current?.querySelector<HTMLElement>(`[data-place="${place}"]`);
    if (found == null) return;
    wanted.current = false;
    found.focus();
  }, [place, drawn, room]);
  return useCallback(() => {
    wanted.current = true;
  }, []);
}
