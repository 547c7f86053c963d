import type { SelectHTMLAttributes } from 'react';

/** One of a few or of many: the browser's own list, so that it opens as lists do on every device, behind one look. */
export function Select({ className = '', ...rest }: SelectHTMLAttributes<HTMLSelectElement>) {
  return (
    <select
      className={`select-arrow min-h-11 min-w-0 cursor-pointer appearance-none truncate rounded-lg border border-edge bg-raised pr-8 pl-3 text-base font-semibold text-ink hover:border-accent ${className}`}
      {...rest}
    />
  );
}
