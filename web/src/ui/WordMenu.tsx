import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from './Button.tsx';
import { type Icon, ListIcon } from './icons.ts';
import { MenuItem } from './MenuItem.tsx';

/** A word that opens what belongs to it. */
export function WordMenu({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button look="bare" className="px-2.5!">
          {label} <ListIcon size={16} aria-hidden="true" />
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          collisionPadding={8}
          className="z-30 max-h-(--radix-dropdown-menu-content-available-height) min-w-52 overflow-auto rounded-xl border border-edge bg-raised p-1.5 shadow-lg"
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
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
