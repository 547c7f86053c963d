import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from './Button.tsx';
import { type Icon, ListIcon } from './icons.ts';
import { MenuItem } from './MenuItem.tsx';

interface ButtonMenuProps {
  readonly trigger: ReactNode;
  readonly className?: string;
  /** Before the keyboard goes back to the button. */
  readonly onCloseAutoFocus?: (event: Event) => void;
  readonly children: ReactNode;
}

/** A button that opens what belongs to it. */
export function ButtonMenu({ trigger, className = 'min-w-52', children, ...rest }: ButtonMenuProps) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          collisionPadding={8}
          className={`z-30 max-h-(--radix-dropdown-menu-content-available-height) overflow-auto rounded-xl border border-edge bg-raised p-1.5 shadow-lg ${className}`}
          {...rest}
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

/** A word that opens what belongs to it. */
export function WordMenu({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  const trigger = (
    <Button look="bare" className="px-2.5!">
      {label} <ListIcon size={16} aria-hidden="true" />
    </Button>
  );
  return <ButtonMenu trigger={trigger}>{children}</ButtonMenu>;
}

interface SignItemProps {
  readonly icon: Icon;
  readonly label: string;
  readonly onPress: () => void;
}

/** One thing of a menu, its sign before its word. */
export function SignItem({ icon: Icon, label, onPress }: SignItemProps) {
  return (
    <MenuItem onPress={onPress}>
      <Icon size={18} aria-hidden="true" /> {label}
    </MenuItem>
  );
}
