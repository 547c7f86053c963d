import { openSheet } from '../session/sheet-store.ts';
import { SHORTCUTS } from '../session/shortcuts.ts';
import { Button } from '../ui/Button.tsx';
import { KeyCap } from '../ui/Hint.tsx';
import { GlossaryIcon } from '../ui/icons.ts';
import { Sheet } from '../ui/Sheet.tsx';
import { HELP_WORDS } from '../wording/help.ts';
import { HOUSE_WORDS } from '../wording/house.ts';

const PLACES = [
  HELP_WORDS.everywhere,
  HOUSE_WORDS.harmonize,
  HOUSE_WORDS.analyze,
  HOUSE_WORDS.chart,
  HOUSE_WORDS.neck,
  HOUSE_WORDS.band,
  HOUSE_WORDS.practice,
  HELP_WORDS.stand,
] as const;

/** Every key and what it does. */
export function ShortcutSheet({ open, onOpenChange }: { readonly open: boolean; readonly onOpenChange: (open: boolean) => void }) {
  return (
    <Sheet title={HELP_WORDS.shortcuts} open={open} onOpenChange={onOpenChange}>
      <Button className="mb-4" onClick={() => openSheet({ kind: 'glossary', wanted: '' })}>
        <GlossaryIcon size={18} aria-hidden="true" /> {HELP_WORDS.glossary}
      </Button>
      <div className="grid gap-8 md:grid-cols-2">
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
    </Sheet>
  );
}
