import type { ChordShow } from '@aurora/core';
import { Select } from '../../ui/Select.tsx';
import { PARTS_WORDS } from '../../wording/parts.ts';

/** What a chart shows of each chord, in words. */
export const SHOWS: readonly (readonly [ChordShow, string])[] = [
  ['both', 'Numbers + letters'],
  ['numbers', PARTS_WORDS.numbers],
  ['letters', PARTS_WORDS.letters],
  ['roman', PARTS_WORDS.roman],
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
      <span className="sr-only">{PARTS_WORDS.whatTheChartShows}</span>
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
