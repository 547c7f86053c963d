import { type ComponentType, cloneElement, type ReactElement, Suspense, useState } from 'react';

interface Trigger {
  readonly onClick?: () => void;
  readonly 'aria-haspopup'?: 'menu' | 'dialog';
  readonly 'aria-expanded'?: boolean;
}

interface LaterMenuProps<More extends object> {
  /** The button that opens it. */
  readonly trigger: ReactElement<Trigger>;
  /** The menu with its trigger, open; fetched when it is first asked for. */
  readonly menu: ComponentType<More & { readonly trigger: ReactElement }>;
  readonly more: More;
  /** What opens: a menu, or a small dialog. */
  readonly opens?: 'menu' | 'dialog';
}

/** A menu that is not needed to open the page: until somebody asks for it only its button is there. */
export function LaterMenu<More extends object>({ trigger, menu: Menu, more, opens = 'menu' }: LaterMenuProps<More>) {
  const [asked, setAsked] = useState(false);
  const alone = cloneElement(trigger, { onClick: () => setAsked(true), 'aria-haspopup': opens, 'aria-expanded': asked });
  if (!asked) return alone;
  return (
    <Suspense fallback={alone}>
      <Menu {...more} trigger={trigger} />
    </Suspense>
  );
}
