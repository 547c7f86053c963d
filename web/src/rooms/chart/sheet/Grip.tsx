import { useDraggable } from '@dnd-kit/core';
import { memo } from 'react';
import { GripIcon } from '../../../ui/icons.ts';

/** What something is dragged by; the arrow keys with Alt do the same. */
export const Grip = memo(function Grip({ id, label }: { readonly id: string; readonly label: string }) {
  const { attributes, listeners, setNodeRef } = useDraggable({ id });
  const { role: _role, tabIndex: _tabIndex, ...described } = attributes;
  return (
    <span
      ref={setNodeRef}
      {...described}
      {...listeners}
      title={label}
      className="grid size-8 shrink-0 cursor-grab touch-none place-items-center text-quiet"
    >
      <GripIcon size={18} aria-hidden="true" />
    </span>
  );
});
