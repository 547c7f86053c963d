import { type BandPart, GROOVE_NAMES, type GrooveName, hasDrums } from '@aurora/core';
import { Select } from '../../ui/Select.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { CHART_WORDS } from '../../wording/chart.ts';
import { GroovePicture } from './GroovePicture.tsx';
import type { BandPlay } from './use-song-play.ts';

const PARTS: readonly BandPart[] = ['guitar', 'bass', 'drums'];

/** The groove a song is heard in, drawn, and who plays. */
export function BandChoice({ band, tempo }: { readonly band: BandPlay; readonly tempo: number }) {
  const { groove, written, parts, meter } = band;
  return (
    <div className="my-3 border-y border-edge py-3">
      <label className="flex items-center gap-2 text-base">
        {CHART_WORDS.groove}
        <Select
          value={groove === written ? '' : groove}
          onChange={({ target }) => band.setGroove(target.value === '' ? null : (target.value as GrooveName))}
          className="flex-1"
        >
          <option value="">{CHART_WORDS.grooveOfTheChart(CHART_WORDS.grooveNames[written])}</option>
          {GROOVE_NAMES.filter((name) => name !== written).map((name) => (
            <option key={name} value={name}>
              {CHART_WORDS.grooveNames[name]}
            </option>
          ))}
        </Select>
      </label>
      {hasDrums(groove) && <GroovePicture groove={groove} meter={meter} tempo={tempo} parts={parts} />}
      <div role="group" aria-label={CHART_WORDS.whoPlays} className="flex flex-wrap gap-x-4">
        {PARTS.filter((part) => part !== 'drums' || hasDrums(groove)).map((part) => (
          <Tick key={part} label={CHART_WORDS.bandParts[part]} on={parts[part]} onTick={(isOn) => band.setPart(part, isOn)} />
        ))}
      </div>
    </div>
  );
}
