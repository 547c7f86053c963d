import { ToggleGroup } from 'radix-ui';

interface ChoiceProps<Value extends string> {
  readonly label: string;
  /** Null while nothing is chosen. */
  readonly value: Value | null;
  readonly options: readonly (readonly [value: Value, label: string])[];
  readonly onChange: (value: Value) => void;
}

/** One of a few, side by side. */
export function Choice<Value extends string>({ label, value, options, onChange }: ChoiceProps<Value>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value ?? ''}
      onValueChange={(chosen) => chosen !== '' && onChange(chosen as Value)}
      className="inline-flex max-w-full flex-wrap rounded-lg border border-edge bg-raised p-0.5"
    >
      {options.map(([option, text]) => (
        <ToggleGroup.Item
          key={option}
          value={option}
          className="min-h-10 rounded-md px-3 text-base font-semibold text-quiet data-[state=on]:bg-wash data-[state=on]:text-ink data-[state=on]:shadow-[inset_0_-3px_0_var(--accent)]"
        >
          {text}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
