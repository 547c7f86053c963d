import { type ReactNode, useCallback, useEffect } from 'react';
import { createPortal } from 'react-dom';
import { create } from 'zustand';

/** Places around a room that the room itself fills. */
export type SlotName = 'tools' | 'text' | 'hand' | 'line';

interface Slots {
  readonly places: { readonly [Name in SlotName]?: HTMLElement | null };
  /** How many things there are for a place, whether or not it is there. */
  readonly filled: { readonly [Name in SlotName]?: number };
}

const useSlots = create<Slots>()(() => ({ places: {}, filled: {} }));

/** Where something of the room is put; empty as long as the room has nothing for it. */
export function SlotPlace({ name, className = '' }: { readonly name: SlotName; readonly className?: string }) {
  const hold = useCallback(
    (element: HTMLElement | null) => useSlots.setState(({ places }) => ({ places: { ...places, [name]: element } })),
    [name],
  );
  return <div ref={hold} className={className} />;
}

/** Puts something of a room into its place; while there is no such place it is not drawn. */
export function InSlot({ name, children }: { readonly name: SlotName; readonly children: ReactNode }) {
  const place = useSlots(({ places }) => places[name] ?? null);
  useEffect(() => {
    const count = (by: number) => useSlots.setState(({ filled }) => ({ filled: { ...filled, [name]: (filled[name] ?? 0) + by } }));
    count(1);
    return () => count(-1);
  }, [name]);
  return place === null ? null : createPortal(children, place);
}

/** Whether there is such a place just now. */
export function useSlotIsThere(name: SlotName): boolean {
  return useSlots(({ places }) => (places[name] ?? null) !== null);
}

/** Whether the room has something for a place. */
export function useSlotIsFilled(name: SlotName): boolean {
  return useSlots(({ filled }) => (filled[name] ?? 0) > 0);
}
