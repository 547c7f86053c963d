import type { ButtonHTMLAttributes } from 'react';
import { Button } from './Button.tsx';
import { Hint } from './Hint.tsx';

interface SignButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** What it does, for those who point at it and for those who hear it. */
  readonly name: string;
  readonly keys?: string;
}

/** A button that is a sign alone, its name a tooltip. */
export function SignButton({ name, keys, className = '', ...rest }: SignButtonProps) {
  return (
    <Hint text={name} {...(keys === undefined ? {} : { keys })}>
      <Button look="bare" aria-label={name} className={`px-2.5! ${className}`} {...rest} />
    </Hint>
  );
}
