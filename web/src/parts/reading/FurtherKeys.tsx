import { isSpellable, type Key, printScale, type ScaleName, simplestKey } from '@aurora/core';
import { COMMON_SCALES, FURTHER_SCALES } from '../../session/key-view.ts';
import { Select } from '../../ui/Select.tsx';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { KeyInput } from './KeyInput.tsx';

interface FurtherKeysProps {
  readonly current: Key;
  /** Whether the scale may be chosen too, or only the tonic. */
  readonly scaleIsFree: boolean;
  readonly onChoose: (key: Key) => void;
}

/** Keys beyond the twelve tonics: typed, or in another scale. */
export function FurtherKeys({ current, scaleIsFree, onChoose }: FurtherKeysProps) {
  return (
    <>
      <div className="mt-3">
        <KeyInput label={PARTS_WORDS.typeAKey} onKey={(typed) => onChoose(scaleIsFree ? typed : { ...current, tonic: typed.tonic })} />
      </div>
      {scaleIsFree && <ScaleChoice current={current} onChoose={onChoose} />}
    </>
  );
}

function ScaleChoice({ current, onChoose }: { readonly current: Key; readonly onChoose: (key: Key) => void }) {
  const choose = (scale: ScaleName) => onChoose(withScale(current, scale));
  return (
    <label className="mt-4 flex items-center justify-between gap-3 text-base font-semibold">
      {PARTS_WORDS.scale}
      <Select
        aria-label={PARTS_WORDS.scale}
        value={current.scale}
        onChange={(event) => choose(event.target.value as ScaleName)}
        className="flex-1"
      >
        <optgroup label={PARTS_WORDS.mostSongs}>
          {COMMON_SCALES.map((scale) => (
            <option key={scale} value={scale}>
              {printScale(scale, 'glyph')}
            </option>
          ))}
        </optgroup>
        <optgroup label={PARTS_WORDS.modesAndColours}>
          {FURTHER_SCALES.map((scale) => (
            <option key={scale} value={scale}>
              {printScale(scale, 'glyph')}
            </option>
          ))}
        </optgroup>
      </Select>
    </label>
  );
}

/** The same tonic with another scale, under its easier name where the old one cannot be spelled. */
function withScale(key: Key, scale: ScaleName): Key {
  const wanted = { ...key, scale };
  return isSpellable(wanted) ? wanted : simplestKey(wanted, key);
}
