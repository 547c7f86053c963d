// What travels between the browser and the server: one schema for each request and answer.

export { type AnalyzeAnswer, type AnalyzeRequest, analyzeAnswer, analyzeRequest, type UnreadChord } from './analysis.ts';
export { BACKUP_FORMAT, BACKUP_VERSION, type BandBackup, bandBackup } from './backup.ts';
export {
  type AlikeSong,
  alikeAnswer,
  type Band,
  band,
  bandsAnswer,
  DEFAULT_PREFERENCES,
  type Preferences,
  type PreferencesChange,
  preferences,
  preferencesChange,
  type Song,
  type SongChange,
  type SongSummary,
  type SongsQuery,
  type SongVersion,
  type SongVersionHead,
  song,
  songChange,
  songCreateRequest,
  songSaveRequest,
  songsAnswer,
  songsQuery,
  songVersion,
  songVersionsAnswer,
  tagsAnswer,
  versionName,
  versionsQuery,
} from './band.ts';
export { type BridgesAnswer, type BridgesRequest, bridgesAnswer, bridgesRequest } from './bridge.ts';
export { type CapoAnswer, type CapoRequest, capoAnswer, capoRequest } from './capo.ts';
export {
  type ChartParseAnswer,
  type ChartParseRequest,
  type ChartRenderAnswer,
  type ChartRenderRequest,
  chartParseAnswer,
  chartParseRequest,
  chartRenderAnswer,
  chartRenderRequest,
  MOST_CHART_BYTES,
} from './chart.ts';
export {
  type ConvertAnswer,
  type ConvertRequest,
  convertAnswer,
  convertRequest,
  type ExportRequest,
  exportRequest,
  type ImportAccept,
  type ImportPreview,
  importAccept,
  importPreview,
  importQuery,
} from './file.ts';
export {
  DEFAULT_READS,
  type Member,
  type MemberChange,
  type MemberCreateRequest,
  type MemberReads,
  member,
  memberChange,
  memberCreateRequest,
  memberReads,
  membersAnswer,
} from './member.ts';
export {
  instrument,
  type SheetRequest,
  sheetRequest,
  type VoicingsAnswer,
  type VoicingsRequest,
  voicingsAnswer,
  voicingsRequest,
} from './neck.ts';
export { type JobState, jobState, type PackRequest, packRequest } from './pack.ts';
export { PAGES, type Page } from './pages.ts';
export {
  type Piece,
  type PieceHead,
  type PieceSaveRequest,
  type PieceWork,
  piece,
  pieceCreateRequest,
  pieceSaveRequest,
  piecesAnswer,
  pieceWork,
  type RememberedSaid,
} from './piece.ts';
export {
  DEFAULT_PRACTICE,
  type PassesTaken,
  type PracticeLog,
  type PracticePass,
  type PracticePlanAnswer,
  type PracticePlanRequest,
  type PracticeQuestionsAnswer,
  type PracticeQuestionsRequest,
  type PracticeSession,
  type PracticeSettings,
  passesAnswer,
  passesQuery,
  passesRequest,
  passesTaken,
  practiceLog,
  practicePass,
  practicePlanAnswer,
  practicePlanRequest,
  practiceQuestionsAnswer,
  practiceQuestionsRequest,
  practiceSession,
  practiceSessionsAnswer,
  practiceSettings,
} from './practice.ts';
export { gone, type Problem, type ProblemError, problem } from './problem.ts';
export { MOST_SCORE_BYTES, type ReduceAnswer, type ReduceRequest, reduceAnswer, reduceRequest } from './reduce.ts';
export {
  type SetBreakEntry,
  type SetList,
  type SetListBody,
  type SetListHead,
  type SetSongEntry,
  setList,
  setListBody,
  setListSaveRequest,
  setListsAnswer,
} from './set-list.ts';
export { type ChordSwap, type SwapRequest, swapRequest, swapsAnswer } from './swap.ts';
export {
  type ChordIdentifyAnswer,
  type ChordParseAnswer,
  type ChordParseRequest,
  chordIdentifyAnswer,
  chordIdentifyRequest,
  chordParseAnswer,
  chordParseRequest,
  type HarmonizeAnswer,
  type HarmonizeRequest,
  harmonizeAnswer,
  harmonizeRequest,
} from './theory.ts';
