import { lazy, Suspense } from 'react';
import { useLens } from '../session/lens.ts';
import { keyInForce } from '../session/lens-store.ts';
import { openSheet, useSheet } from '../session/sheet-store.ts';

export const loadCommandMenu = () => import('./CommandMenu.tsx');
const CommandMenu = lazy(async () => ({ default: (await loadCommandMenu()).CommandMenu }));
const ShortcutSheet = lazy(async () => ({ default: (await import('./ShortcutSheet.tsx')).ShortcutSheet }));
const GlossarySheet = lazy(async () => ({ default: (await import('./GlossarySheet.tsx')).GlossarySheet }));

/** The sheet that lies over the room, if one does. */
export function OpenSheet({ songId }: { readonly songId: string | undefined }) {
  const { sheet } = useSheet();
  const lens = useLens();
  if (sheet === null) return null;
  const lying = { open: true, onOpenChange: () => openSheet(null) };
  return (
    <Suspense>
      {sheet.kind === 'commands' && <CommandMenu {...lying} songId={songId} />}
      {sheet.kind === 'keys' && <ShortcutSheet {...lying} />}
      {sheet.kind === 'glossary' && <GlossarySheet {...lying} wanted={sheet.wanted} tonic={keyInForce(lens).tonic} naming={lens.naming} />}
    </Suspense>
  );
}
