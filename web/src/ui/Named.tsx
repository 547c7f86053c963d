import type { ReactNode } from 'react';

/** What is inside a button, and what the button is called where its picture says it in other signs: read aloud in place of the picture. */
export function Named({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <>
      <span className="sr-only">{name}</span>
      <span aria-hidden="true" className="contents">
        {children}
      </span>
    </>
  );
}
