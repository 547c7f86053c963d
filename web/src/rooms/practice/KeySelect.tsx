import { type Key, makeKey, nameNote, printScale, SCALE_NAMES, type ScaleName } from '@aurora/core';
import { useNaming } from '../../session/lens.ts';
import { SelectField } from '../../ui/SelectField.tsx';
import { PRACTICE_WORDS } from '../../wording/practice.ts';

/** Tonics in use, from C up. */
const TONICS = [0, 7, -5, 2, -3, 4, -1, 6, -6, 1, 8, -4, 3, -2, 5];

/** A key by its tonic and its scale; of a scale only the tonics it can be written from. */
export function KeySelect({ value, onChange }: { readonly value: Key; readonly onChange: (key: Key) => void }) {
  const { notes } = useNaming();
  const tonics = TONICS.filter((tonic) => makeKey(tonic, value.scale).ok).map((tonic) => [String(tonic), nameNote(tonic, notes)] as const);
  const scales = SCALE_NAMES.map((scale) => [scale, printScale(scale, 'glyph')] as const);
  const change = (next: Key) => onChange(makeKey(next.tonic, next.scale).ok ? next : { ...next, tonic: 0 });
  return (
    <div className="flex gap-2">
      <SelectField
        label={PRACTICE_WORDS.tonic}
        value={String(value.tonic)}
        options={tonics}
        onChange={(tonic) => change({ ...value, tonic: Number(tonic) })}
      />
      <SelectField
        label={PRACTICE_WORDS.scale}
        value={value.scale}
        options={scales}
        onChange={(scale: ScaleName) => change({ ...value, scale })}
      />
    </div>
  );
}
