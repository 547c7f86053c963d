import type { ButtonHTMLAttributes } from 'react';

const LOOKS = {
  plain:
    'border-edge bg-raised text-ink hover:border-accent aria-[current=true]:bg-wash aria-[current=true]:shadow-[inset_0_-3px_0_var(--accent)]',
  strong: 'border-accent bg-accent text-on-accent hover:brightness-110',
  bare: 'border-transparent bg-transparent text-ink hover:bg-wash',
} as const;

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: keyof typeof LOOKS;
}

/** How a button looks, for a link that leads on like one. */
export function buttonLook(look: keyof typeof LOOKS): string {
  return `inline-flex min-h-11 items-center justify-center gap-2 rounded-lg border px-3.5 text-base font-semibold transition-colors ${LOOKS[look]}`;
}

/** A button big enough for a finger. */
export function Button({ look = 'plain', className = '', ...rest }: ButtonProps) {
  return <button type="button" className={`${buttonLook(look)} disabled:cursor-default disabled:opacity-45 ${className}`} {...rest} />;
}
