import { Tabs } from 'radix-ui';
import { type ReactNode, useEffect, useState } from 'react';
import { UI_WORDS } from '../wording/ui.ts';
import { Button } from './Button.tsx';
import { Hint, KeyCap } from './Hint.tsx';
import { FoldIcon } from './icons.ts';
import { TAB_LOOK } from './tab-look.ts';

interface PartTabsProps<Name extends string> {
  readonly label: string;
  readonly parts: readonly (readonly [name: Name, label: string])[];
  /** The open part; null when they are folded to their names. */
  readonly open: Name | null;
  readonly onOpen: (name: Name) => void;
  /** Folds the parts away, where they may be. */
  readonly onFold?: () => void;
  /** Whether the parts take the height that is left, and a long one scrolls in it. */
  readonly fills?: boolean;
  /** The open part. */
  readonly children: ReactNode;
}

/** Parts of a room, one open at a time; while Alt is held, the digit that opens each stands over its name. */
export function PartTabs<Name extends string>({ label, parts, open, onOpen, onFold, fills = false, children }: PartTabsProps<Name>) {
  const capped = useAltHeld();
  return (
    <Tabs.Root
      value={open ?? ''}
      onValueChange={(name) => onOpen(name as Name)}
      className={`relative flex min-h-0 flex-col ${fills ? 'flex-1' : ''}`}
    >
      <Tabs.List
        aria-label={label}
        className={`flex shrink-0 gap-x-1 overflow-x-auto ${onFold === undefined ? '' : 'pr-11'} ${open === null ? '' : 'border-b border-edge'}`}
      >
        {parts.map(([name, text], place) => (
          <Tabs.Trigger key={name} value={name} className={TAB_LOOK}>
            {text}
            {capped && (
              <span aria-hidden="true" className="absolute -top-1 right-0">
                <KeyCap keys={String(place + 1)} />
              </span>
            )}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {onFold !== undefined && open !== null && (
        <Hint text={UI_WORDS.foldAway}>
          <Button look="bare" aria-label={UI_WORDS.foldAway} className="absolute top-0 right-0" onClick={onFold}>
            <FoldIcon size={19} />
          </Button>
        </Hint>
      )}
      {open !== null && (
        <Tabs.Content key={open} value={open} className={`py-3 ${onFold === undefined && !fills ? '' : 'min-h-0 overflow-auto'}`}>
          {children}
        </Tabs.Content>
      )}
    </Tabs.Root>
  );
}

/** Whether Alt is held down just now. */
function useAltHeld(): boolean {
  const [held, setHeld] = useState(false);
  useEffect(() => {
    const listen = (event: KeyboardEvent) => setHeld(event.type === 'keydown' && event.key === 'Alt' ? true : event.altKey);
    const leave = () => setHeld(false);
    window.addEventListener('keydown', listen);
    window.addEventListener('keyup', listen);
    window.addEventListener('blur', leave);
    return () => {
      window.removeEventListener('keydown', listen);
      window.removeEventListener('keyup', listen);
      window.removeEventListener('blur', leave);
    };
  }, []);
  return held;
}
