import type { Key } from '@aurora/core';
import { Popover } from 'radix-ui';
import type { ReactElement } from 'react';
import { HELP_WORDS } from '../wording/help.ts';
import { KeyChoice } from './KeyChoice.tsx';

interface KeyMenuProps {
  readonly trigger: ReactElement;
  readonly current: Key;
  readonly scaleIsFree: boolean;
}

/** Every key there is, under the field that shows the one in force; open from the start. */
export function KeyMenu({ trigger, current, scaleIsFree }: KeyMenuProps) {
  return (
    <Popover.Root defaultOpen>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={8}
          collisionPadding={8}
          aria-label={HELP_WORDS.chooseAKey}
          className="z-50 max-h-(--radix-popover-content-available-height) w-[min(21rem,96vw)] overflow-auto rounded-2xl border border-edge bg-raised p-4"
        >
          <KeyChoice current={current} scaleIsFree={scaleIsFree} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
