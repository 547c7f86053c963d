import type { ButtonHTMLAttributes } from 'react';

interface ChipProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** Whether it is chosen. */
  readonly on: boolean;
}

/** One of several that narrow what is shown; pressed again it lets go. */
export function Chip({ on, className = '', ...rest }: ChipProps) {
  return (
    <button
      type="button"
      aria-pressed={on}
      className={`min-h-11 rounded-full border border-edge bg-raised px-3.5 text-base font-semibold whitespace-nowrap text-ink hover:border-accent aria-pressed:bg-wash aria-pressed:shadow-[inset_0_-3px_0_var(--accent)] ${className}`}
      {...rest}
    />
  );
}
