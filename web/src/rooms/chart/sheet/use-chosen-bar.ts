import { type RefObject, useEffect, useLayoutEffect, useRef } from 'react';
import type { ChartOnDesk } from '../../../parts/sheet/use-chart-sheet.ts';
import { select } from '../../../session/lens-store.ts';
import type { BarSelection } from './bar-selection.ts';
import type { SheetInputState } from './sheet-state.ts';

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
    select(chord === null || heardIn === null ? null : { chord, heardIn, ...(why === null ? {} : { why }) });
  }, [name]);
  useEffect(() => () => select(null), []);
}

/** Gives the focus to the chosen bar each time the keys have asked for it, as soon as it is drawn; an open bar has it already. */
export function useFocusOnChosen(room: RefObject<HTMLElement | null>, state: SheetInputState, selection: BarSelection | null): void {
  const given = useRef(0);
  useLayoutEffect(() => {
    if (state.typing !== null) given.current = state.focus;
    if (given.current === state.focus || selection === null) return;
    const found = room.current?.querySelector<HTMLElement>(`[data-place="${selection.head}.${selection.chord}"]`);
    if (found == null) return;
    given.current = state.focus;
    found.focus();
  });
}
