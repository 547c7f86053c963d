import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';

interface MenuItemProps {
  readonly onPress: () => void;
  readonly children: ReactNode;
}

/** One thing a menu offers, high enough for a finger. */
export function MenuItem({ onPress, children }: MenuItemProps) {
  return (
    <DropdownMenu.Item
      onSelect={onPress}
      className="flex min-h-11 cursor-pointer items-center gap-3 rounded-lg px-3 text-base data-highlighted:bg-wash data-highlighted:outline-none"
    >
      {children}
    </DropdownMenu.Item>
  );
}
