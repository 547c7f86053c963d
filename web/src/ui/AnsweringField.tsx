import { useId } from 'react';

interface AnsweringFieldProps {
  readonly label: string;
  readonly value: string;
  readonly placeholder: string;
  /** What is wrong with what was typed; null when nothing is. */
  readonly fault: string | null;
  readonly onChange: (value: string) => void;
}

/** A line to type in; what is wrong with it is said right under it. */
export function AnsweringField({ label, value, placeholder, fault, onChange }: AnsweringFieldProps) {
  const faultId = useId();
  return (
    <>
      <input
        value={value}
        onChange={(event) => onChange(event.target.value)}
        aria-label={label}
        aria-invalid={fault !== null}
        aria-describedby={fault === null ? undefined : faultId}
        placeholder={placeholder}
        className="min-h-11 w-full rounded-lg border border-edge bg-raised px-3 placeholder:text-quiet aria-invalid:border-alarm"
      />
      {fault !== null && (
        <p id={faultId} role="alert" className="mt-1 text-fine font-semibold text-alarm">
          {fault}
        </p>
      )}
    </>
  );
}
