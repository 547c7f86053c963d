import { faultWords, type Key, parseKey } from '@aurora/core';
import { type FormEvent, useId, useState } from 'react';

interface KeyInputProps {
  readonly label: string;
  readonly onKey: (key: Key) => void;
}

/** Any key there is, typed: `C#`, `Ebm`, `F# dorian`. What is no key is answered in place. */
export function KeyInput({ label, onKey }: KeyInputProps) {
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const faultId = useId();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const key = parseKey(text);
    setFault(key.ok ? null : faultWords(key.fault));
    if (!key.ok) return;
    onKey(key.value);
    setText('');
  };
  return (
    <form onSubmit={submit} className="min-w-44">
      <input
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setFault(null);
        }}
        aria-label={label}
        aria-invalid={fault !== null}
        aria-describedby={fault === null ? undefined : faultId}
        placeholder="C#, Ebm, F# dorian …"
        className="min-h-11 w-full rounded-lg border border-edge bg-raised px-3 placeholder:text-quiet aria-invalid:border-alarm"
      />
      {fault !== null && (
        <p id={faultId} role="alert" className="mt-1 text-sm font-semibold text-alarm">
          {fault}
        </p>
      )}
    </form>
  );
}
