import { z } from 'zod';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { keptAs } from '../device/kept-state.ts';
import { type RecordForm, stateIn } from '../device/record-form.ts';

const folds = z.object({
  side: z.enum(['why', 'text']).nullable(),
  /** Whether the neck has risen; else it rests as one line. */
  neck: z.boolean(),
});

const deviceState = z.object({
  /** Null as long as nobody chose: then as the system has it. */
  theme: z.enum(['paper', 'night']).nullable(),
  /** Loudness of the sound, 0 to 1; it starts low. */
  volume: z.number().min(0).max(1),
  /** Whether chords are struck at once or note by note. */
  strum: z.enum(['strum', 'arpeggio']),
  neckLabels: z.enum(['notes', 'formula', 'fingers']),
  /** By room. */
  folds: z.record(z.string(), folds),
  /** Hints that were read and put out of sight. */
  hintsRead: z.array(z.string()).readonly(),
  /** How often each hint was seen. */
  hintsSeen: z.record(z.string(), z.number().int()),
});
type DeviceState = Readonly<z.output<typeof deviceState>>;

export type Theme = NonNullable<DeviceState['theme']>;
/** What of a room's companions is in sight. */
type Folds = Readonly<z.output<typeof folds>>;
/** What stands beside a room on a desk: the why, the chart's text, or nothing. */
export type Side = NonNullable<Folds['side']>;

const FIRST: DeviceState = { theme: null, volume: 0.3, strum: 'strum', neckLabels: 'notes', folds: {}, hintsRead: [], hintsSeen: {} };
/** On a large screen there is room for the neck from the start. */
const LARGE = '(min-width: 1600px) and (min-height: 960px)';
const FIRST_FOLDS: Folds = { side: 'why', neck: globalThis.window?.matchMedia?.(LARGE).matches ?? false };

/** Parts of it were added one after the other: what an older form lacks is as on a new device. */
const DEVICE_FORM: RecordForm<DeviceState> = {
  name: 'aurora-device',
  schema: deviceState,
  upgrades: [(text) => ({ ...FIRST, ...(stateIn(text) as object) })],
};

/** How this device shows and sounds things. It is nobody else's: one person's dark screen darkens no other. */
export const useDevice = create<DeviceState>()(persist(() => FIRST, keptAs(DEVICE_FORM)));

export function setDevice(change: Partial<DeviceState>): void {
  useDevice.setState(change);
}

export function foldsOf({ folds }: Pick<DeviceState, 'folds'>, room: string): Folds {
  return folds[room] ?? FIRST_FOLDS;
}

/** Folds something of a room away, or brings it back. */
export function setFolds(room: string, change: Partial<Folds>): void {
  useDevice.setState((state) => ({ folds: { ...state.folds, [room]: { ...foldsOf(state, room), ...change } } }));
}

/** A hint stays for so many visits. */
const HINT_VISITS = 3;

/** Whether a hint is still shown: nobody has put it away, and it was not there often enough. */
export function isHintWanted({ hintsRead, hintsSeen }: Pick<DeviceState, 'hintsRead' | 'hintsSeen'>, hint: string): boolean {
  return !hintsRead.includes(hint) && (hintsSeen[hint] ?? 0) < HINT_VISITS;
}

export function seeHint(hint: string): void {
  useDevice.setState(({ hintsSeen }) => ({ hintsSeen: { ...hintsSeen, [hint]: (hintsSeen[hint] ?? 0) + 1 } }));
}

export function readHint(hint: string): void {
  useDevice.setState(({ hintsRead }) => ({ hintsRead: [...hintsRead, hint] }));
}
