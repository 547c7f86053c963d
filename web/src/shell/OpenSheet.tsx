import type { Naming } from '@aurora/core';
import { lazy, Suspense } from 'react';
import { useLens } from '../session/lens.ts';
import { keyInForce } from '../session/lens-store.ts';
import { openSheet, useSheet } from '../session/sheet-store.ts';

const ShortcutSheet = lazy(async () => ({ default: (await import('./ShortcutSheet.tsx')).ShortcutSheet }));
const NamesSheet = lazy(async () => ({ default: (await import('./NamesSheet.tsx')).NamesSheet }));
const GlossarySheet = lazy(async () => ({ default: (await import('./GlossarySheet.tsx')).GlossarySheet }));

/** The sheet that lies over the room, if one does. */
export function OpenSheet({ onNaming }: { readonly onNaming: (naming: Naming) => void }) {
  const { sheet } = useSheet();
  const lens = useLens();
  if (sheet === null) return null;
  const lying = { open: true, onOpenChange: () => openSheet(null) };
  return (
    <Suspense>
      {sheet.kind === 'keys' && <ShortcutSheet {...lying} />}
      {sheet.kind === 'names' && <NamesSheet {...lying} naming={lens.naming} onChange={onNaming} />}
      {sheet.kind === 'glossary' && <GlossarySheet {...lying} wanted={sheet.wanted} tonic={keyInForce(lens).tonic} naming={lens.naming} />}
    </Suspense>
  );
}
