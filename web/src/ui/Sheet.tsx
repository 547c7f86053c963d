import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { Hint } from './Hint.tsx';
import { CloseIcon } from './icons.ts';

interface SheetProps {
  readonly title: string;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly children: ReactNode;
}

/** A sheet of paper laid over the room. */
export function Sheet({ title, open, onOpenChange, children }: SheetProps) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 flex max-h-[88vh] w-[min(56rem,94vw)] -translate-x-1/2 -translate-y-1/2 flex-col rounded-2xl border border-edge bg-raised p-7"
        >
          <div className="mb-4 flex items-center justify-between">
            <Dialog.Title className="font-numeral text-head font-bold">{title}</Dialog.Title>
            <Hint text="Close">
              <Dialog.Close aria-label="Close" className="grid size-11 place-items-center rounded-lg hover:bg-wash">
                <CloseIcon size={22} />
              </Dialog.Close>
            </Hint>
          </div>
          {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a long sheet must be scrolled by keyboard */}
          <div className="min-h-0 overflow-auto" tabIndex={0} role="group" aria-label={title}>
            {children}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
