import { useId } from 'react';
import { UI_WORDS } from '../wording/ui.ts';
import { useTyped } from './use-typed.ts';

interface NumberFieldProps {
  readonly label: string;
  /** Null for nothing said. */
  readonly value: number | null;
  readonly min: number;
  readonly max: number;
  /** What stands there while nothing is said. */
  readonly placeholder: string;
  readonly onChange: (value: number | null) => void;
}

/** A number or nothing; taken when it is left or with Enter, and refused in place when it lies outside. */
export function NumberField({ label, value, min, max, placeholder, onChange }: NumberFieldProps) {
  const faultId = useId();
  const read = (text: string) => (text.trim() === '' ? null : Number(text));
  const isWrong = (typed: number | null) => typed !== null && !(Number.isFinite(typed) && typed >= min && typed <= max);
  const { text, setText, take } = useTyped(value === null ? '' : String(value), (taken) => {
    const typed = read(taken);
    if (!isWrong(typed) && typed !== value) onChange(typed);
  });
  const wrong = isWrong(read(text));
  return (
    <label className="flex flex-col gap-1 text-fine font-semibold text-quiet">
      {label}
      <input
        inputMode="numeric"
        value={text}
        placeholder={placeholder}
        aria-invalid={wrong}
        aria-describedby={wrong ? faultId : undefined}
        onChange={(event) => setText(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
        className="min-h-11 w-full rounded-lg border border-edge bg-raised px-3 text-base font-medium text-ink placeholder:text-quiet aria-invalid:border-alarm"
      />
      {wrong && (
        <span id={faultId} role="alert" className="text-fine text-alarm">
          {min} {UI_WORDS.to} {max}
        </span>
      )}
    </label>
  );
}
