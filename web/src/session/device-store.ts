import { create } from 'zustand';
import { persist } from 'zustand/middleware';

export type Theme = 'paper' | 'night';

/** What stands beside a room on a desk: the why, the chart's text, or nothing. */
export type Side = 'why' | 'text';

/** What of a room's companions is in sight. */
interface Folds {
  readonly side: Side | null;
  /** Whether the neck has risen; else it rests as one line. */
  readonly neck: boolean;
}

interface DeviceState {
  /** Null as long as nobody chose: then as the system has it. */
  readonly theme: Theme | null;
  /** Loudness of the sound, 0 to 1; it starts low. */
  readonly volume: number;
  /** Whether chords are struck at once or note by note. */
  readonly strum: 'strum' | 'arpeggio';
  readonly neckLabels: 'notes' | 'formula' | 'fingers';
  /** By room. */
  readonly folds: Readonly<Record<string, Folds>>;
  /** Hints that were read and put out of sight. */
  readonly hintsRead: readonly string[];
}

const FIRST: DeviceState = { theme: null, volume: 0.3, strum: 'strum', neckLabels: 'notes', folds: {}, hintsRead: [] };
/** On a large screen there is room for the neck from the start. */
const LARGE = '(min-width: 1600px) and (min-height: 960px)';
const FIRST_FOLDS: Folds = { side: 'why', neck: globalThis.window?.matchMedia?.(LARGE).matches ?? false };

/** How this device shows and sounds things. It is nobody else's: one person's dark screen darkens no other. */
export const useDevice = create<DeviceState>()(persist(() => FIRST, { name: 'aurora-device' }));

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

export function readHint(hint: string): void {
  useDevice.setState(({ hintsRead }) => ({ hintsRead: [...hintsRead, hint] }));
}
