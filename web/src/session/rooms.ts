import { AudioLines, Guitar, LibraryBig, type LucideIcon, MountainSnow, Rows4, UsersRound } from 'lucide-react';

/** A room of the house and where it is. */
export interface Room {
  readonly name: string;
  readonly path: string;
  readonly icon: LucideIcon;
}

/** The rooms in the order of the work; with a song open they open on that song. */
export function rooms(songId: string | undefined): readonly Room[] {
  const song = songId === undefined ? '' : `/songs/${songId}`;
  return [
    { name: 'Songs', path: '/', icon: LibraryBig },
    { name: 'Harmonize', path: `${song}/harmonize`, icon: AudioLines },
    { name: 'Analyze', path: `${song}/analyze`, icon: MountainSnow },
    { name: 'Chart', path: `${song}/chart`, icon: Rows4 },
    { name: 'Neck', path: neckPath(songId), icon: Guitar },
    { name: 'Band', path: `${song}/band`, icon: UsersRound },
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

/** What the room at a path is called. */
export function roomAt(pathname: string): string {
  if (/\/stand$/.test(pathname)) return 'On the stand';
  if (/\/settings$/.test(pathname)) return 'Settings';
  return rooms(undefined).find(({ path }) => path !== '/' && new RegExp(`${path}(/|$)`).test(pathname))?.name ?? 'Songs';
}

/** The rooms where one chord is looked at, with the why and the neck beside it. */
const WITH_COMPANIONS = /\/(harmonize|analyze|chart)$/;

export function hasCompanions(pathname: string): boolean {
  return WITH_COMPANIONS.test(pathname);
}
