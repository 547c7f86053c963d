import { PointerSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';
import { useEffect, useRef, useState } from 'react';

/** Where what is dragged would land. */
export type Drop = { readonly kind: 'bar' | 'section'; readonly before: number } | null;

/** Bars and sections are dragged by their grip; what lies under the pointer is where they go. */
export function useSheetDrag(onDropBars: (before: number) => void, onMoveSection: (section: number, before: number) => void) {
  const [drop, setDrop] = useState<Drop>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 150, tolerance: 8 } }),
  );
  const pointer = useRef({ x: 0, y: 0 });
  useEffect(() => {
    const follow = ({ clientX, clientY }: PointerEvent) => {
      pointer.current = { x: clientX, y: clientY };
    };
    window.addEventListener('pointermove', follow, true);
    return () => window.removeEventListener('pointermove', follow, true);
  }, []);
  const context = {
    sensors,
    onDragMove: ({ active }: { active: { id: string | number } }) => {
      const next = dropUnder(pointer.current, String(active.id).startsWith('section'));
      setDrop((before) => (before?.kind === next?.kind && before?.before === next?.before ? before : next));
    },
    onDragEnd: ({ active }: { active: { id: string | number } }) => {
      if (drop?.kind === 'bar') onDropBars(drop.before);
      if (drop?.kind === 'section') onMoveSection(Number(String(active.id).split('-')[1]), drop.before);
      setDrop(null);
    },
    onDragCancel: () => setDrop(null),
  };
  return { drop, context };
}

function dropUnder({ x, y }: { readonly x: number; readonly y: number }, isSection: boolean): Drop {
  const under = document.elementsFromPoint(x, y);
  const name = isSection ? 'section' : 'bar';
  const found = under.map((element) => element.closest<HTMLElement>(`[data-${name}]`)).find((element) => element !== null);
  if (found === null || found === undefined) return null;
  const box = found.getBoundingClientRect();
  const behind = isSection ? y > box.top + box.height / 2 : x > box.left + box.width / 2;
  return { kind: name, before: Number(found.dataset[name]) + (behind ? 1 : 0) };
}
