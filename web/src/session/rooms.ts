import { HOUSE_WORDS } from '../wording/house.ts';
import { PEOPLE_WORDS } from '../wording/people.ts';

export type RoomId = 'songs' | 'harmonize' | 'analyze' | 'chart' | 'neck' | 'band' | 'practice' | 'stand' | 'settings' | 'you';

/** A room of the house and where it is. */
export interface Room {
  readonly id: RoomId;
  readonly name: string;
  readonly path: string;
}

/** The rooms in the order of the work; with a song open they open on that song. */
export function rooms(songId: string | undefined): readonly Room[] {
  const song = songId === undefined ? '' : `/songs/${songId}`;
  return [
    { id: 'songs', name: HOUSE_WORDS.songs, path: '/' },
    { id: 'harmonize', name: HOUSE_WORDS.harmonize, path: `${song}/harmonize` },
    { id: 'analyze', name: HOUSE_WORDS.analyze, path: `${song}/analyze` },
    { id: 'chart', name: HOUSE_WORDS.chart, path: `${song}/chart` },
    { id: 'neck', name: HOUSE_WORDS.neck, path: neckPath(songId) },
    { id: 'band', name: HOUSE_WORDS.band, path: `${song}/band` },
    { id: 'practice', name: HOUSE_WORDS.practice, path: '/practice' },
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
  if (pathname === '/you') return 'you';
  return rooms(undefined).find(({ path }) => path !== '/' && new RegExp(`${path}(/|$)`).test(pathname))?.id ?? 'songs';
}

/** Whether what a room's hint speaks of is what stands there: the band's is about the order of the evening. */
export function isHinted(pathname: string): boolean {
  return roomAt(pathname) !== 'band' || /\/band(\/tonight)?$/.test(pathname);
}

/** Where there is one thing and nothing around it: a chart on the stand, a session, a door. */
export function isAlone(pathname: string): boolean {
  return /\/stand$|^\/practice\/session$|^\/(welcome|join|open|first|mailbox|read)(\/|$)/.test(pathname);
}

/** What a room is called. */
export function roomName(room: RoomId): string {
  if (room === 'stand') return HOUSE_WORDS.onTheStand;
  if (room === 'you') return PEOPLE_WORDS.you;
  return rooms(undefined).find(({ id }) => id === room)?.name ?? HOUSE_WORDS.settings;
}

/** The rooms where one chord is looked at, with the why and the neck beside it; a chart only with a song. */
const WITH_COMPANIONS = /\/(harmonize|analyze)$|^\/analyze\/score\/[^/]+$|^\/songs\/[^/]+\/chart$/;

export function hasCompanions(pathname: string): boolean {
  return WITH_COMPANIONS.test(pathname);
}
