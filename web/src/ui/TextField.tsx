import { useTyped } from './use-typed.ts';

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly placeholder?: string;
  /** The most letters it takes. */
  readonly most: number;
  readonly onChange: (value: string) => void;
  readonly className?: string;
}

/** A line of words; taken when it is left or with Enter. */
export function TextField({ label, value, placeholder = '', most, onChange, className = '' }: TextFieldProps) {
  const { text, setText, take } = useTyped(value, onChange);
  return (
    <label className={`flex flex-col gap-1 text-fine font-semibold text-quiet ${className}`}>
      {label}
      <input
        value={text}
        maxLength={most}
        placeholder={placeholder}
        onChange={(event) => setText(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
        className="min-h-11 w-full rounded-lg border border-edge bg-raised px-3 text-base font-medium text-ink placeholder:text-quiet"
      />
    </label>
  );
}
