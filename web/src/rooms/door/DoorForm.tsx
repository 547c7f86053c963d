import type { FormEvent, InputHTMLAttributes, ReactNode } from 'react';
import { Button } from '../../ui/Button.tsx';
import { useSending } from './use-door.ts';

/** A labelled field of a door's form. */
export function DoorField({ label, onType, ...rest }: FieldProps) {
  return (
    <label className="flex flex-col gap-1 text-fine font-semibold text-quiet">
      {label}
      <input
        className="min-h-12 w-full rounded-lg border border-edge bg-raised px-3 text-lead font-medium text-ink"
        onChange={(event) => onType(event.target.value)}
        {...rest}
      />
    </label>
  );
}

interface FieldProps extends Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange'> {
  readonly label: string;
  readonly onType: (text: string) => void;
}

/** What went wrong with what was pressed. */
export function DoorFault({ text }: { readonly text: string | null }) {
  return (
    <p role="alert" className="text-base font-semibold text-alarm empty:hidden">
      {text}
    </p>
  );
}

interface FormProps {
  /** What the form is called, for who does not see where it stands. */
  readonly label: string;
  /** What its button says. */
  readonly send: string;
  readonly look?: 'plain' | 'strong';
  readonly onSend: () => Promise<unknown>;
  /** Its fields, with whatever stands before them. */
  readonly children: ReactNode;
  readonly className?: string;
}

/** A form in front of the house: it is sent once at a time, and says what went wrong. */
export function DoorForm({ label, send: sends, look = 'plain', onSend, children, className = '' }: FormProps) {
  const { fault, isSending, send } = useSending(onSend);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void send();
  };
  return (
    <form onSubmit={submit} aria-label={label} className={`flex flex-col gap-3 ${className}`}>
      {children}
      <DoorFault text={fault} />
      <Button type="submit" look={look} disabled={isSending} className="self-start">
        {sends}
      </Button>
    </form>
  );
}
