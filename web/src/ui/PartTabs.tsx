import { ChevronDown } from 'lucide-react';
import { Tabs } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from './Button.tsx';

interface PartTabsProps<Name extends string> {
  readonly label: string;
  readonly parts: readonly (readonly [name: Name, label: string])[];
  /** The open part; null when they are folded to their names. */
  readonly open: Name | null;
  readonly onOpen: (name: Name) => void;
  /** Folds the parts away, where they may be. */
  readonly onFold?: () => void;
  /** The open part. */
  readonly children: ReactNode;
}

/** Parts of a room, one open at a time; the digit that opens each stands beside its name. */
export function PartTabs<Name extends string>({ label, parts, open, onOpen, onFold, children }: PartTabsProps<Name>) {
  return (
    <Tabs.Root value={open ?? ''} onValueChange={(name) => onOpen(name as Name)} className="relative flex min-h-0 flex-col">
      <Tabs.List aria-label={label} className={`flex flex-wrap gap-x-1 ${open === null ? '' : 'border-b border-edge'}`}>
        {parts.map(([name, text], place) => (
          <Tabs.Trigger
            key={name}
            value={name}
            className="min-h-11 border-b-[3px] border-transparent px-2.5 text-base max-sm:px-2 font-semibold text-quiet hover:text-ink data-[state=active]:border-accent data-[state=active]:text-ink"
          >
            {text}
            <span aria-hidden="true" className="ml-1 align-super text-fine text-quiet max-sm:hidden">
              {place + 1}
            </span>
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {onFold !== undefined && open !== null && (
        <Button look="bare" aria-label="Fold away" className="absolute top-0 right-0" onClick={onFold}>
          <ChevronDown size={19} />
        </Button>
      )}
      {open !== null && (
        <Tabs.Content key={open} value={open} className={`py-3 ${onFold === undefined ? '' : 'min-h-0 overflow-auto'}`}>
          {children}
        </Tabs.Content>
      )}
    </Tabs.Root>
  );
}
