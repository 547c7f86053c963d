import type { ReactNode } from 'react';

interface NamedProps {
  readonly name: string;
  /** How the picture is laid out within the button. */
  readonly className: string;
  readonly children: ReactNode;
}

/** What is inside a button, and what the button is called where its picture says it in other signs: read aloud in place of the picture. */
export function Named({ name, className, children }: NamedProps) {
  return (
    <>
      <span className="sr-only">{name}</span>
      <span aria-hidden="true" className={className}>
        {children}
      </span>
    </>
  );
}
