import { faultWords, type Key, parseKey } from '@aurora/core';
import { type FormEvent, useState } from 'react';
import { AnsweringField } from '../../ui/AnsweringField.tsx';
import { PARTS_WORDS } from '../../wording/parts.ts';

interface KeyInputProps {
  readonly label: string;
  readonly onKey: (key: Key) => void;
}

/** Any key there is, typed: `C#`, `Ebm`, `F# dorian`. What is no key is answered in place. */
export function KeyInput({ label, onKey }: KeyInputProps) {
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
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
      <AnsweringField
        label={label}
        value={text}
        placeholder={PARTS_WORDS.cEbmFDorian}
        fault={fault}
        onChange={(value) => {
          setText(value);
          setFault(null);
        }}
      />
    </form>
  );
}
