import type { InputHTMLAttributes } from 'react';

/** A labelled field of a door's form. */
export function DoorField({ label, ...rest }: { readonly label: string } & InputHTMLAttributes<HTMLInputElement>) {
  return (
    <label className="flex flex-col gap-1 text-fine font-semibold text-quiet">
      {label}
      <input className="min-h-12 w-full rounded-lg border border-edge bg-raised px-3 text-lead font-medium text-ink" {...rest} />
    </label>
  );
}

/** What a form says of what went wrong. */
export function DoorFault({ text }: { readonly text: string | null }) {
  return (
    <p role="alert" className="text-base font-semibold text-alarm empty:hidden">
      {text}
    </p>
  );
}
