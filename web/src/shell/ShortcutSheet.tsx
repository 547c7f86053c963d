import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { KeyCap } from '../ui/Hint.tsx';
import { SHORTCUTS } from './shortcuts.ts';

const PLACES = ['Everywhere', 'Harmonize', 'Chart'] as const;

/** Every key and what it does. */
export function ShortcutSheet({ open, onOpenChange }: { readonly open: boolean; readonly onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 max-h-[88vh] w-[min(56rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-2xl border border-edge bg-raised p-7"
        >
          <div className="mb-5 flex items-center justify-between">
            <Dialog.Title className="font-numeral text-2xl font-bold">Keys</Dialog.Title>
            <Dialog.Close aria-label="Close" className="grid size-11 place-items-center rounded-lg hover:bg-wash">
              <X size={22} />
            </Dialog.Close>
          </div>
          <div className="grid gap-8 md:grid-cols-3">
            {PLACES.map((place) => (
              <section key={place}>
                <h3 className="mb-2 font-semibold text-accent">{place}</h3>
                <dl className="grid grid-cols-[auto_1fr] items-baseline gap-x-3 gap-y-2">
                  {SHORTCUTS.filter(({ where }) => where === place).map(({ keys, does }) => (
                    <div key={keys + does} className="contents">
                      <dt className="text-right">
                        <KeyCap keys={keys} />
                      </dt>
                      <dd>{does}</dd>
                    </div>
                  ))}
                </dl>
              </section>
            ))}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
