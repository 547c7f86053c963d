// Songs in and out of other formats. Apart from the core's own list, because only this part uses packages.

export {
  type Converted,
  FORMAT_FILES,
  FORMAT_NAMES,
  type FormatFile,
  type FormatName,
  formatOf,
  readFormat,
  writeFormat,
} from './convert.ts';
export { type IndexedSong, readTable, SET_COLUMNS, SONG_COLUMNS, songsOfTable, type Table, writeTable } from './csv.ts';
export { type Loss, type LossCode, lossWords } from './loss.ts';
export { type FoundSong, findSong } from './text-read.ts';
