import type { ChordShow } from '@aurora/core';
import { Select } from '../../ui/Select.tsx';

/** What a chart shows of each chord, in words. */
export const SHOWS: readonly (readonly [ChordShow, string])[] = [
  ['both', 'Numbers + letters'],
  ['numbers', 'Numbers'],
  ['letters', 'Letters'],
  ['roman', 'Roman'],
];

interface ShowChoiceProps {
  readonly show: ChordShow;
  readonly shows: typeof SHOWS;
  readonly onShow: (show: ChordShow) => void;
}

/** Numbers, letters, both or Roman numerals. */
export function ShowChoice({ show, shows, onShow }: ShowChoiceProps) {
  return (
    <label className="flex items-center">
      <span className="sr-only">What the chart shows</span>
      <Select value={show} onChange={(event) => onShow(event.target.value as ChordShow)}>
        {shows.map(([value, label]) => (
          <option key={value} value={value}>
            {label}
          </option>
        ))}
      </Select>
    </label>
  );
}
