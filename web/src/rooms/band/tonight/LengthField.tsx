import { parseLength, printLength } from '@aurora/core';
import { useState } from 'react';
import { TextField } from '../../../ui/TextField.tsx';
import { BAND_WORDS } from '../../../wording/band.ts';

/** A length as minutes and seconds; empty for as long as the chart says. */
export function LengthField({
  value,
  usual,
  onChange,
}: {
  readonly value: number | null;
  readonly usual: number;
  readonly onChange: (seconds: number | null) => void;
}) {
  const shown = value === null ? '' : printLength(value);
  const [fault, setFault] = useState(false);
  const take = (text: string) => {
    if (text === shown) return setFault(false);
    const next = text.trim() === '' ? null : parseLength(text);
    setFault(next === undefined);
    if (next !== undefined) onChange(next);
  };
  return (
    <div>
      <TextField
        key={shown}
        label={BAND_WORDS.length}
        value={shown}
        most={6}
        placeholder={usual === 0 ? '3:30' : printLength(usual)}
        onChange={take}
      />
      {fault && (
        <p role="alert" className="text-fine font-semibold text-alarm">
          {BAND_WORDS.lengthExample}
        </p>
      )}
    </div>
  );
}
