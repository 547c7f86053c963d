import type { RoomId } from '../../session/rooms.ts';

/** The one thing to know about each room at first. */
export const ROOM_HINTS: Readonly<Partial<Record<RoomId, string>>> = {
  harmonize: 'Press 1 to 7 to hear the chords of the key, + to gather them. Hold Alt to see what opens the parts below.',
  analyze: 'Press any chord to see why it works. Alt 1 opens what it does, Alt 3 what else could stand there.',
  chart: 'Choose a bar and type: digits are degrees, Tab goes on. The key above moves the letters, never the numbers.',
  neck: 'The arrows walk through the shapes, f changes their family. A capo is set with the reader above.',
  band: 'Drag the songs into order. Tonight’s key belongs to the evening; the song keeps its own.',
};
