import { DropdownMenu } from 'radix-ui';
import { type FocusEvent, type ReactElement, type ReactNode, useRef } from 'react';

interface OpenedMenuProps {
  /** The button that opens it again. */
  readonly trigger: ReactElement;
  readonly className: string;
  /** Its items. */
  readonly children: ReactNode;
}

/** A menu that is open when it arrives, the keyboard on the item that is chosen, or on the first. */
export function OpenedMenu({ trigger, className, children }: OpenedMenuProps) {
  const greeted = useRef(false);
  const greet = ({ target, currentTarget }: FocusEvent<HTMLElement>) => {
    if (greeted.current || target !== currentTarget) return;
    greeted.current = true;
    const item =
      currentTarget.querySelector<HTMLElement>('[aria-checked="true"]') ?? currentTarget.querySelector<HTMLElement>('[role^="menuitem"]');
    item?.focus();
  };
  return (
    <DropdownMenu.Root modal={false} defaultOpen>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content sideOffset={8} align="end" onFocus={greet} className={className}>
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
