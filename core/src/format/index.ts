// Songs in and out of other formats. Apart from the core's own list, because only this part uses packages.

export { type LossCode, lossWords } from '../wording/loss-words.ts';
export { abcTunes } from './abc/abc-voices.ts';
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
export { type IndexedSong, PRACTICE_COLUMNS, readTable, SET_COLUMNS, SONG_COLUMNS, songsOfTable, type Table, writeTable } from './csv.ts';
export { textOf } from './letters.ts';
export type { Loss } from './loss.ts';
export { SHOWN_CHORDS, type ShownChords, type WrittenFor } from './musicxml/musicxml-write.ts';
export { readMxl } from './musicxml/mxl.ts';
export { reductionXml, scoreXml, withNoteIds, withReduction } from './musicxml/score-xml.ts';
export { isScoreFormat, type ReadScore, readScore, type ScoreFormat } from './read-score.ts';
export { chartOfReduction } from './reduction-chart.ts';
export { type FoundSong, findSong } from './text-read.ts';
