import { Dialog } from 'radix-ui';
import { type ReactNode, useRef } from 'react';
import { UI_WORDS } from '../wording/ui.ts';
import { Hint } from './Hint.tsx';
import { CloseIcon } from './icons.ts';
import { useFocusBack } from './keyboard/use-focus-back.ts';

interface SheetProps {
  readonly title: string;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly children: ReactNode;
}

/** What is typed in first, where there is such a field. */
const FIELD = 'input:not([type="file"]), textarea, select';

/** A sheet of paper laid over the room, the keyboard in its first field; on a phone it lies at the foot. */
export function Sheet({ title, open, onOpenChange, children }: SheetProps) {
  const body = useRef<HTMLDivElement>(null);
  const { remember, giveBack } = useFocusBack();
  const greet = (event: Event) => {
    event.preventDefault();
    remember();
    (body.current?.querySelector<HTMLElement>(FIELD) ?? body.current)?.focus();
  };
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
          aria-describedby={undefined}
          onOpenAutoFocus={greet}
          onCloseAutoFocus={giveBack}
          className="fixed top-1/2 left-1/2 z-50 flex max-h-[88vh] w-[min(56rem,94vw)] -translate-x-1/2 -translate-y-1/2 flex-col rounded-2xl border border-edge bg-raised p-6 phone:top-auto phone:bottom-0 phone:left-0 phone:max-h-[94vh] phone:w-full phone:translate-x-0 phone:translate-y-0 phone:rounded-b-none phone:px-4 phone:py-3"
        >
          <div className="flex shrink-0 items-center justify-between">
            <Dialog.Title className="font-numeral text-head font-bold">{title}</Dialog.Title>
            <Hint text={UI_WORDS.close} keys="Esc">
              <Dialog.Close aria-label={UI_WORDS.close} className="grid size-11 place-items-center rounded-lg hover:bg-wash">
                <CloseIcon size={22} />
              </Dialog.Close>
            </Hint>
          </div>
          {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a long sheet must be scrolled by keyboard */}
          <div ref={body} className="fading-edges min-h-0 overflow-auto py-3" tabIndex={0} role="group" aria-label={title}>
            {children}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
