import type { ReactNode } from 'react';

/** Something wider than a phone, in a frame that scrolls sideways, by keyboard too. */
export function Framed({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what is wider than the window must be scrolled by keyboard
    <section aria-label={label} tabIndex={0} className="overflow-x-auto rounded-xl border border-hairline bg-sheet px-3 py-2">
      {children}
    </section>
  );
}
