import { AlertDialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from './Button.tsx';

interface AskOnceProps {
  readonly title: string;
  readonly children: ReactNode;
  /** What the two answers say. */
  readonly yes: string;
  readonly no: string;
  readonly onYes: () => void;
  /** The button that asks. */
  readonly trigger: ReactNode;
}

/** For what cannot be taken back: it is asked once more. */
export function AskOnce({ title, children, yes, no, onYes, trigger }: AskOnceProps) {
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger asChild>{trigger}</AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 w-[min(30rem,94vw)] -translate-x-1/2 -translate-y-1/2 rounded-2xl border border-edge bg-raised p-7">
          <AlertDialog.Title className="font-numeral text-head font-bold">{title}</AlertDialog.Title>
          <AlertDialog.Description className="mt-2 text-base text-quiet">{children}</AlertDialog.Description>
          <div className="mt-5 flex justify-end gap-3">
            <AlertDialog.Cancel asChild>
              <Button>{no}</Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <Button look="strong" onClick={onYes}>
                {yes}
              </Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
