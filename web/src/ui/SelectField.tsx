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
    <label className="flex flex-col gap-1 text-sm font-semibold text-quiet">
      {label}
      <select
        value={value}
        onChange={(event) => onChange(event.target.value as Value)}
        className={`min-h-11 rounded-lg border border-edge bg-raised px-2 text-[16px] font-medium text-ink ${className}`}
      >
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
