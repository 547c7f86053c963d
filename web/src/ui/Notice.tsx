import type { ReactNode } from 'react';

/** What an empty or failed place says: what it is, and the first step out of it. */
export function Notice({ title, children, action }: { readonly title: string; readonly children: ReactNode; readonly action?: ReactNode }) {
  return (
    <section className="mx-auto mt-[12vh] flex max-w-lg flex-col items-start gap-4 px-6">
      <h2 className="font-numeral text-figure font-bold">{title}</h2>
      <div className="text-lead leading-relaxed text-quiet">{children}</div>
      {action}
    </section>
  );
}
