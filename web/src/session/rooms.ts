import { AnalyzeIcon, BandIcon, ChartIcon, HarmonizeIcon, type Icon, NeckIcon, SongsIcon } from '../ui/icons.ts';

export type RoomId = 'songs' | 'harmonize' | 'analyze' | 'chart' | 'neck' | 'band' | 'stand' | 'settings';

/** A room of the house and where it is. */
export interface Room {
  readonly id: RoomId;
  readonly name: string;
  readonly path: string;
  readonly icon: Icon;
}

/** The rooms in the order of the work; with a song open they open on that song. */
export function rooms(songId: string | undefined): readonly Room[] {
  const song = songId === undefined ? '' : `/songs/${songId}`;
  return [
    { id: 'songs', name: 'Songs', path: '/', icon: SongsIcon },
    { id: 'harmonize', name: 'Harmonize', path: `${song}/harmonize`, icon: HarmonizeIcon },
    { id: 'analyze', name: 'Analyze', path: `${song}/analyze`, icon: AnalyzeIcon },
    { id: 'chart', name: 'Chart', path: `${song}/chart`, icon: ChartIcon },
    { id: 'neck', name: 'Neck', path: neckPath(songId), icon: NeckIcon },
    { id: 'band', name: 'Band', path: `${song}/band`, icon: BandIcon },
  ];
}

/** Where the neck has a room of its own. */
export function neckPath(songId: string | undefined): string {
  return songId === undefined ? '/neck' : `/songs/${songId}/neck`;
}

/** Whether a path lies in a room. */
export function isIn({ path }: Pick<Room, 'path'>, pathname: string): boolean {
  return path === '/' ? pathname === '/' : pathname === path || pathname.startsWith(`${path}/`);
}

/** Which room a path lies in. */
export function roomAt(pathname: string): RoomId {
  if (/\/stand$/.test(pathname)) return 'stand';
  if (/\/settings$/.test(pathname)) return 'settings';
  return rooms(undefined).find(({ path }) => path !== '/' && new RegExp(`${path}(/|$)`).test(pathname))?.id ?? 'songs';
}

/** What a room is called. */
export function roomName(room: RoomId): string {
  if (room === 'stand') return 'On the stand';
  return rooms(undefined).find(({ id }) => id === room)?.name ?? 'Settings';
}

/** The rooms where one chord is looked at, with the why and the neck beside it; a chart only with a song. */
const WITH_COMPANIONS = /\/(harmonize|analyze)$|^\/songs\/[^/]+\/chart$/;

export function hasCompanions(pathname: string): boolean {
  return WITH_COMPANIONS.test(pathname);
}
