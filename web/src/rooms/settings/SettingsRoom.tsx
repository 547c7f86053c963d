import type { ReactNode } from 'react';
import { usePreferences } from '../../api/preferences.ts';
import { InstrumentForm } from '../../parts/instrument/InstrumentForm.tsx';
import { SHOWS } from '../../parts/reading/ShowChoice.tsx';
import { useChartView } from '../../session/chart-view-store.ts';
import { setDevice, type Theme, useDevice } from '../../session/device-store.ts';
import { useReads } from '../../session/use-reads.ts';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField } from '../../ui/SelectField.tsx';
import { Slider } from '../../ui/Slider.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { NotationForm } from './NotationForm.tsx';

/** Everything that is set once: for the band how chords are written, for this device how it looks and sounds, for the player the instrument. */
export function SettingsRoom() {
  const { preferences, change } = usePreferences();
  return (
    <div className="mx-auto flex w-full max-w-5xl flex-col gap-4 px-5 py-4 phone:px-3">
      <h2 className="font-numeral text-head font-bold">Settings</h2>
      <Group title="Notation" whose="for the whole band; every player may have their own under Band, Players">
        <NotationForm naming={preferences.naming} onChange={(naming) => change({ naming })} />
      </Group>
      <Group title="Look and sound" whose="on this device">
        <LookAndSound />
      </Group>
      <Group title="Charts" whose="on this device, or for the player who reads">
        <Charts />
      </Group>
      <Group title="Instrument" whose="kept with the player">
        <InstrumentForm />
      </Group>
    </div>
  );
}

function Group({ title, whose, children }: { readonly title: string; readonly whose: string; readonly children: ReactNode }) {
  return (
    <section aria-label={title} className="rounded-xl border border-hairline bg-sheet px-4 py-3">
      <div className="mb-3 flex flex-wrap items-baseline gap-x-3">
        <h3 className="text-lead font-bold">{title}</h3>
        <span className="text-fine text-quiet">{whose}</span>
      </div>
      {children}
    </section>
  );
}

const THEMES: readonly (readonly [Theme | 'system', string])[] = [
  ['system', 'As the system'],
  ['paper', 'Paper'],
  ['night', 'Night'],
];

const STRUMS = [
  ['strum', 'Strum'],
  ['arpeggio', 'Pick'],
] as const;

const LABELS = [
  ['notes', 'Notes'],
  ['formula', 'Formula'],
  ['fingers', 'Fingers'],
] as const;

function LookAndSound() {
  const { theme, volume, strum, neckLabels } = useDevice();
  return (
    <div className="flex flex-wrap items-center gap-x-8 gap-y-3">
      <Row label="Theme">
        <Choice
          label="Theme"
          value={theme ?? 'system'}
          options={THEMES}
          onChange={(next) => setDevice({ theme: next === 'system' ? null : next })}
        />
      </Row>
      <Row label="How chords sound">
        <Choice label="How chords sound" value={strum} options={STRUMS} onChange={(next) => setDevice({ strum: next })} />
      </Row>
      <Row label="On the neck’s dots">
        <Choice label="What the dots show" value={neckLabels} options={LABELS} onChange={(next) => setDevice({ neckLabels: next })} />
      </Row>
      <Row label="Loudness">
        <Slider
          label="Loudness"
          value={volume}
          min={0}
          max={1}
          step={0.05}
          said={`${Math.round(100 * volume)} of 100`}
          onChange={(next) => setDevice({ volume: next })}
        />
      </Row>
      <p className="w-full text-fine text-quiet">
        Start low, above all with headphones. If your ears ring afterwards, it was too loud: see a doctor if it stays.
      </p>
    </div>
  );
}

function Charts() {
  const { show, setShow } = useReads();
  const { ownChords, setOwnChords } = useChartView();
  return (
    <div className="flex flex-wrap items-end gap-x-8 gap-y-3">
      <SelectField label="What charts show" value={show} options={SHOWS} onChange={setShow} />
      <Tick label="A digit alone writes the key’s own chord: in a major key 2 is minor" on={ownChords} onTick={setOwnChords} />
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
