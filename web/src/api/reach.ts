import { create } from 'zustand';

/** Whether the server answers, and from when what is shown is where it does not. */
interface Reach {
  readonly isAway: boolean;
  /** When the server gave what the device shows in its place, in milliseconds; null while nothing came from the device. */
  readonly keptAt: number | null;
}

export const useReach = create<Reach>(() => ({ isAway: false, keptAt: null }));

/** The server has answered. */
export function tellAnswered(): void {
  if (useReach.getState().isAway) useReach.setState({ isAway: false, keptAt: null });
}

/** The server does not answer; `keptAt` is when it gave what the device answers with. */
export function tellAway(keptAt: number | null): void {
  const before = useReach.getState();
  // the oldest of what is seen says how old it may be
  const oldest = keptAt === null || before.keptAt === null ? (keptAt ?? before.keptAt) : Math.min(keptAt, before.keptAt);
  if (!before.isAway || oldest !== before.keptAt) useReach.setState({ isAway: true, keptAt: oldest });
}
