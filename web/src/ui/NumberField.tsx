import { useEffect, useId, useState } from 'react';

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
  const [text, setText] = useState(value === null ? '' : String(value));
  const faultId = useId();
  useEffect(() => setText(value === null ? '' : String(value)), [value]);
  const typed = text.trim() === '' ? null : Number(text);
  const wrong = typed !== null && !(Number.isFinite(typed) && typed >= min && typed <= max);
  const take = () => !wrong && typed !== value && onChange(typed);
  return (
    <label className="flex flex-col gap-1 text-sm font-semibold text-quiet">
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
        className="min-h-11 w-full rounded-lg border border-edge bg-raised px-3 text-[16px] font-medium text-ink placeholder:text-quiet aria-invalid:border-alarm"
      />
      {wrong && (
        <span id={faultId} role="alert" className="text-sm text-alarm">
          {min} to {max}
        </span>
      )}
    </label>
  );
}
