import type { ReactNode } from 'react';

/** A group of the page of oneself. */
export function Group({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section aria-label={title} className="flex flex-col gap-3 rounded-xl border border-hairline bg-sheet px-4 py-3">
      <h2 className="text-lead font-bold">{title}</h2>
      {children}
    </section>
  );
}
