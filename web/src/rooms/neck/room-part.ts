import type { Chord, Instrument, Key, Naming } from '@aurora/core';
import type { NeckLabels } from '../../parts/neck/neck-view.ts';
import type { ShapeWalk } from '../../parts/neck/use-shape-walk.ts';
import { NECK_WORDS } from '../../wording/neck.ts';

/** What every part of the neck's room is given. */
export interface RoomPartProps {
  /** The chord that is looked at, as it sounds, and the key it is heard in. */
  readonly chord: Chord;
  readonly heardIn: Key;
  readonly instrument: Instrument;
  readonly naming: Naming;
  readonly labels: NeckLabels;
  readonly walk: ShapeWalk;
}

/** The parts of the room, by the key that opens each. */
export const ROOM_PARTS = [
  ['shapes', NECK_WORDS.shapes],
  ['key', NECK_WORDS.key],
  ['path', NECK_WORDS.path],
  ['runs', NECK_WORDS.runs],
  ['name', NECK_WORDS.nameIt],
  ['instrument', NECK_WORDS.instrument],
] as const;

export type RoomPartName = (typeof ROOM_PARTS)[number][0];
