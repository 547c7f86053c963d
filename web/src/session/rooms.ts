import { AudioLines, LibraryBig, type LucideIcon, MountainSnow, Rows4, UsersRound } from 'lucide-react';

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
    { name: 'Band', path: `${song}/band`, icon: UsersRound },
  ];
}

/** Where the neck has a room of its own: it is opened from every other room. */
export function neckPath(songId: string | undefined): string {
  return songId === undefined ? '/neck' : `/songs/${songId}/neck`;
}

/** What the room at a path is called. */
export function roomAt(pathname: string): string {
  if (/\/neck$/.test(pathname)) return 'Neck';
  if (/\/stand$/.test(pathname)) return 'On the stand';
  return rooms(undefined).find(({ path }) => path !== '/' && new RegExp(`${path}(/|$)`).test(pathname))?.name ?? 'Songs';
}
