import type { RoomId } from '../../session/rooms.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';

/** The one thing to know about each room at first. */
export const ROOM_HINTS: Readonly<Partial<Record<RoomId, string>>> = {
  harmonize: PARTS_WORDS.press1To7ToHear,
  analyze: PARTS_WORDS.pressAnyChordToSeeWhy,
  chart: PARTS_WORDS.chooseABarAndTypeDigits,
  neck: PARTS_WORDS.theArrowsWalkThroughTheShapes,
  band: PARTS_WORDS.dragTheSongsIntoOrderTonights,
};

/** The same for a thumb, where a hint speaks of keys. */
export const THUMB_HINTS: Readonly<Partial<Record<RoomId, string>>> = {
  harmonize: PARTS_WORDS.pressAChordToHearIt,
  analyze: PARTS_WORDS.pressAnyChordForWhy,
  chart: PARTS_WORDS.pressABarAndWriteIt,
  neck: PARTS_WORDS.pressAShapeToHoldIt,
};
