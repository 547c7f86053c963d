import type { ReactNode } from 'react';
import { openSheet } from '../../session/sheet-store.ts';

/** A label that leads to its place in the glossary. */
export function Word({ term, children }: { readonly term: string; readonly children: ReactNode }) {
  return (
    <button
      type="button"
      onClick={() => openSheet({ kind: 'glossary', wanted: term })}
      className="-my-3 py-3 underline decoration-dotted underline-offset-4 hover:text-accent"
    >
      {children}
    </button>
  );
}
