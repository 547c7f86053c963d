import { Tooltip } from 'radix-ui';
import type { ReactNode } from 'react';

/** A name and, where there is one, a key, shown when something is pointed at or focused. */
export function Hint({ text, keys, children }: { readonly text: string; readonly keys?: string; readonly children: ReactNode }) {
  return (
    <Tooltip.Root>
      <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
      <Tooltip.Portal>
        <Tooltip.Content sideOffset={6} className="z-50 rounded-md bg-ink px-2.5 py-1.5 text-fine font-medium text-ground">
          {text}
          {keys !== undefined && <KeyCap keys={keys} inverted />}
        </Tooltip.Content>
      </Tooltip.Portal>
    </Tooltip.Root>
  );
}

/** A key of the keyboard as it looks. */
export function KeyCap({ keys, inverted = false }: { readonly keys: string; readonly inverted?: boolean }) {
  return (
    <kbd
      className={`ml-2 inline-block min-w-6 rounded border px-1.5 text-center font-text text-fine ${inverted ? 'border-ground/40' : 'border-edge bg-sheet text-ink'}`}
    >
      {keys}
    </kbd>
  );
}
