import { difficultyWord, type Family, type Instrument, type PathLimits } from '@aurora/core';
import { Choice } from '../../ui/Choice.tsx';
import { Select } from '../../ui/Select.tsx';
import { Slider } from '../../ui/Slider.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { NECK_WORDS } from '../../wording/neck.ts';

interface PathLimitsFormProps {
  readonly limits: PathLimits;
  readonly instrument: Instrument;
  readonly onChange: (limits: PathLimits) => void;
}

/** What a path is looked for under at first: the chords of the campfire. */
export const FIRST_LIMITS: PathLimits = {
  families: ['open', 'barre-6', 'barre-5'],
  lowestFret: 0,
  highestFret: 10,
  mostDifficult: 7,
  top: 'smooth',
  holdCommon: true,
  rootLowest: true,
  rootless: false,
};

/** Groups of families a player would name in one breath. */
const GROUPS: readonly (readonly [label: string, families: readonly Family[] | null])[] = [
  [NECK_WORDS.openAndBarre, ['open', 'barre-6', 'barre-5']],
  [NECK_WORDS.triads, ['triad']],
  [NECK_WORDS.spreadTriads, ['spread']],
  [NECK_WORDS.shells, ['shell', 'triad']],
  ['Drop-2', ['drop-2', 'triad']],
  [NECK_WORDS.drop2AndDrop3, ['drop-2', 'drop-3', 'shell', 'triad']],
  [NECK_WORDS.everything, null],
];

const TOPS = [
  ['free', 'free'],
  ['smooth', 'smooth'],
  ['kept', 'kept'],
] as const;

/** What a player asks of the path. */
export function PathLimitsForm({ limits, instrument, onChange }: PathLimitsFormProps) {
  const change = (part: Partial<PathLimits>) => onChange({ ...limits, ...part });
  const group = GROUPS.findIndex(([, families]) => JSON.stringify(families) === JSON.stringify(limits.families));
  return (
    <fieldset className="flex flex-wrap items-center gap-x-5 gap-y-2">
      <legend className="sr-only">{NECK_WORDS.limitsOfThePath}</legend>
      <label className={ROW}>
        {NECK_WORDS.shapes}
        <Select value={group} onChange={(event) => change({ families: GROUPS[Number(event.target.value)]?.[1] ?? null })}>
          {GROUPS.map(([label], index) => (
            <option key={label} value={index}>
              {label}
            </option>
          ))}
        </Select>
      </label>
      <FretRange limits={limits} frets={instrument.frets} onChange={change} />
      <span className={ROW}>
        {NECK_WORDS.hardest}
        <Slider
          label={NECK_WORDS.hardest}
          min={2}
          max={10}
          step={0.5}
          value={limits.mostDifficult}
          said={NECK_WORDS.of10(difficultyWord(limits.mostDifficult), limits.mostDifficult)}
          onChange={(mostDifficult) => change({ mostDifficult })}
          className="w-24"
        />
        <span className="w-16 font-semibold">{difficultyWord(limits.mostDifficult)}</span>
      </span>
      <span className={ROW}>
        {NECK_WORDS.topNote}
        <Choice label={NECK_WORDS.topNote} value={limits.top} options={TOPS} onChange={(top) => change({ top })} />
      </span>
      <Tick label={NECK_WORDS.holdSharedNotes} on={limits.holdCommon} onTick={(holdCommon) => change({ holdCommon })} />
      <Tick
        label={NECK_WORDS.rootLowest}
        on={limits.rootLowest}
        onTick={(rootLowest) => change({ rootLowest, rootless: !rootLowest && limits.rootless })}
      />
      <Tick
        label={NECK_WORDS.bassPlaysTheRoot}
        on={limits.rootless}
        onTick={(rootless) => change({ rootless, rootLowest: !rootless && limits.rootLowest })}
      />
    </fieldset>
  );
}

const ROW = 'flex min-h-11 items-center gap-2';
const FIELD = 'min-h-11 rounded-lg border border-edge bg-raised px-2 font-semibold';

interface FretRangeProps {
  readonly limits: PathLimits;
  readonly frets: number;
  readonly onChange: (part: Partial<PathLimits>) => void;
}

/** Between which frets the hand stays. */
function FretRange({ limits, frets, onChange }: FretRangeProps) {
  const fret = (value: string) => Math.min(frets, Math.max(0, Number(value)));
  return (
    <label className={ROW}>
      {NECK_WORDS.frets}
      <input
        type="number"
        aria-label={NECK_WORDS.lowestFret}
        min={0}
        max={limits.highestFret}
        value={limits.lowestFret}
        onChange={(event) => onChange({ lowestFret: Math.min(fret(event.target.value), limits.highestFret) })}
        className={`${FIELD} w-[4.2rem]`}
      />
      {NECK_WORDS.to}
      <input
        type="number"
        aria-label={NECK_WORDS.highestFret}
        min={limits.lowestFret}
        max={frets}
        value={limits.highestFret}
        onChange={(event) => onChange({ highestFret: Math.max(fret(event.target.value), limits.lowestFret) })}
        className={`${FIELD} w-[4.2rem]`}
      />
    </label>
  );
}
