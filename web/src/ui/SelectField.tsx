import { Select } from './Select.tsx';

interface SelectFieldProps<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly (readonly [value: Value, label: string])[];
  readonly onChange: (value: Value) => void;
  readonly className?: string;
}

/** One of a few, under its label. */
export function SelectField<Value extends string>({ label, value, options, onChange, className = '' }: SelectFieldProps<Value>) {
  return (
    <label className="flex flex-col gap-1 text-fine font-semibold text-quiet">
      {label}
      <Select value={value} onChange={(event) => onChange(event.target.value as Value)} className={className}>
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
    </label>
  );
}
