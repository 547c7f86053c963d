import type { ReactNode } from 'react';
import { usePreferences } from '../../api/preferences.ts';
import { InstrumentForm } from '../../parts/instrument/InstrumentForm.tsx';
import { SHOWS } from '../../parts/reading/ShowChoice.tsx';
import { RoadLine } from '../../parts/road/RoadLine.tsx';
import { useChartView } from '../../session/chart-view-store.ts';
import { setDevice, type Theme, useDevice } from '../../session/device-store.ts';
import { useReads } from '../../session/use-reads.ts';
import { useVersion } from '../../session/version.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField } from '../../ui/SelectField.tsx';
import { Slider } from '../../ui/Slider.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { SETTINGS_WORDS } from '../../wording/settings.ts';
import { NotationForm } from './NotationForm.tsx';

/** Everything that is set once: for the band how chords are written, for this device how it looks and sounds, for the player the instrument. */
export function SettingsRoom() {
  const { preferences, change } = usePreferences();
  return (
    <div className="mx-auto flex w-full max-w-5xl flex-col gap-4 px-5 py-4 phone:px-3">
      <Group title={SETTINGS_WORDS.notation} whose={SETTINGS_WORDS.forTheWholeBandEveryPlayer}>
        <NotationForm naming={preferences.naming} onChange={(part) => change(({ naming }) => ({ naming: { ...naming, ...part } }))} />
      </Group>
      <Group title={SETTINGS_WORDS.lookAndSound} whose={SETTINGS_WORDS.onThisDevice}>
        <LookAndSound />
      </Group>
      <Group title={SETTINGS_WORDS.charts} whose={SETTINGS_WORDS.onThisDeviceOrForThe}>
        <Charts />
      </Group>
      <Group title={SETTINGS_WORDS.withoutANetwork} whose={SETTINGS_WORDS.onThisDevice}>
        <OnTheRoad />
      </Group>
      <Group title={SETTINGS_WORDS.instrument} whose={SETTINGS_WORDS.keptWithThePlayer}>
        <InstrumentForm />
      </Group>
      <p className="text-fine text-quiet">
        <a className="inline-flex min-h-11 items-center underline underline-offset-4" href="/notices.txt">
          {SETTINGS_WORDS.licences}
        </a>
      </p>
    </div>
  );
}

function Group({ title, whose, children }: { readonly title: string; readonly whose: string; readonly children: ReactNode }) {
  return (
    <section aria-label={title} className="rounded-xl border border-hairline bg-sheet px-4 py-3">
      <div className="mb-3 flex flex-wrap items-baseline gap-x-3">
        <h2 className="text-lead font-bold">{title}</h2>
        <span className="text-fine text-quiet">{whose}</span>
      </div>
      {children}
    </section>
  );
}

/** What the device has of the band, and the application among the device's own. */
function OnTheRoad() {
  const { install, take } = useVersion();
  return (
    <div className="flex flex-col items-start gap-2">
      <p className="text-quiet">{SETTINGS_WORDS.whatIsKeptHere}</p>
      <RoadLine />
      {take !== null && (
        <p className="flex flex-wrap items-center gap-3">
          {SETTINGS_WORDS.newerIsReady} <Button onClick={take}>{SETTINGS_WORDS.openTheNewer}</Button>
        </p>
      )}
      {install !== null && <Button onClick={install}>{SETTINGS_WORDS.install}</Button>}
    </div>
  );
}

const THEMES: readonly (readonly [Theme | 'system', string])[] = [
  ['system', SETTINGS_WORDS.asTheSystem],
  ['paper', SETTINGS_WORDS.paper],
  ['night', SETTINGS_WORDS.night],
];

const STRUMS = [
  ['strum', SETTINGS_WORDS.strum],
  ['arpeggio', SETTINGS_WORDS.pick],
] as const;

const LABELS = [
  ['notes', SETTINGS_WORDS.notes],
  ['formula', SETTINGS_WORDS.formula],
  ['fingers', SETTINGS_WORDS.fingers],
] as const;

function LookAndSound() {
  const { theme, volume, strum, neckLabels } = useDevice();
  return (
    <div className="flex flex-wrap items-center gap-x-8 gap-y-3">
      <Row label={SETTINGS_WORDS.theme}>
        <Choice
          label={SETTINGS_WORDS.theme}
          value={theme ?? 'system'}
          options={THEMES}
          onChange={(next) => setDevice({ theme: next === 'system' ? null : next })}
        />
      </Row>
      <Row label={SETTINGS_WORDS.howChordsSound}>
        <Choice label={SETTINGS_WORDS.howChordsSound} value={strum} options={STRUMS} onChange={(next) => setDevice({ strum: next })} />
      </Row>
      <Row label={SETTINGS_WORDS.onTheNecksDots}>
        <Choice
          label={SETTINGS_WORDS.whatTheDotsShow}
          value={neckLabels}
          options={LABELS}
          onChange={(next) => setDevice({ neckLabels: next })}
        />
      </Row>
      <Row label={SETTINGS_WORDS.loudness}>
        <Slider
          label={SETTINGS_WORDS.loudness}
          value={volume}
          min={0}
          max={1}
          step={0.05}
          said={SETTINGS_WORDS.of100(Math.round(100 * volume))}
          onChange={(next) => setDevice({ volume: next })}
        />
      </Row>
      <p className="w-full text-fine text-quiet">{SETTINGS_WORDS.startLowAboveAllWithHeadphones}</p>
    </div>
  );
}

function Charts() {
  const { show, setShow } = useReads();
  const { ownChords, setOwnChords } = useChartView();
  return (
    <div className="flex flex-wrap items-end gap-x-8 gap-y-3">
      <SelectField label={SETTINGS_WORDS.whatChartsShow} value={show} options={SHOWS} onChange={setShow} />
      <Tick label={SETTINGS_WORDS.aDigitAloneWritesTheKeys} on={ownChords} onTick={setOwnChords} />
    </div>
  );
}

function Row({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <div className="flex flex-col gap-1">
      <span className="text-fine font-semibold text-quiet">{label}</span>
      {children}
    </div>
  );
}
